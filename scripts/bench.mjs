/** `npm run bench`: installs and builds where needed, then measures. */
import { build, install, run, tool } from './steps.mjs';

await install();
await build();
const { code } = await run(tool('tsx'), ['tests/bench/run.ts']);
process.exit(code);
