import { mkdirSync, writeFileSync } from 'node:fs';
import { exampleFiles } from './demo/examples.ts';

/** Writes the example recipe files that ship with the app, one for each structure. Run when a recipe's shape changes. */
mkdirSync('static/examples', { recursive: true });
for (const [name, content] of exampleFiles()) {
	writeFileSync(`static/examples/${name}`, `${JSON.stringify(content, null, '\t')}\n`);
	console.log(name);
}
