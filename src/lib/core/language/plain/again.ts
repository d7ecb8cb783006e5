import type { EntryContext } from '../context.ts';
import { rowInHand } from '../../structures/stack/edit.ts';
import { printLayer } from '../../structures/stack/print.ts';
import type { Layer } from '../../structures/stack/document.ts';
import { slotsOfCluster } from '../../recipe/links.ts';
import { coloursIn } from './colours.ts';

const SAME =
	/^(?:and )?(?:the )?(?:do that again|repeat (?:that|it)|same(?: size| bag)?|once more|1 more|one more|again|another|another (?:one|1)|(?:1|one) more like (?:the (?:last|1 before|one before)(?: one| 1| row)?|before)|another (?:one|1)?,? ?(?:the )?same(?: again)?|another row(?: the same)?|another (?:one |1 )?(?:the same|like it))(?: like (?:it|that))?(?: again| once more)?(?: in (.+))?$/;

/** `same again in blue`: the topmost row of what is in hand once more, in another colour where one is said. */
export function again(said: string, context: EntryContext): readonly string[] | undefined {
	const found = SAME.exec(said);
	const row = found && rowInHand(context.recipe?.sections ?? [], context.section);
	if (!row) return undefined;
	const printed = (slots: EntryContext['slots']) => [
		printLayer({ ...(row as Layer), follows: undefined }, slots)
	];
	if (found[1] === undefined) return printed(context.slots);
	const colours = coloursIn(found[1], context);
	const own = [...new Set(row.clusters.flatMap((c) => slotsOfCluster(c)))];
	if (colours?.length !== 1 || own.length !== 1) return undefined;
	return printed(context.slots.map((s) => (s.id === own[0] ? { ...s, name: colours[0]! } : s)));
}
