import { readFileSync } from 'node:fs';
import { tallyRequestSchema } from '../src/lib/core/tally/request.schema.ts';
import { OWNER } from '../src/lib/server/actor.ts';
import { firstIssue } from '../src/lib/server/answers.ts';
import { databaseUrl } from '../src/lib/server/config.ts';
import { connect, migrateTo } from '../src/lib/server/db/client.ts';
import { createRepos } from '../src/lib/server/repos/index.ts';
import { answerTally } from '../src/lib/server/services/tally-request.ts';

/**
 * `npm run tally -- FILE`: prints what `POST /api/tally` answers. The file is a recipe, or what is posted there:
 * a recipe with colourway, size, quantity, materials, colours and designs.
 */
const [path] = process.argv.slice(2);
const stop = (say: string): never => {
	console.error(say);
	process.exit(1);
};
if (!path) stop('Name a recipe file: npm run tally -- column.recipe.json');
let content: unknown;
try {
	content = JSON.parse(readFileSync(path!, 'utf8'));
} catch (error) {
	stop(
		error instanceof SyntaxError
			? `${path} is not JSON. A recipe file comes from “recipe file” on the Bench.`
			: `${path} cannot be read. Check the name.`
	);
}
const isRecipe = (content as { format?: unknown } | null)?.format === 'bright-tally/recipe';
const request = tallyRequestSchema.safeParse(isRecipe ? { recipe: content } : content);
if (!request.success) stop(`${path}: ${firstIssue(request.error)}`);
const db = connect(databaseUrl(process.env));
try {
	await migrateTo(db, 'drizzle');
	const repos = createRepos(db, OWNER);
	if (!(await repos.workspaces.find())) stop('There is no studio here yet. Run “npm run demo” first.');
	const answer = await answerTally(repos, request.data!);
	if ('refused' in answer) stop(`${path}: ${answer.refused}`);
	console.log(JSON.stringify(answer, null, '\t'));
} finally {
	db.close();
}
