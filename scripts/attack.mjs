/** `npm run attack -- NAME COUNT SEED`: installs and builds where needed, then attacks a server of its own. Without a name all of them. */
import { build, install, run, tool } from './steps.mjs';

await install();
await build();
const { code } = await run(tool('tsx'), ['tests/attack/run.ts', ...process.argv.slice(2)]);
process.exit(code);
