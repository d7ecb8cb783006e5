import type { Id } from '../document/id.ts';
import type { Colourway } from '../document/slot.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { seenBy, standAll, type Stood as StoodWhole } from '../assembly/stand-all.ts';
import { carryingToo, measure, NO_HOST, reachingTo } from '../structures/kit/measure.ts';
import { NOTHING_PLACED } from '../structures/kit/placed.ts';
import type { HostShape } from '../structures/kit/seats.ts';
import { isOnHosts, place } from '../structures/registry/picture.ts';
import { fits, fitted } from '../structures/registry/variant.ts';
import type { Recipe, Section } from './recipe.ts';
import { reachedFrom, sittingBeside } from './sitting-beside.ts';

/** Whether anything is as long as what it goes round or over to. */
export const hasFits = ({ sections }: Pick<Recipe, 'sections'>): boolean =>
	sections.some((s) => fits(s.structure));

interface Stood {
	readonly section: Section;
	/** What it carries pieces by. */
	readonly host: HostShape;
	/** What it sits on, with everything else that sits there. */
	readonly on: HostShape;
}

/** Stands the sections that are asked for by what carries them, in a recipe as it is built. */
function standing(
	recipe: Recipe,
	pumps: readonly PumpProfile[],
	colourway?: Colourway
): (section: Section) => Stood {
	const done = new Map<Id, Stood>();
	// Where sections stand from each other is asked only by what goes over from one to another.
	let all: StoodWhole | undefined;
	const whole = () =>
		(all ??= standAll(recipe, colourway, { pumps, packed: undefined, nested: () => NOTHING_PLACED }));
	const stand = (section: Section): Stood => {
		const before = done.get(section.id);
		if (before) return before;
		// What no schema lets through, a section on itself, ends here.
		done.set(section.id, { section, host: NO_HOST, on: NO_HOST });
		const by = recipe.sections.find((s) => s.id === section.stand.by);
		const under = by ? stand(by).host : NO_HOST;
		const beside = sittingBeside(recipe.sections, section);
		const far = reachedFrom(recipe.sections, section, beside);
		const carrying = carryingToo(
			under,
			beside.map((s) => stand(s).host)
		);
		const on = far.length > 0 ? reachingTo(carrying, seenBy(section, far, whole())) : carrying;
		const made = fits(section.structure) ? { ...section, structure: fitted(section.structure, on) } : section;
		let host: HostShape | undefined;
		const stood = {
			section: made,
			on,
			// Most limbs carry nothing: where they lie is asked of few.
			get host() {
				return (host ??= hostOf(made, on, pumps));
			}
		};
		done.set(section.id, stood);
		return stood;
	};
	return stand;
}

/** A recipe whose belts and bands are as long as what carries them makes them. */
export function withFits(recipe: Recipe, pumps: readonly PumpProfile[], colourway?: Colourway): Recipe {
	if (!hasFits(recipe)) return recipe;
	const stand = standing(recipe, pumps, colourway);
	return { ...recipe, sections: recipe.sections.map((s) => (fits(s.structure) ? stand(s).section : s)) };
}

/** What a section of a recipe as it is built sits on. */
export const carriedBy = (recipe: Recipe, section: Section, pumps: readonly PumpProfile[]): HostShape =>
	standing(recipe, pumps)(section).on;

const kept = new WeakMap<object, { pumps: readonly PumpProfile[]; host: HostShape }>();

/** What a section carries pieces by; what stands on nothing is measured once for as long as it stays what it is. */
function hostOf({ id, structure }: Section, host: HostShape, pumps: readonly PumpProfile[]): HostShape {
	const before = kept.get(structure);
	if (before?.pumps === pumps) return before.host;
	const nested = () => NOTHING_PLACED;
	const placed = place(structure, { section: id, host, colourway: undefined, pumps, packed: undefined, nested });
	const found = measure(placed).host;
	if (!isOnHosts(structure)) kept.set(structure, { pumps, host: found });
	return found;
} // prettier-ignore
