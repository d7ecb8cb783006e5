import { formatFeet, toMillimetres } from '../units/length.ts';
import { piecesIn } from './edit-pieces.ts';
import { stacksIn } from './edit.ts';
import { printBalloon, printLayer } from './entry/print-entry.ts';
import { printRun, printWeave } from './entry/print-run.ts';
import { printFormPiece, printItem, printWeight } from './entry/print-parts.ts';
import type { Recipe } from './recipe.ts';

/** Finds the name of a material or a colour by its id. */
export type NameOf = (id: string) => string;

/**
 * A recipe in lines, as they would be said: its sections by name where there are several, their layers lowest first,
 * the designs inside, pieces, lines, sizes, rules and colours. What two versions are compared by.
 */
export function sayRecipe(recipe: Recipe, nameOf: NameOf): string[] {
	const stacks = stacksIn(recipe);
	const used = recipe.sections.filter((s) => s.structure.kind === 'design');
	const several = stacks.length + used.length > 1;
	const slotName = (id: string) => recipe.slots.find((s) => s.id === id)?.name ?? 'no slot';
	const named = (id: string) => ({ name: nameOf(id) });
	const times = (n: number) => (n > 1 ? ` ×${n}` : '');
	return [
		...stacks.flatMap(({ section, stack }) => [
			...(several ? [`${section.name}${times(section.times)}`] : []),
			...stack.layers.map((layer) => printLayer(layer, recipe.slots))
		]),
		...recipe.sections.flatMap(({ name, structure, times: n }) => {
			if (structure.kind === 'bunch') {
				const held = structure.weight ? [printWeight(structure.weight, recipe.slots, named)] : [];
				return [
					`${name}${times(n)}`,
					...held,
					...structure.items.map((i) => printItem(i, recipe.slots, named))
				];
			}
			if (structure.kind === 'run' || structure.kind === 'weave') {
				const lines =
					structure.kind === 'run'
						? printRun(structure, recipe, named)
						: printWeave(structure, recipe, named);
				return [`${name}${times(n)}`, ...lines.map((l) => l.text)];
			}
			if (structure.kind !== 'form') return [];
			return [`${name}${times(n)}`, ...structure.pieces.map((p) => printFormPiece(p, recipe.slots, recipe))];
		}),
		...used.map((s) => `${s.name}${times(s.times)}`),
		...piecesIn(recipe).map(({ piece: { name, what, on, fixing } }) => {
			const thing =
				what.kind === 'balloon'
					? `${printBalloon(what.balloon)} ${slotName(what.balloon.slot)}`
					: what.material === null
						? 'not chosen yet'
						: nameOf(what.material);
			return `put ${on.map((o) => o.count).join(' + ')} ${thing} as ${name} with ${fixing}`;
		}),
		...recipe.sections.flatMap(({ structure }) =>
			structure.kind !== 'extras'
				? []
				: structure.lines.map((l) => {
						const count = l.range ? `${l.range.low} to ${l.range.high}` : l.quantity;
						const role = l.role === 'always' ? '' : ` ${l.role}`;
						return `${count} × ${nameOf(l.material)}${role}${l.taken ? '' : ', not taken'}`;
					})
		),
		...recipe.sizes.map((s) => {
			const height = s.height === null ? '' : ` ${formatFeet(toMillimetres(s.height))}`;
			return `size ${s.name}${height}${s.by === 'scale' ? ' scaled' : ''}`;
		}),
		...recipe.rules.map(
			(r) =>
				`each ${r.of} takes ${r.each} ${r.material === null ? 'of what is not chosen yet' : nameOf(r.material)}`
		),
		...recipe.steps.flatMap(({ says, out, own }) => {
			const words = [says.text, says.place, says.tool, says.method, says.check].filter(Boolean).join(', ');
			const wait = says.wait === undefined ? '' : ` wait ${says.wait} s`;
			if (words === '' && wait === '') return out && !own ? ['step left out of the plan'] : [];
			return [`step ${words}${wait}${out ? ', left out' : ''}`];
		}),
		...recipe.colourways.map(({ name, fills, without }) => {
			const filled = recipe.slots.map((s) => {
				if (without.includes(s.id)) return `${s.name} left out`;
				const colour = fills[s.id];
				return `${s.name} ${colour ? nameOf(colour) : 'open'}`;
			});
			return `colours ${name}: ${filled.join(', ')}`;
		})
	];
}
