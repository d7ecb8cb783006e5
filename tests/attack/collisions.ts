import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';
import { ask, type Outcome } from './tally.ts';

/** People who change one design at once. */
const PEOPLE = 8;

/**
 * Many change one working copy at once, each by a tag of its own; who is refused starts again from what is there. What was
 * acknowledged is there in the end.
 */
export async function collisions(url: string, count: number, seed: number): Promise<Outcome> {
	const design = 'bee-figure';
	const acknowledged: string[] = [];
	const read = async () => JSON.parse((await ask(`${url}/bench/${design}/recipe.json`)).text) as Recipe;
	let tried = 0;
	/** A save that starts from a revision nobody has is answered with what is there. */
	const now = async (recipe: Recipe) => {
		const answer = await save(recipe, 1_000_000, crypto.randomUUID());
		return (JSON.parse(answer.text) as { theirs: { recipe: Recipe; revision: number } }).theirs;
	};
	const save = (recipe: Recipe, baseRevision: number, saveId: string) =>
		ask(`${url}/bench/${design}/save`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ saveId, baseRevision, recipe })
		});
	const first = await read();
	const bad: string[] = [];
	const person = async (who: number) => {
		while (tried < count) {
			const word = `${seed} ${who} ${tried++};`;
			for (let again = 0; again < 200; again++) {
				const theirs = await now(first);
				// Only what was said last is held: notes have an end.
				const notes = `${theirs.recipe.notes} ${word}`.slice(-1500);
				const { status, text } = await save(
					{ ...theirs.recipe, notes },
					theirs.revision,
					crypto.randomUUID()
				);
				if (status === 200) {
					acknowledged.push(word);
					break;
				}
				if (status !== 409) {
					bad.push(`${status} ${text.slice(0, 120)}`);
					break;
				}
			}
		}
	};
	await Promise.all(Array.from({ length: PEOPLE }, (_, who) => person(who)));
	const { notes } = await read();
	for (const word of acknowledged.slice(-30)) if (!notes.includes(word)) bad.push(`lost: ${word}`);
	if (acknowledged.length < count) bad.push(`${count - acknowledged.length} were never taken`);
	return { tried: count, bad };
}
