import type { EntryContext } from '../context.ts';
import { rowInHand, stacksIn } from '../../structures/stack/edit.ts';
import { alone, printLayer } from '../../structures/stack/print.ts';
import type { Layer } from '../../structures/stack/document.ts';
import { slotsOfCluster } from '../../recipe/links.ts';
import { coloursIn } from './colours.ts';

const SAME =
	/^(?:and )?(?:the )?(?:do that again|repeat (?:that|it)|same(?: size| bag)?|once more|1 more|one more|again|another|another (?:one|1)|(?:1|one) more like (?:the (?:last|1 before|one before)(?: one| 1| row)?|before)|another (?:one|1)?,? ?(?:the )?same(?: again)?|another row(?: the same)?|another (?:one |1 )?(?:the same|like it))(?: like (?:it|that))?(?: again| once more)?(?: in (.+))?$/;

const USED =
	/^(?:and )?(?:(?:use |do |take )?(?:the )?(?:row|layer) (\d+)(?: of (?:the )?(.+?))? (?:again|once more)|again (?:the )?(?:row|layer) (\d+)(?: of (?:the )?(.+?))?|(?:the )?same (?:row |layer )?(?:again )?as (?:the )?(?:row|layer) (\d+)(?: of (?:the )?(.+?))?(?: (?:again|once more))?)(?:,? (?:(\d+)(?: times| x)?|x ?(\d+)|(twice)))?$/;

/** `row 2 again, three times`: that row once more; what is changed in one is changed in both. */
function usedAgain(said: string, context: EntryContext): readonly string[] | undefined {
	const found = USED.exec(said);
	if (!found) return undefined;
	const [, a, of1, b, of2, c, of3, times, x, twice] = found;
	const name = of1 ?? of2 ?? of3;
	const stacks = stacksIn({ sections: context.recipe?.sections ?? [] });
	const own = name
		? stacks.find((s) => s.section.name.toLowerCase() === name)
		: (stacks.find((s) => s.section.id === context.section) ?? stacks.at(-1));
	const at = Number(a ?? b ?? c);
	const row = own?.stack.layers[at - 1];
	if (!own || !row) return undefined;
	const plain = printLayer(alone(row), context.slots);
	const many = twice ? 2 : Number(times ?? x ?? 1);
	return [`${plain}${many > 1 ? ` ×${many}` : ''} like ${name ? `${own.section.name} ` : ''}row ${at}`];
}

/** `same again in blue`: the topmost row of what is in hand once more, in another colour where one is said. */
export function again(said: string, context: EntryContext): readonly string[] | undefined {
	const used = usedAgain(said, context);
	if (used) return used;
	const found = SAME.exec(said);
	const row = found && rowInHand(context.recipe?.sections ?? [], context.section);
	if (!row) return undefined;
	const printed = (slots: EntryContext['slots']) => [
		printLayer({ ...(row as Layer), follows: undefined, like: undefined }, slots)
	];
	if (found[1] === undefined) return printed(context.slots);
	const colours = coloursIn(found[1], context);
	const own = [...new Set(row.clusters.flatMap((c) => slotsOfCluster(c)))];
	if (colours?.length !== 1 || own.length !== 1) return undefined;
	return printed(context.slots.map((s) => (s.id === own[0] ? { ...s, name: colours[0]! } : s)));
}
