import { materialKey } from '../materials/material-key.ts';
import { openName, slotName } from '../document/names.ts';
import { type Catalogue, matchKey } from '../materials/catalogue.ts';
import type { Material, MaterialKind } from '../materials/material.ts';
import { unitCost } from '../materials/unit-cost.ts';
import { NEVER_BOUGHT, type LineRole } from '../document/line-role.ts';
import {
	addFoil,
	addInflate,
	kindOfBalloon,
	type BalloonNeed,
	type InflateLine,
	type MaterialNeed
} from './inflate-list.ts';
import { litresHeld } from '../gas/volume.ts';
import { hundredths } from '../structures/kit/filled.ts';
import { SQUARE_FEET, squareFeet } from '../units/area.ts';
import { MICROMETRES, type LengthUnit } from '../units/length.ts';
import { ceiling, ONE, rational, ZERO, type Rational, type RationalText } from '../units/rational.ts';
import type { Exploded, PaidNeed } from './explode.ts';
import { rulesFor } from '../document/rule.ts';
import { NEEDS_SOMETHING } from './follow-on.ts';
import type { CountOf, FollowOnRule } from '../document/rule.ts';
import { takeLeftovers, USED, type Draft, type Either } from './bill-draft.ts';
import { sparesFor, sparesTogether } from './spares.ts';

export interface BillContext {
	readonly catalogue: Catalogue;
	readonly rules: readonly FollowOnRule[];
	/** Loss of balloons whose material says nothing. */
	readonly defaultLoss: RationalText;
	/** Chance that the spares are enough, material by material. */
	readonly service: number;
}

/** A line of the list to buy. */
export interface BillLine {
	readonly key: string;
	/** Undefined where the Stockroom has no such material: its cost is unknown. */
	readonly material: Material | undefined;
	/** `11 rounds, harbour blue`. */
	readonly label: string;
	readonly balloon: boolean;
	/** What is counted: pieces, feet of what is bought by length, square feet of what is cut of sheets. */
	readonly unit: string;
	readonly used: Rational;
	readonly loss: number;
	/** What is expected to be lost on the way, loss × used; of gas what escapes for so much that is used. */
	readonly lost: Rational;
	/** Whole extra pieces to take along, so that losses leave enough; those that survive go back to stock. */
	readonly spares: number;
	/** Whole pieces with the spares; 0 for things that come back. */
	readonly toBuy: number;
	/** `open`: its slot has no colour yet; `unlisted`: not in the Stockroom. */
	readonly status: 'listed' | 'unlisted' | 'open';
	/** What becomes of it; balloons and follow-on lines are always used. */
	readonly role: LineRole;
	/** Where part of the count is an estimate: the least and the most it may be. */
	readonly estimate: { readonly low: Rational; readonly high: Rational } | null;
	/** What some of it may be instead, until that is known: another bag. */
	readonly either?: readonly Either[] | undefined;
	readonly where: readonly { readonly label: string; readonly quantity: Rational }[];
	/** What each line of an order takes of it, by their places in the order. */
	readonly byLine: ReadonlyMap<number, Rational>;
}

/** Money that is paid besides, of all that ask for it alike. */
export interface BillPaid {
	readonly key: string;
	readonly label: string;
	/** Of one, minor units. */
	readonly minor: number;
	readonly quantity: Rational;
	readonly byLine: ReadonlyMap<number, Rational>;
}

export interface Bill {
	readonly lines: readonly BillLine[];
	readonly paid: readonly BillPaid[];
	readonly inflate: readonly InflateLine[];
	/** Balloons and foils that are inflated; what is left uninflated to tie with is none. */
	readonly balloons: number;
	readonly spares: number;
}

const BALLOONS: ReadonlySet<MaterialKind> = new Set<MaterialKind>([
	'latex-round', 'latex-heart', 'latex-link', 'modelling', 'foil-round', 'foil-heart', 'foil-star', 'foil-shape',
	'foil-letter', 'foil-number'
]); // prettier-ignore

