/** `npm run load`: installs and builds where needed, then loads the built server. Arguments: seconds mixed, minutes of papers. */
import { build, install, run, tool } from './steps.mjs';

await install();
await build();
const { code } = await run(tool('tsx'), ['tests/bench/load.ts', ...process.argv.slice(2)]);
process.exit(code);
