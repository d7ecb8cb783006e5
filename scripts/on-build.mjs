/** Installs and builds where needed, then runs a script against what is built: `npm run bench`, `load` and `attack`. */
import { build, install, run, tool } from './steps.mjs';

await install();
await build();
const { code } = await run(tool('tsx'), process.argv.slice(2));
process.exit(code);
