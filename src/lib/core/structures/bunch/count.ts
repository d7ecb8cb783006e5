import type { SitePiece } from '../../labour/site.ts';
import { ONE_THING } from '../kit/one-thing.ts';
import { matchKey } from '../../materials/catalogue.ts';
import type { MaterialKind } from '../../materials/material.ts';
import { foilLitres, litresHeld, SHAPE_FACTOR, type GasRoom } from '../../gas/volume.ts';
import { plainTask, type Task, type TaskCount } from '../../labour/task.ts';
import type { Bunch, BunchItem, BunchThing } from './document.ts';
import type { Colourway } from '../../document/slot.ts';
import { type FoilLook, LOOKS } from '../../document/foil-look.ts';
import { fillBand } from '../../sizing/fill.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import { feet, type Micrometres } from '../../units/length.ts';
import { rational } from '../../units/rational.ts';
import { hundredths, insideNeeds, litresIn, ownNeed, ownTasks } from '../kit/filled.ts';
import type { Need } from '../kit/need.ts';
import { partNeed } from '../kit/part-need.ts';
import type { CountFacet } from '../facets/count.ts';
import { withBothEnds } from '../kit/ends.ts';

/** Share of what it holds that a foil is filled to: creases left at the rim, or taut. House rule. */
export const FOIL_FILL: Readonly<Record<FoilLook, number>> = { creased: 0.9, firm: 1 };
export const lookWords = (look: FoilLook): string => `by look: ${LOOKS[look]}`;

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

/** Undefined for what is not inflated. */
export function roomOf(what: BunchThing): GasRoom | undefined {
	if (what.kind === 'balloon') {
		const { nominal, size, inside } = what.balloon;
		const share = resolveSize(size, nominal).assumed / (nominal / 1000);
		const band = fillBand(share);
		const factor = band === 'full' || band === 'firm' ? SHAPE_FACTOR.full : SHAPE_FACTOR.soft;
		// Its air goes with the cube of its size; a balloon inside, filled with air, leaves less room for the gas.
		const fill = share ** 3;
		const less = inside?.kind === 'balloon' ? litresIn(inside) : 0;
		return { full: (litresIn(what.balloon) * factor) / fill, fill, less };
	}
	const flat = what.kind === 'letters' ? what.height : what.flat;
	return flat === null ? undefined : { full: foilLitres(flat / 1000), fill: FOIL_FILL[what.look], less: 0 };
}

function itemNeeds(item: BunchItem, colourway: Colourway | undefined): Need[] {
	const { what, count, gas } = item;
	const needs: Need[] = [];
	const room = gas === 'helium' ? roomOf(what) : undefined;
	const helium = (key: string, pieces: number) => {
		if (!room) return;
		const quantity = hundredths(litresHeld(room)).mul(pieces);
		needs.push({
			what: 'count',
			of: 'litre of helium',
			quantity,
			holds: { key, pieces: rational(pieces), room }
		});
	};
	if (what.kind === 'balloon') {
		const { balloon } = what;
		needs.push({ ...ownNeed(balloon, colourway, count), gas });
		needs.push(...insideNeeds(balloon, colourway, count));
		const colour = colourway?.fills[balloon.slot] ?? null;
		helium(balloon.material ?? matchKey(balloon.kind, balloon.nominal, colour), count);
	} else if (what.kind === 'material') {
		const { material, flat, look } = what;
		const foil = flat === null ? {} : { foil: { flat, look, gas } };
		needs.push({ what: 'material', material, label: item.name, quantity: rational(count), ...foil });
		helium(material ?? '', count);
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
				look: lookWords(what.look),
				quantity: rational(each * count)
			});
			helium(matchKey(kind, what.height, colour, mark), each * count);
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

/** A bunch of as few or as many as it may have. */
const atEnd = ({ items, ...bunch }: Bunch, end: 'low' | 'high'): Bunch => ({
	...bunch,
	items: items.map(({ range, ...item }) => ({ ...item, count: range?.[end] ?? item.count }))
});
function needsOfItems({ items, weight }: Bunch, colourway: Colourway | undefined): Need[] {
	const found = items.flatMap((item) => itemNeeds(item, colourway));
	const letters = items.reduce(
		(a, { what, count }) => a + (what.kind === 'letters' ? lettersOf(what.text).length * count : 0),
		0
	);
	found.push(
		...partNeed('letter', letters),
		...partNeed(
			'foil',
			items.reduce((a, i) => a + (i.what.kind === 'material' && i.what.flat !== null ? i.count : 0), 0)
		),
		...partNeed(
			'ribbon',
			items.reduce((a, i) => a + (i.ribbon ? ribbonsOf(i) : 0), 0)
		)
	);
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

function tasksOfItems({ items, weight }: Bunch): TaskCount[] {
	const found: TaskCount[] = [];
	const push = (task: Task, count: number) => found.push(plainTask(task, count));
	for (const item of items) {
		if (item.what.kind === 'balloon') found.push(...ownTasks(item.what.balloon, item.count));
		else if (item.what.kind === 'letters') found.push(...foilTasks(item, inflatedIn(item)));
		else if (item.what.flat !== null) found.push(...foilTasks(item, item.count * item.what.chambers));
		else push('attach', item.count);
		if (item.ribbon) push('ribbon', ribbonsOf(item));
	}
	if (weight?.kind === 'balloon') found.push(...ownTasks(weight.balloon, 1));
	return found;
}

/** Filling foils: each by itself, and what they hold by the litre. @param count valves to fill */
function foilTasks({ what, gas }: BunchItem, count: number): TaskCount[] {
	const room = roomOf(what);
	const litres = room ? Math.round(litresHeld(room)) : 0;
	const filled = gas === 'helium' ? 'foil, helium' : 'foil, air';
	return [plainTask('foil', count), ...(litres > 0 ? [plainTask(filled, litres * count)] : [])];
}

/** Bouquet, centrepiece, foil on ribbon, a word of foils. */
export const count: CountFacet<Bunch> = {
	sold: 'bunch',
	soldBy: () => 0,
	balloons: ({ items, weight }) =>
		items.reduce((a, i) => a + inflatedIn(i), 0) + (weight?.kind === 'balloon' ? 1 : 0),
	...ONE_THING,
	...withBothEnds({ needs: needsOfItems, tasks: tasksOfItems }, (bunch) =>
		bunch.items.some((i) => i.range) ? { low: atEnd(bunch, 'low'), high: atEnd(bunch, 'high') } : undefined
	),
	site: bunchSite
};

/** More than this many is no centrepiece: two hands carry it, and it stands on the floor. House rule. */
const CENTREPIECE = 12;

function bunchSite({ items }: Bunch): SitePiece | null {
	const many = items.reduce((a, i) => a + i.count, 0);
	if (many === 0) return null;
	return many > CENTREPIECE ? { how: 'stands', mm: 1500 } : { how: 'on a table', mm: 600 };
}
