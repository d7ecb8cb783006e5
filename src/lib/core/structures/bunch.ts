import { matchKey } from '../materials/catalogue.ts';
import type { MaterialKind } from '../materials/material.ts';
import { foilLitres } from '../gas/volume.ts';
import { inflateTask, methodOfPlace, type Task, type TaskCount } from '../labour/task.ts';
import type { Bunch, BunchItem, BunchThing, Colourway, FoilLook, OwnBalloon } from '../recipe/recipe.ts';
import { fillBand } from '../sizing/fill.ts';
import { resolveSize } from '../sizing/resolve.ts';
import { SHAPE_FACTOR } from '../gas/volume.ts';
import { feet, type Micrometres } from '../units/length.ts';
import { rational } from '../units/rational.ts';
import { hundredths, insideNeeds, insideTasks, litresIn } from './inside.ts';
import type { Need, StructureDefinition } from './structure.ts';

/** Share of what it holds that a foil is filled to: creases left at the rim, or taut. House rule. */
export const FOIL_FILL: Readonly<Record<FoilLook, number>> = { creased: 0.9, firm: 1 };
export const LOOK_WORDS: Readonly<Record<FoilLook, string>> = {
	creased: 'by look: creases left at the rim, springs back',
	firm: 'by look: firm, no creases'
};

/** A ribbon measured on the spot: what is reckoned with, and between what. House rule. */
export const ON_SPOT = { usual: feet(5), low: feet(3), high: feet(9) } as const;

/** The letters and figures of a wording, in its order; spaces are no foils. */
export const lettersOf = (text: string): string[] => [...text.toUpperCase()].filter((c) => c.trim() !== '');

/** How often each stands in it, in the order first met: T 1, I 2, D 1. */
export function letterCounts(text: string): ReadonlyMap<string, number> {
	const counts = new Map<string, number>();
	for (const letter of lettersOf(text)) counts.set(letter, (counts.get(letter) ?? 0) + 1);
	return counts;
}

export const kindOfLetter = (letter: string): MaterialKind =>
	/\d/.test(letter) ? 'foil-number' : 'foil-letter';

/** Balloons and foils of one item; what only hangs on it is none. */
export function inflatedIn({ what, count }: BunchItem): number {
	if (what.kind === 'letters') return lettersOf(what.text).length * count;
	return what.kind === 'material' && what.flat === null ? 0 : count;
}

/** Litres one of it holds by its size alone; the maker's figure goes first. Undefined for what is not inflated. */
export function litresBySize(what: BunchThing): number | undefined {
	switch (what.kind) {
		case 'balloon': {
			const { nominal, size, inside } = what.balloon;
			const band = fillBand(resolveSize(size, nominal).assumed / (nominal / 1000));
			const factor = band === 'full' || band === 'firm' ? SHAPE_FACTOR.full : SHAPE_FACTOR.soft;
			// A balloon inside, filled with air, leaves less room for the gas.
			const taken = inside?.kind === 'balloon' ? litresIn(inside) : 0;
			return Math.max(0, litresIn(what.balloon) * factor - taken);
		}
		case 'material':
			return what.flat === null ? undefined : foilLitres(what.flat / 1000) * FOIL_FILL[what.look];
		case 'letters':
			return foilLitres(what.height / 1000) * FOIL_FILL[what.look];
	}
}

const ownNeed = (balloon: OwnBalloon, colourway: Colourway | undefined, count: number) =>
	({
		what: 'balloon',
		kind: balloon.kind,
		nominal: balloon.nominal,
		slot: balloon.slot,
		colour: colourway?.fills[balloon.slot] ?? null,
		material: balloon.material,
		size: balloon.size,
		method: methodOfPlace(balloon),
		quantity: rational(count)
	}) as const;

