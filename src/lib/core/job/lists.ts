import type { Bill, BillLine } from '../bom/bill.ts';
import { NEVER_BOUGHT } from '../document/line-role.ts';
import { colourName } from '../document/names.ts';
import { foilLitres, modellingLitres } from '../gas/volume.ts';
import { flatOf, type MaterialKind } from '../materials/material.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import { isPiece } from '../owned/owned.ts';
import { resolveSize } from '../sizing/resolve.ts';
import { printSize } from '../sizing/size.ts';
import { sphereLitres, type PumpProfile } from '../sizing/strokes.ts';
import { ceiling } from '../units/rational.ts';

/** Lists of a job that are ticked off. */
export const JOB_LISTS = ['pull', 'inflate', 'pack', 'venue', 'strike'] as const;
export type JobList = (typeof JOB_LISTS)[number];

/** A line that is ticked off, by a key that stays its own while the job does not change. */
export interface TickLine {
	readonly key: string;
	readonly label: string;
	readonly count: string;
	readonly note: string;
}
export interface TickGroup {
	readonly name: string;
	readonly lines: readonly TickLine[];
}

/** What stands together on a shelf, in the order it is walked along. */
const SHELVES: readonly (readonly [name: string, is: (kind: MaterialKind) => boolean])[] = [
	['Round balloons', (kind) => kind === 'latex-round'],
	['Other latex', (kind) => kind.startsWith('latex') || kind === 'modelling'],
	['Foils', (kind) => kind.startsWith('foil')],
	['All else', () => true]
];

const many = (n: number, unit: string) => (unit === 'piece' ? String(n) : `${n} ${unit}`);
/** What of a line goes off the shelf: with its spares; of what comes back so many as are used. */
const wanted = (line: BillLine): number =>
	line.material?.reuse || line.role === 'reused' ? ceiling(line.used) : line.toBuy;

/** What is pulled off the shelf for a job: by the shelf it lies on, the largest bag first; what comes back by itself. */
export function pullList(lines: readonly BillLine[]): TickGroup[] {
	const taken = lines.filter((l) => !NEVER_BOUGHT.has(l.role) && wanted(l) > 0);
	const back = taken.filter((l) => l.material && isPiece(l.material));
	const rest = taken.filter((l) => !back.includes(l));
	const left = new Set(rest);
	const groups = SHELVES.map(([name, is]): TickGroup => {
		const own = [...left].filter((l) => is(kindOf(l)));
		for (const line of own) left.delete(line);
		return { name, lines: own.sort(bySize).map(pulled) };
	});
	return [...groups, { name: 'Comes back', lines: back.map(pulled) }].filter((g) => g.lines.length > 0);
}

const kindOf = ({ material, balloon }: BillLine): MaterialKind => material?.kind ?? (balloon ? 'latex-round' : 'accent'); // prettier-ignore
const bySize = (a: BillLine, b: BillLine) =>
	(b.material?.nominal ?? 0) - (a.material?.nominal ?? 0) || a.label.localeCompare(b.label, 'en');
const pulled = (line: BillLine): TickLine => ({
	key: line.key,
	label: line.label,
	count: many(wanted(line), line.unit),
	note: [
		line.spares > 0 && !line.material?.reuse ? `${line.spares} of them spare` : '',
		line.role === 'taken along' ? 'taken along, charged only if used' : '',
		line.status === 'open' ? 'its colour is not settled yet' : ''
	]
		.filter(Boolean)
		.join('; ')
});

/** What is inflated for all pieces of a job: by bag, size and way of sizing, so that a tool is set once. */
export function inflateList({ inflate }: Pick<Bill, 'inflate'>, { colourNames }: Pick<Catalogue, 'colourNames'>): TickGroup[] {
	const groups = new Map<string, TickLine[]>();
	const sorted = inflate.filter((l) => !l.tie).toSorted((a, b) => b.nominal - a.nominal || a.sizeTo.localeCompare(b.sizeTo, 'en'));
	for (const line of sorted) {
		const byLook = line.sizeTo !== printSize(line.size);
		const how = line.method === 'hole' && !byLook ? 'hole' : line.method === 'strokes' ? 'count strokes' : 'by eye';
		const name = `${line.bag}${byLook ? ', ' : ' to '}${line.sizeTo}, ${how}${line.gas === 'helium' ? ', helium' : ''}`;
		const colour = colourName(colourNames, line.colour, line.slot);
		groups.set(name, [...(groups.get(name) ?? []), { key: line.key, label: colour, count: line.quantity.toFraction(true), note: line.where }]);
	}
	return [...groups].map(([name, lines]) => ({ name, lines }));
} // prettier-ignore

