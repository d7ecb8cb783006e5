import type { SaidOf } from '../document/measure.ts';
import { formatFeet, toMillimetres } from '../units/length.ts';
import { printing } from '../language/print.ts';
import { printSection } from '../language/print-section.ts';
import type { Step } from '../document/step.ts';
import type { Colourway, Slot } from '../document/slot.ts';
import type { FollowOnRule } from '../document/rule.ts';
import { accompanies } from '../structures/registry/refs.ts';
import { saidOf } from '../structures/registry/print.ts';
import type { Recipe, Section, SizeOption } from '../recipe/recipe.ts';

/** Finds the name of a material or a colour by its id. */
export type NameOf = (id: string) => string;

/**
 * A recipe in lines, as they would be said: its sections in their order, by name where there are several, with what they are made of,
 * then sizes, rules, steps and colours. What two versions are compared by.
 */
export function sayRecipe(recipe: Recipe, nameOf: NameOf): string[] {
	const several = recipe.sections.filter((s) => !accompanies(s.structure)).length > 1;
	const context = printing(recipe, (id) => ({ name: nameOf(id) }));
	return [
		...recipe.sections.flatMap((section) => {
			const text = printSection(section, recipe, nameOf);
			const own = saidOf(section.structure, { text, lone: !several && text === section.name }, context);
			return [...own, ...sayOpen(section, recipe)];
		}),
		...(recipe.tall ? [`height said${MEASURED[recipe.tall]}`] : []),
		...recipe.sizes.map((size) => saySize(size, nameOf, recipe)),
		...recipe.rules.map((rule) => sayRule(rule, nameOf)),
		...recipe.steps.flatMap(sayStep),
		...(recipe.paid ?? []).map(({ label, minor }) => `paid besides: ${label} ${(minor / 100).toFixed(2)}`),
		...recipe.colourways.map((colourway) => sayColourway(colourway, recipe.slots, nameOf))
	];
}

/** Whether it is always there, and when it is made. */
function sayOpen({ name, open, ahead }: Section, { sections }: Recipe): string[] {
	const first = sections.find((s) => s.id !== open?.group && s.open?.group === open?.group && s.name !== name);
	const instead = open?.group !== undefined && first ? `${name} instead of ${first.name}` : undefined;
	const optional = open && (instead === undefined || open.when !== '') ? `${name} optional${open.when ? ` when ${open.when}` : ''}` : undefined;
	return [
		...(optional ? [optional] : []),
		...(instead ? [instead] : []),
		...(open?.out ? [`leave out ${name}`] : []),
		...(ahead === undefined ? [] : [ahead === 0 ? `${name} made on the day` : `${name} made ${ahead} days before`])
	];
} // prettier-ignore

const MEASURED: Readonly<Record<SaidOf, string>> = {
	'over all': ' over all',
	clusters: ' clusters',
	pole: ' of pole'
};

function saySize({ name, height, of, by, swaps, open = {} }: SizeOption, nameOf: NameOf, { sections }: Recipe): string {
	const tall = height === null ? '' : ` ${formatFeet(toMillimetres(height))}`;
	const others = Object.values(swaps).map((to) => `, with ${nameOf(to)}`);
	return `size ${name}${tall}${of ? MEASURED[of] : ''}${by === 'scale' ? ' scaled' : ''}${others.join('')}${Object.entries(open).map(([id, isThere]) => `, ${isThere ? 'with' : 'without'} ${sections.find((s) => s.id === id)?.name ?? 'a part'}`).join('')}`;
} // prettier-ignore

const sayRule = ({ of, each, material }: FollowOnRule, nameOf: NameOf): string =>
	`each ${of} takes ${each} ${material === null ? 'of what is not chosen yet' : nameOf(material)}`;

/** Nothing where the step is as it is made. */
function sayStep({ says, out, own }: Step): string[] {
	const words = [says.text, says.place, says.tool, says.method, says.check].filter(Boolean).join(', ');
	const takes = says.takes === undefined ? '' : ` takes ${says.takes} s`;
	const wait = `${takes}${says.wait === undefined ? '' : ` wait ${says.wait} s`}`;
	if (words === '' && wait === '') return out && !own ? ['step left out of the plan'] : [];
	return [`step ${words}${wait}${out ? ', left out' : ''}`];
}

function sayColourway({ name, fills, without }: Colourway, slots: readonly Slot[], nameOf: NameOf): string {
	const filled = slots.map((s) => {
		if (without.includes(s.id)) return `${s.name} left out`;
		const colour = fills[s.id];
		return `${s.name} ${colour ? nameOf(colour) : s.any ? 'any colour' : 'open'}`;
	});
	return `colours ${name}: ${filled.join(', ')}`;
}