/** Merges exploded needs into the two lists; lines stand in the order first met. */
export function bill(exploded: readonly Exploded[], context: BillContext): Bill {
	const drafts = new Map<string, Draft>();
	const inflate = new Map<string, InflateLine>();
	const paid = new Map<string, BillPaid & { byLine: Map<number, Rational> }>();
	const put = putInto(drafts);
	for (const each of exploded) {
		const { need } = each;
		if (need.what === 'balloon') putBalloon(put, inflate, need, each, context);
		else if (need.what === 'material') {
			const found = need.material === null ? undefined : context.catalogue.materials.get(need.material);
			putMaterial(put, found, { ...need, ...ofLength(need, found), role: need.role ?? USED }, each);
			if (need.foil) addFoil(inflate, need, found, { where: each.where, catalogue: context.catalogue });
		} else if (need.what === 'paid') putPaid(paid, need, each);
		else putFollowers(put, need, each, context);
	}
	takeLeftovers(drafts);
	const lines = covered(
		[...drafts].map(([key, draft]) => finish(key, draft, context)),
		context.service
	);
	return {
		lines,
		paid: [...paid.values()],
		inflate: [...inflate.values()],
		balloons: [...inflate.values()].reduce((a, l) => a + (l.tie ? 0 : ceiling(l.quantity)), 0),
		spares: lines.reduce((a, l) => a + l.spares, 0)
	};
}

/** Adds what is paid to what is paid alike. */
function putPaid(
	paid: Map<string, BillPaid & { byLine: Map<number, Rational> }>,
	{ label, minor, quantity }: PaidNeed,
	{ line = 0 }: Exploded
) {
	const key = `paid:${label}/${minor}`;
	const own = paid.get(key);
	const byLine = own?.byLine ?? new Map<number, Rational>();
	byLine.set(line, (byLine.get(line) ?? ZERO).add(quantity));
	paid.set(key, { key, label, minor, quantity: (own?.quantity ?? ZERO).add(quantity), byLine });
}

/** Adds a need to the line of its key, which begins as said where there is none. */
const putInto =
	(drafts: Map<string, Draft>): Put =>
	(key, draft, { quantity, range }, { where, line = 0 }, either) => {
		const own = drafts.get(key) ?? {
			...draft,
			used: ZERO,
			spread: null,
			either: new Map<string, Either>(),
			where: new Map<string, Rational>(),
			byLine: new Map<number, Rational>()
		};
		drafts.set(key, own);
		own.used = own.used.add(quantity);
		own.where.set(where, (own.where.get(where) ?? ZERO).add(quantity));
		own.byLine.set(line, (own.byLine.get(line) ?? ZERO).add(quantity));
		if (either) {
			const before = own.either.get(either.label)?.quantity ?? ZERO;
			own.either.set(either.label, { ...either, quantity: before.add(either.quantity) });
		}
		if (!range) return;
		const { less, more } = own.spread ?? { less: ZERO, more: ZERO };
		own.spread = { less: less.add(quantity.sub(range.low)), more: more.add(range.high.sub(quantity)) };
	};

/** Balloons: by their material where one stands for them, else by what they are. */
function putBalloon(
	put: Put,
	inflate: Map<string, InflateLine>,
	said: BalloonNeed,
	each: Exploded,
	{ catalogue }: BillContext
) {
	const need = said.any ? inCheapest(said, catalogue) : said;
	const slot = need.any ? 'any colour' : slotName(need.slot, each.recipe.slots);
	const own = need.material === null ? undefined : catalogue.materials.get(need.material);
	const match = keyOfBalloon(need, need.colour);
	const open = need.colour === null && need.material === null;
	const named = need.material === null ? catalogue.byMatch.get(match) : own;
	const found = open ? undefined : named;
	const colour =
		own?.name ??
		(need.colour === null ? openName(slot) : (catalogue.colourNames.get(need.colour) ?? 'unknown colour'));
	const label = own?.name ?? `${kindOfBalloon(need)}, ${colour}`;
	// One material is one line, however it is reached: by a colour, by its name, by a rule.
	const unlisted = need.material ?? (open ? keyOfBalloon(need, `slot:${slot}`) : match);
	const key = found ? materialKey(found.id) : `balloon:${unlisted}`;
	const status = open ? 'open' : found ? 'listed' : 'unlisted';
	put(
		key,
		{ material: found, label, balloon: true, unit: 'piece', status, role: USED },
		need,
		each,
		otherBag(need, colour, catalogue)
	);
	// A certain material is of its own colour, whatever its slot holds.
	const of = own?.colour ? { ...need, colour: own.colour } : need;
	addInflate(inflate, of, { slot, colour, where: each.where });
}