/** Balls poured into bags and boxes fill so much of the room. Source: Scott & Kilgour 1969, random packing of equal balls, 0.58 to 0.65. */
const POURED = 0.6;
/** A 260 filled whole, 2 in × 60 in: what a modelling balloon takes at most. Common practice. */
const FULL_260 = modellingLitres(1524, 50.8);

/** Room that a job takes in the van, litres: what is inflated before it is driven; and how much of that is guessed by the bag. */
export function vanLitres({ inflate }: Pick<Bill, 'inflate'>, pumps: readonly PumpProfile[]): { readonly litres: number; readonly unsure: number } {
	let litres = 0;
	let unsure = 0;
	for (const { nominal, size, quantity, kind, tie, gas } of inflate) {
		// What floats is filled at the place, or on the day: it is not poured into a bag.
		if (tie || gas === 'helium') continue;
		const known = resolveSize(size, nominal, pumps);
		const flat = flatOf({ kind, nominal });
		const one = kind === 'modelling' ? FULL_260 : flat !== null ? foilLitres(flat / 1000) : sphereLitres(known.assumed);
		litres += one * quantity.valueOf();
		if (flat === null && !known.known) unsure += one * quantity.valueOf();
	}
	return { litres: litres / POURED, unsure: unsure / POURED };
} // prettier-ignore

/** A piece as it is packed. */
export interface PackedPiece {
	readonly id: string;
	readonly name: string;
	readonly quantity: number;
	/** What of it goes along loose: names of what comes back, what is only taken along. */
	readonly back: readonly { readonly key: string; readonly label: string; readonly count: string }[];
	readonly along: readonly { readonly key: string; readonly label: string; readonly count: string }[];
}

/** What goes into the van: each piece with what comes back of it and what is only taken along, then what is for all. */
export function packList(pieces: readonly PackedPiece[], bill: Pick<Bill, 'spares'>): TickGroup[] {
	return [
		...pieces.map(
			({ id, name, quantity, back, along }): TickGroup => ({
				name: `${quantity} × ${name}`,
				lines: [
					{ key: id, label: 'built and looked over', count: String(quantity), note: '' },
					...back.map((b) => ({ ...b, key: `${id}/${b.key}`, note: 'comes back' })),
					...along.map((a) => ({ ...a, key: `${id}/${a.key}`, note: 'taken along, comes back if it is not used' }))
				]
			})
		),
		{
			name: 'For all of it',
			lines: [
				{ key: 'spares', label: 'spare balloons', count: String(bill.spares), note: 'and what they are sized with' },
				...KIT.map((label) => ({ key: `kit/${label}`, label, count: '', note: '' }))
			].filter((l) => l.key !== 'spares' || bill.spares > 0)
		}
	];
} // prettier-ignore
/** What goes along to every set-up. Common practice. */
const KIT = ['pump and sizers', 'line, strips and dots', 'scissors and side cutters', 'gloves and sheets for the floor', 'ladder, if it hangs', 'bin bags'] as const; // prettier-ignore

/** What is looked over at the place before anybody leaves it. Common practice; what holds somebody up is for qualified people. */
export const VENUE_CHECKS: readonly TickLine[] = [
	['doors', 'Ways out, doors and signs are free'],
	['heat', 'Nothing stands near lamps, heaters or candles'],
	['steady', 'What stands does not tip when it is pushed'],
	['ties', 'What hangs is tied to what holds it, not to lights or sprinklers'],
	['floor', 'The floor is swept: no scraps, no bits of latex where children or animals are'],
	['photos', 'Photographs are taken'],
	['told', 'Whoever is responsible there has seen it, and knows when it is taken down']
].map(([key, label]) => ({ key: key!, label: label!, count: '', note: '' }));

/** What is taken down and brought home: what comes back, then the place. */
export function strikeList(lines: readonly BillLine[]): TickGroup[] {
	const back = lines.filter((l) => l.role !== 'by-product' && l.material && isPiece(l.material) && ceiling(l.used) > 0);
	const home = back.map((l) => ({ key: l.key, label: l.label, count: many(ceiling(l.used), l.unit), note: '' }));
	return [
		{
			name: 'At the place',
			lines: [
				{ key: 'burst', label: 'Balloons popped and binned, none let go', count: '', note: '' },
				{ key: 'clean', label: 'Ties, tape and scraps are off', count: '', note: '' },
				{ key: 'seen', label: 'Somebody there has seen that it is clean', count: '', note: '' }
			]
		},
		...(home.length > 0 ? [{ name: 'Comes home', lines: home }] : [])
	];
} // prettier-ignore
