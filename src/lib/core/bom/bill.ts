import type { Catalogue } from '../materials/catalogue.ts';
import { matchKey } from '../materials/catalogue.ts';
import type { Material, MaterialKind } from '../materials/material.ts';
import { unitCost } from '../materials/unit-cost.ts';
import type { LineRole } from '../recipe/recipe.ts';
import {
	addFoil,
	addInflate,
	kindOfBalloon,
	type BalloonNeed,
	type InflateLine,
	type MaterialNeed
} from './inflate-list.ts';
import { litresHeld } from '../gas/volume.ts';
import { hundredths } from '../structures/inside.ts';
import { MICROMETRES, type LengthUnit } from '../units/length.ts';
import { ceiling, rational, ZERO, type Rational, type RationalText } from '../units/rational.ts';
import type { Exploded } from './explode.ts';
import { NEVER_NOTHING, rulesFor, type CountOf, type FollowOnRule } from './follow-on.ts';
import { sparesFor } from './spares.ts';

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
	readonly used: Rational;
	readonly loss: number;
	/** Whole extra pieces so that losses leave enough. */
	readonly spares: number;
	/** Whole pieces; 0 for things that come back. */
	readonly toBuy: number;
	/** `open`: its slot has no colour yet; `unlisted`: not in the Stockroom. */
	readonly status: 'listed' | 'unlisted' | 'open';
	/** What becomes of it; balloons and follow-on lines are always used. */
	readonly role: LineRole;
	/** Where part of the count is an estimate: the least and the most it may be. */
	readonly estimate: { readonly low: Rational; readonly high: Rational } | null;
	readonly where: readonly { readonly label: string; readonly quantity: Rational }[];
}

export interface Bill {
	readonly lines: readonly BillLine[];
	readonly inflate: readonly InflateLine[];
	/** Balloons of clusters; modelling balloons that only tie are lines, not balloons of the piece. */
	readonly balloons: number;
	readonly spares: number;
}

const BALLOONS: ReadonlySet<MaterialKind> = new Set<MaterialKind>([
	'latex-round', 'latex-heart', 'latex-link', 'modelling', 'foil-round', 'foil-heart', 'foil-star', 'foil-shape',
	'foil-letter', 'foil-number'
]); // prettier-ignore

interface Draft {
	material: Material | undefined;
	label: string;
	balloon: boolean;
	status: BillLine['status'];
	role: LineRole;
	used: Rational;
	/** What the estimates in it may be less and more, together. */
	spread: { readonly less: Rational; readonly more: Rational } | null;
	where: Map<string, Rational>;
}

/** Merges exploded needs into the two lists; lines stand in the order first met. */
export function bill(exploded: readonly Exploded[], context: BillContext): Bill {
	const drafts = new Map<string, Draft>();
	const inflate = new Map<string, InflateLine>();
	const put: Put = (key, draft, { quantity, range }, where) => {
		let had = drafts.get(key);
		if (had) {
			had.used = had.used.add(quantity);
			const here = had.where.get(where);
			had.where.set(where, here ? here.add(quantity) : quantity);
		} else {
			const { material, label, balloon, status, role } = draft;
			had = { material, label, balloon, status, role, used: quantity, spread: null, where: new Map() };
			had.where.set(where, quantity);
			drafts.set(key, had);
		}
		if (range) {
			const { less, more } = had.spread ?? { less: ZERO, more: ZERO };
			had.spread = {
				less: less.add(quantity.sub(range.low)),
				more: more.add(range.high.sub(quantity))
			};
		}
	};
	for (const { need: said, where, recipe } of exploded) {
		const need = said.what === 'balloon' && said.any ? inCheapest(said, context.catalogue) : said;
		switch (need.what) {
			case 'balloon': {
				const slot =
					recipe.slots.find((s) => s.id === need.slot)?.name ?? (need.any ? 'any colour' : 'no slot');
				const own = need.material === null ? undefined : context.catalogue.materials.get(need.material);
				const match = keyOfBalloon(need, need.colour);
				const found = own ?? context.catalogue.byMatch.get(match);
				const open = need.colour === null && need.material === null;
				const colour =
					own?.name ??
					(need.colour === null
						? `${slot} (open)`
						: (context.catalogue.colours.get(need.colour)?.name ?? 'unknown colour'));
				const label = own?.name ?? `${kindOfBalloon(need)}, ${colour}`;
				const key =
					need.material === null
						? open
							? keyOfBalloon(need, `slot:${slot}`)
							: match
						: `own:${need.material}`;
				const status = open ? 'open' : found ? 'listed' : 'unlisted';
				const draft = {
					material: open ? undefined : found,
					label,
					balloon: true,
					status,
					role: USED
				} as const;
				put(key, draft, need, where);
				addInflate(inflate, need, { slot, colour, where });
				break;
			}
			case 'material': {
				const found = need.material === null ? undefined : context.catalogue.materials.get(need.material);
				putMaterial(put, found, { ...need, ...ofLength(need, found), role: need.role ?? USED }, where);
				if (need.foil) addFoil(inflate, need, found, { where, catalogue: context.catalogue });
				break;
			}
			case 'count':
				for (const rule of followers(need.of, rulesFor(recipe.rules, context.rules))) {
					const { material } = rule;
					const found = material === null ? undefined : context.catalogue.materials.get(material);
					const quantity = litresTaken(need, context.catalogue).mul(rational(rule.each));
					putMaterial(put, found, { material, label: `for each ${rule.of}`, quantity, role: USED }, where);
				}
		}
	}
	const lines = [...drafts].map(([key, draft]) => finish(key, draft, context));
	return {
		lines,
		inflate: [...inflate.values()],
		balloons: lines.reduce((a, l) => a + (l.key.startsWith('material:') ? 0 : ceiling(l.used)), 0),
		spares: lines.reduce((a, l) => a + (l.material?.kind === 'gas' ? 0 : l.spares), 0)
	};
}