/** The other bag a balloon may be of. */
function otherBag(need: BalloonNeed, colour: string, { byMatch }: Catalogue): Either | undefined {
	if (need.or === undefined) return undefined;
	const other = { ...need, nominal: need.or };
	const material = byMatch.get(keyOfBalloon(other, need.colour));
	const label = material?.name ?? `${kindOfBalloon(other)}, ${colour}`;
	return { label, material, quantity: need.quantity };
}

/** What follows from a count, by the rules of the design, else of the studio. */
function putFollowers(
	put: Put,
	need: Extract<Exploded['need'], { what: 'count' }>,
	each: Exploded,
	{ catalogue, rules }: BillContext
) {
	for (const rule of followers(need.of, rulesFor(each.recipe.rules, rules))) {
		const { material } = rule;
		const found = material === null ? undefined : catalogue.materials.get(material);
		const quantity = litresTaken(need, catalogue).mul(rational(rule.each));
		putMaterial(put, found, { material, label: `for each ${rule.of}`, quantity, role: USED }, each);
	}
}

/**
 * Small lines, which alone would take no spare, are covered together with the others of their kind: six bands of which
 * each survives with 96 in 100 all survive with only 78.
 */
function covered(lines: readonly BillLine[], service: number): BillLine[] {
	const small = new Map<MaterialKind, BillLine[]>();
	for (const line of lines) {
		const { material, loss, toBuy, spares } = line;
		if (!material || material.kind === 'gas' || loss === 0 || toBuy === 0 || spares > 0) continue;
		if (line.role === 'taken along') continue;
		small.set(material.kind, [...(small.get(material.kind) ?? []), line]);
	}
	const more = new Map<string, number>();
	for (const own of small.values()) {
		const risks = own.map(({ toBuy, loss }) => ({ needed: toBuy, loss }));
		sparesTogether(risks, service).forEach((spares, i) => more.set(own[i]!.key, spares));
	}
	return lines.map((line) => {
		const spares = more.get(line.key) ?? 0;
		return spares === 0 ? line : { ...line, spares, toBuy: line.toBuy + spares };
	});
}

/** Modelling balloons are known by their model alone: the bag says no other size. */
const keyOfBalloon = ({ kind, nominal, mark }: BalloonNeed, colour: string | null): string =>
	matchKey(kind, kind === 'modelling' ? null : nominal, colour, mark ?? null);

/** A balloon nobody sees, in the colour that costs least; as it is where none of its kind and size has a price. */
function inCheapest(need: BalloonNeed, { materials }: Catalogue): BalloonNeed {
	let [best, least]: [Material | undefined, Rational | undefined] = [undefined, undefined];
	for (const material of materials.values()) {
		if (material.kind !== need.kind || material.nominal !== need.nominal) continue;
		if (material.colour === null || material.retired) continue;
		const cost = unitCost(material);
		if (cost && (!least || cost.compare(least) < 0)) [best, least] = [material, cost];
	}
	return best ? { ...need, colour: best.colour } : need;
}

