import { OWNER } from '../src/lib/server/actor.ts';
import { databaseUrl } from '../src/lib/server/config.ts';
import { connect } from '../src/lib/server/db/client.ts';
import { createRepos } from '../src/lib/server/repos/index.ts';

/** `npm run refs`: compares the index of what kept versions refer to with their recipes; `-- --mend` writes it anew. */
const mend = process.argv.includes('--mend');
const db = connect(databaseUrl(process.env));
try {
	const repos = createRepos(db, OWNER);
	const { versions, wrong } = await repos.designs.checkRefs(mend);
	const found =
		wrong.length === 0 ? 'all agree' : `${wrong.length} ${mend ? 'mended' : 'differ'}: ${wrong.join(', ')}`;
	console.log(`${versions} kept versions, ${found}`);
	if (wrong.length > 0 && !mend) process.exitCode = 1;
} finally {
	db.close();
}