/** Modelling balloons are known by their model alone: the bag says no other size. */
const keyOfBalloon = ({ kind, nominal, mark }: BalloonNeed, colour: string | null): string =>
	matchKey(kind, kind === 'modelling' ? null : nominal, colour, mark ?? null);

/** A balloon nobody sees, in the colour that costs least; as it is where none of its kind and size has a price. */
function inCheapest(need: BalloonNeed, { materials }: Catalogue): BalloonNeed {
	let [best, least]: [Material | undefined, Rational | undefined] = [undefined, undefined];
	for (const material of materials.values()) {
		if (material.kind !== need.kind || material.nominal !== need.nominal || material.colour === null)
			continue;
		const cost = unitCost(material);
		if (cost && (!least || cost.compare(least) < 0)) [best, least] = [material, cost];
	}
	return best ? { ...need, colour: best.colour } : need;
}

/** What is bought by length is counted in its own unit; without one each takes a piece. */
function ofLength(
	{ quantity, length }: MaterialNeed,
	found: Material | undefined
): Pick<MaterialNeed, 'quantity' | 'range'> {
	if (!length) return { quantity };
	const unit = found === undefined ? 'ft' : found.unit;
	if (!isLengthUnit(unit)) return { quantity };
	const inUnit = (um: number) => quantity.mul(rational(um, MICROMETRES[unit]));
	const range =
		length.low === undefined || length.high === undefined
			? {}
			: { range: { low: inUnit(length.low), high: inUnit(length.high) } };
	return { quantity: inUnit(length.um), ...range };
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
	return own.length > 0 || !NEVER_NOTHING.has(of) ? own : [{ of, each: '1', material: null }];
}

type Put = (
	key: string,
	draft: Omit<Draft, 'used' | 'spread' | 'where'>,
	count: Pick<Extract<Exploded['need'], { what: 'material' }>, 'quantity' | 'range'>,
	where: string
) => void;

/** Optional lines that are taken are used like any other. */
const USED: LineRole = 'always';

function putMaterial(
	put: Put,
	found: Material | undefined,
	need: {
		readonly material: string | null;
		readonly label: string;
		readonly role: LineRole;
		readonly quantity: Rational;
		readonly range?: { readonly low: Rational; readonly high: Rational };
	},
	where: string
) {
	const { material: id, label } = need;
	const role = need.role === 'optional' ? USED : need.role;
	const balloon = found !== undefined && BALLOONS.has(found.kind);
	const status = found ? 'listed' : id === null ? 'open' : 'unlisted';
	const named = found?.name ?? `${label}, not chosen yet`;
	const key = role === USED ? `material:${id ?? label}` : `material:${id ?? label}/${role}`;
	put(key, { material: found, label: named, balloon, status, role }, need, where);
}

function finish(key: string, draft: Draft, context: BillContext): BillLine {
	const { material, label, balloon, status, used, role, spread } = draft;
	const said = material?.loss ?? (balloon ? context.defaultLoss : null);
	const loss = said === null ? 0 : rational(said).valueOf();
	const where: { label: string; quantity: Rational }[] = [];
	for (const [label, quantity] of draft.where) where.push({ label, quantity });
	const needed = ceiling(used);
	const bought = !material?.reuse && role !== 'reused' && role !== 'by-product';
	const spares =
		!bought || role === 'taken along'
			? 0
			: material?.kind === 'gas'
				? ceiling(used.div(rational(1).sub(said === null ? 0 : rational(said)))) - needed
				: sparesFor(needed, loss, context.service);
	return {
		key,
		material,
		label,
		balloon,
		used,
		loss,
		spares,
		toBuy: bought ? needed + spares : 0,
		status,
		role,
		estimate:
			spread && (!spread.less.equals(0) || !spread.more.equals(0))
				? { low: used.sub(spread.less), high: used.add(spread.more) }
				: null,
		where
	};
}