/** What is bought by length or by the square foot is counted in its own unit; without one each takes a piece. */
function ofLength(
	{ quantity, length, sides }: MaterialNeed,
	found: Material | undefined
): Pick<MaterialNeed, 'quantity' | 'range'> & { readonly unit?: LengthUnit } {
	if (sides && found?.unit === SQUARE_FEET)
		return { quantity: quantity.mul(squareFeet(sides.wide, sides.deep)) };
	if (!length) return { quantity };
	const unit = found === undefined ? 'ft' : found.unit;
	if (!isLengthUnit(unit)) return { quantity };
	const inUnit = (um: number) => quantity.mul(rational(um, MICROMETRES[unit]));
	const range =
		length.low === undefined || length.high === undefined
			? {}
			: { range: { low: inUnit(length.low), high: inUnit(length.high) } };
	return { quantity: inUnit(length.um), unit, ...range };
}
const isLengthUnit = (unit: string): unit is LengthUnit => unit in MICROMETRES;

/** Litres by the maker's figure where the Stockroom has it, else by size. */
function litresTaken(
	{ quantity, holds }: Extract<Exploded['need'], { what: 'count' }>,
	{ materials, byMatch }: Catalogue
): Rational {
	const litres = holds && (materials.get(holds.key) ?? byMatch.get(holds.key))?.litres;
	return holds && litres != null ? hundredths(litresHeld(holds.room, litres)).mul(holds.pieces) : quantity;
}

/** What follows from a count. A count that cannot go without takes something, though nobody has said what. */
function followers(of: CountOf, rules: readonly FollowOnRule[]): readonly FollowOnRule[] {
	const own = rules.filter((r) => r.of === of);
	return own.length > 0 || !NEEDS_SOMETHING.has(of) ? own : [{ of, each: '1', material: null }];
}

type Put = (
	key: string,
	draft: Omit<Draft, 'used' | 'spread' | 'either' | 'where' | 'byLine'>,
	count: Pick<Extract<Exploded['need'], { what: 'material' }>, 'quantity' | 'range'>,
	from: Pick<Exploded, 'where' | 'line'>,
	either?: Either
) => void;

function putMaterial(
	put: Put,
	found: Material | undefined,
	need: {
		readonly material: string | null;
		readonly label: string;
		readonly role: LineRole;
		readonly quantity: Rational;
		readonly range?: { readonly low: Rational; readonly high: Rational };
		/** Of what nobody has chosen yet. */
		readonly unit?: LengthUnit;
	},
	from: Pick<Exploded, 'where' | 'line'>
) {
	const { material: id, label } = need;
	const role = need.role === 'optional' ? USED : need.role;
	const balloon = found !== undefined && BALLOONS.has(found.kind);
	const status = found ? 'listed' : id === null ? 'open' : 'unlisted';
	const named = found?.name ?? `${label}, not chosen yet`;
	const key = materialKey(id ?? label, role);
	const unit = found?.unit ?? need.unit ?? 'piece';
	put(key, { material: found, label: named, balloon, unit, status, role }, need, from);
}

function finish(key: string, draft: Draft, context: BillContext): BillLine {
	const { material, label, balloon, unit, status, used, role, spread, either, byLine } = draft;
	const said = material?.loss ?? (balloon ? context.defaultLoss : null);
	const share = said === null ? ZERO : rational(said);
	const gas = material?.kind === 'gas';
	const needed = ceiling(used);
	const bought = !material?.reuse && !NEVER_BOUGHT.has(role);
	// What is only taken along is not used up: its loss is the loss of what is used.
	const atRisk = bought && role !== 'taken along';
	const lost = !atRisk ? ZERO : gas ? used.div(ONE.sub(share)).sub(used) : used.mul(share);
	const spares = atRisk && !gas ? sparesFor(needed, share.valueOf(), context.service) : 0;
	const less = spread && (!spread.less.equals(0) || !spread.more.equals(0));
	return {
		key,
		material,
		label,
		balloon,
		unit,
		used,
		loss: share.valueOf(),
		lost,
		spares,
		toBuy: !bought ? 0 : gas ? ceiling(used.add(lost)) : needed + spares,
		status,
		role,
		estimate: less ? { low: used.sub(spread.less), high: used.add(spread.more) } : null,
		...(either.size > 0 && { either: [...either.values()] }),
		where: [...draft.where].map(([label, quantity]) => ({ label, quantity })),
		byLine
	};
}
