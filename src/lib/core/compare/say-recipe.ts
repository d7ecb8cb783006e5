import { formatFeet, toMillimetres } from '../units/length.ts';
import { piecesIn } from '../structures/applied/edit.ts';
import { stacksIn } from '../recipe/edit.ts';
import { printBalloon, printFill, printLayer } from '../language/print-entry.ts';
import { printRun, printWeave } from '../language/print-run.ts';
import { printFormPiece, printHost, printItem, printWeight } from '../language/print-parts.ts';
import { printFoil, printLine, printPlaces, printSection, printStack } from '../language/print-section.ts';
import type { DesignUse } from '../structures/design/document.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';

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
	const head = (section: Section) => printSection(section, recipe, nameOf);
	/** A section that is only there says its name where there are several, or where more is said of it. */
	const heading = (section: Section) => (several || head(section) !== section.name ? [head(section)] : []);
	return [
		...stacks.flatMap(({ section, stack }) => [
			...heading(section),
			...stack.layers.map(
				(layer) =>
					`${printLayer(layer, recipe.slots)}${layer.clusters.map((c) => printPlaces(c.places, nameOf)).join('')}`
			),
			...printStack(stack, nameOf)
		]),
		...recipe.sections.flatMap((section) => {
			const { structure } = section;
			if (structure.kind === 'bunch') {
				const held = structure.weight ? [printWeight(structure.weight, recipe.slots, named)] : [];
				return [
					head(section),
					...held,
					...structure.items.map(
						(i) =>
							`${printItem(i, recipe.slots, named)}${i.what.kind === 'balloon' ? printPlaces([i.what.balloon], nameOf) : printFoil(i.what)}`
					)
				];
			}
			if (structure.kind === 'run' || structure.kind === 'weave') {
				const lines =
					structure.kind === 'run'
						? printRun(structure, recipe, named)
						: printWeave(structure, recipe, named);
				return [head(section), ...lines.map((l) => l.text)];
			}
			if (structure.kind !== 'form') return [];
			return [head(section), ...structure.pieces.map((p) => printFormPiece(p, recipe.slots, recipe))];
		}),
		...used.map((s) => {
			const { quantity, colourway, size } = s.structure as DesignUse;
			return `${head(s)}${quantity === '1' ? '' : `, ${quantity} of it`}${colourway ? ', in colours of its own' : ''}${size ? ', in another size' : ''}`;
		}),
		...piecesIn(recipe).map(({ piece: { name, what, on, fixing, each, swappable } }) => {
			const thing =
				what.kind === 'balloon'
					? `${printBalloon(what.balloon)} ${slotName(what.balloon.slot)}${printFill(what.balloon, recipe.slots)}${printPlaces([what.balloon], nameOf)}`
					: what.material === null
						? 'not chosen yet'
						: `${nameOf(what.material)}${printFoil(what)}`;
			const hosts = on.map((o) => `${o.count} on ${printHost(o.host, recipe)}`).join(', ');
			return `put ${thing} as ${name}, ${hosts} with ${each === '1' ? '' : `${each} `}${fixing}${swappable ? ', swappable' : ''}`;
		}),
		...recipe.sections.flatMap(({ structure }) =>
			structure.kind === 'extras' ? structure.lines.map((l) => printLine(l, nameOf)) : []
		),
		...recipe.sizes.map((s) => {
			const height = s.height === null ? '' : ` ${formatFeet(toMillimetres(s.height))}`;
			const swaps = Object.values(s.swaps).map((to) => `, with ${nameOf(to)}`);
			return `size ${s.name}${height}${s.by === 'scale' ? ' scaled' : ''}${swaps.join('')}`;
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
