import type { Colourway } from '../../document/slot.ts';
import { alikeAtRandom, LaidOut } from '../../materials/assorted.ts';
import type { Id } from '../../document/id.ts';
import type { Colour } from '../../materials/material.ts';
import type { Catalogue } from '../../materials/catalogue.ts';
import type { Weave } from './document.ts';
import { graphOf } from './graph.ts';

/** How neighbours of a weave come out where an assorted bag is woven. */
export interface Alike {
	/** Pairs of balloons that meet and are both of such a bag. */
	readonly pairs: number;
	/** Pairs of one colour to be expected where balloons are taken as they come. */
	readonly atRandom: number;
	/** Pairs of one colour that are left where they are laid out first. */
	readonly laidOut: number;
	/** The name of the bag, and how many colours it has. */
	readonly bag: string;
	readonly colours: number;
}

/** The assorted bag that is in a slot; undefined where a colour by itself is, or none. */
export function assortedIn(slot: Id | null, colourway: Colourway | undefined, { colours }: Catalogue): Colour | undefined {
	const own = slot === null ? undefined : colours.get(colourway?.fills[slot] ?? '');
	return own?.of && own;
} // prettier-ignore

/** Balloons of a weave that meet at a joint, both of one assorted bag; undefined where none is woven. */
export function alikeIn(weave: Weave, colourway: Colourway | undefined, catalogue: Catalogue): Alike | undefined {
	const { woven } = graphOf(weave);
	const bags = woven.map(({ slot }) => assortedIn(slot, colourway, catalogue));
	const bag = bags.find((b) => b !== undefined);
	if (!bag) return undefined;
	const meeting = new Map<string, number[]>();
	woven.forEach(({ from, to }, i) => {
		for (const at of [from, to]) {
			const key = at.map((v) => Math.round((v ?? 0) * 1000)).join('/');
			meeting.set(key, [...(meeting.get(key) ?? []), i]);
		}
	});
	const neighbours = woven.map(() => new Set<number>());
	for (const all of meeting.values())
		for (const a of all) for (const b of all) if (a !== b && bags[a] && bags[a] === bags[b]) neighbours[a]!.add(b);
	const laid = new Map(bags.flatMap((b) => (b ? [[b.id, new LaidOut(b.of!)] as const] : [])));
	const is = new Map<number, number>();
	let [pairs, atRandom, laidOut] = [0, 0, 0];
	bags.forEach((own, i) => {
		if (!own) return;
		const before = [...neighbours[i]!].flatMap((n) => is.get(n) ?? []);
		const mine = laid.get(own.id)!.next(before);
		is.set(i, mine);
		pairs += before.length;
		atRandom += before.length * alikeAtRandom(own.of!);
		laidOut += before.filter((n) => n === mine).length;
	});
	return { pairs, atRandom, laidOut, bag: bag.name, colours: bag.of!.length };
} // prettier-ignore