function itemNeeds(item: BunchItem, colourway: Colourway | undefined): Need[] {
	const { what, count, gas } = item;
	const needs: Need[] = [];
	const helium = (key: string, pieces: number, fill: number) => {
		const litres = litresBySize(what);
		if (gas !== 'helium' || litres === undefined) return;
		const quantity = hundredths(litres).mul(pieces);
		needs.push({
			what: 'count',
			of: 'litre of helium',
			quantity,
			holds: { key, pieces: rational(pieces), fill }
		});
	};
	if (what.kind === 'balloon') {
		const { balloon } = what;
		needs.push({ ...ownNeed(balloon, colourway, count), gas });
		needs.push(...insideNeeds(balloon, colourway, count));
		const colour = colourway?.fills[balloon.slot] ?? null;
		helium(balloon.material ?? matchKey(balloon.kind, balloon.nominal, colour), count, 1);
	} else if (what.kind === 'material') {
		const { material, flat, look } = what;
		const foil = flat === null ? {} : { foil: { flat, look, gas } };
		needs.push({ what: 'material', material, label: item.name, quantity: rational(count), ...foil });
		if (flat !== null) helium(material ?? '', count, FOIL_FILL[look]);
	} else {
		const colour = colourway?.fills[what.slot] ?? null;
		for (const [mark, each] of letterCounts(what.text)) {
			const kind = kindOfLetter(mark);
			needs.push({
				what: 'balloon',
				kind,
				nominal: what.height,
				slot: what.slot,
				colour,
				material: null,
				mark,
				size: { kind: 'unknown' },
				method: 'eye',
				gas,
				look: LOOK_WORDS[what.look],
				quantity: rational(each * count)
			});
			helium(matchKey(kind, what.height, colour, mark), each * count, FOIL_FILL[what.look]);
		}
	}
	if (item.ribbon) needs.push(ribbonNeed(item.ribbon, ribbonsOf(item)));
	return needs;
}

/** Every balloon of an item has a ribbon of its own. */
export const ribbonsOf = (item: BunchItem): number => Math.max(1, inflatedIn(item));

const ribbonNeed = (
	{ material, length }: { readonly material: string | null; readonly length: Micrometres | null },
	count: number
): Need => ({
	what: 'material',
	material,
	label: 'ribbon',
	quantity: rational(count),
	length: length === null ? { um: ON_SPOT.usual, low: ON_SPOT.low, high: ON_SPOT.high } : { um: length }
});

function needs({ items, weight }: Bunch, colourway: Colourway | undefined): Need[] {
	const found = items.flatMap((item) => itemNeeds(item, colourway));
	if (weight?.kind === 'material')
		found.push({
			what: 'material',
			material: weight.material,
			label: 'weight',
			quantity: rational(weight.count)
		});
	else if (weight) {
		found.push(ownNeed(weight.balloon, colourway, 1), ...insideNeeds(weight.balloon, colourway, 1));
	}
	return found;
}

function tasks({ items, weight }: Bunch): TaskCount[] {
	const found: TaskCount[] = [];
	const push = (task: Task, count: number, batches = 0, method: TaskCount['method'] = 'hole') =>
		found.push({ task, method, count, batches });
	const balloonTasks = (balloon: OwnBalloon, count: number) => {
		push(inflateTask(balloon.nominal), count, 1, methodOfPlace(balloon));
		push('tie', count);
		found.push(...insideTasks(balloon, count));
	};
	for (const item of items) {
		if (item.what.kind === 'balloon') balloonTasks(item.what.balloon, item.count);
		else if (item.what.kind === 'letters') push('foil', inflatedIn(item));
		else if (item.what.flat !== null) push('foil', item.count * item.what.chambers);
		else push('attach', item.count);
		if (item.ribbon) push('ribbon', ribbonsOf(item));
	}
	if (weight?.kind === 'balloon') balloonTasks(weight.balloon, 1);
	if (items.length > 0) {
		push('set up', 1);
		push('strike', 1);
	}
	return found;
}

/** Bouquet, centrepiece, foil on ribbon, a word of foils. */
export const bunch = {
	id: 'bunch',
	words: 'bunch',
	balloons: ({ items, weight }) =>
		items.reduce((a, i) => a + inflatedIn(i), 0) + (weight?.kind === 'balloon' ? 1 : 0),
	needs,
	tasks
} satisfies StructureDefinition<Bunch>;
