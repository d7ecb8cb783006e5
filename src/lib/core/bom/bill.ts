import type { Catalogue } from '../materials/catalogue.ts';
import { matchKey } from '../materials/catalogue.ts';
import { KIND_WORDS, type Material, type MaterialKind } from '../materials/material.ts';
import type { Method } from '../labour/task.ts';
import type { LineRole } from '../recipe/recipe.ts';
import { printSize, type Size } from '../sizing/size.ts';
import { sizeKey } from '../structures/stack.ts';
import { formatInches, type Micrometres } from '../units/length.ts';
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

/** A line of the list to inflate. */
export interface InflateLine {
	readonly key: string;
	readonly label: string;
	readonly nominal: Micrometres;
	readonly size: Size;
	readonly method: Method;
	readonly colour: string | null;
	readonly slot: string;
	readonly quantity: Rational;
	readonly where: string;
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
	for (const { need, where, recipe } of exploded) {
		switch (need.what) {
			case 'balloon': {
				const slot = recipe.slots.find((s) => s.id === need.slot)?.name ?? 'no slot';
				const own = need.material === null ? undefined : context.catalogue.materials.get(need.material);
				const found = own ?? context.catalogue.byMatch.get(matchKey(need.kind, need.nominal, need.colour));
				const open = need.colour === null && need.material === null;
				const colour =
					own?.name ??
					(need.colour === null
						? `${slot} (open)`
						: (context.catalogue.colours.get(need.colour)?.name ?? 'unknown colour'));
				const label = own?.name ?? `${formatInches(need.nominal)} ${KIND_WORDS[need.kind]}s, ${colour}`;
				const key =
					need.material === null
						? matchKey(need.kind, need.nominal, open ? `slot:${slot}` : need.colour)
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
				putMaterial(put, found, { ...need, role: need.role ?? USED }, where);
				break;
			}
			case 'count':
				for (const rule of followers(need.of, rulesFor(recipe.rules, context.rules))) {
					const { material } = rule;
					const found = material === null ? undefined : context.catalogue.materials.get(material);
					const quantity = need.quantity.mul(rational(rule.each));
					putMaterial(put, found, { material, label: `for each ${rule.of}`, quantity, role: USED }, where);
				}
		}
	}
	const lines = [...drafts].map(([key, draft]) => finish(key, draft, context));
	return {
		lines,
		inflate: [...inflate.values()],
		balloons: lines.reduce((a, l) => a + (l.key.startsWith('material:') ? 0 : ceiling(l.used)), 0),
		spares: lines.reduce((a, l) => a + l.spares, 0)
	};
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

function addInflate(
	lines: Map<string, InflateLine>,
	need: Extract<Exploded['need'], { what: 'balloon' }>,
	{ slot, colour, where }: { slot: string; colour: string; where: string }
) {
	const key = `${where}/${need.nominal}/${sizeKey(need.size)}/${need.colour ?? slot}`;
	const had = lines.get(key);
	lines.set(key, {
		key,
		label: `${formatInches(need.nominal)} at ${printSize(need.size)}, ${colour}`,
		nominal: need.nominal,
		size: need.size,
		method: need.method,
		colour: need.colour,
		slot,
		quantity: (had?.quantity ?? ZERO).add(need.quantity),
		where
	});
}

function finish(key: string, draft: Draft, context: BillContext): BillLine {
	const { material, label, balloon, status, used, role, spread } = draft;
	const said = material?.loss ?? (balloon ? context.defaultLoss : null);
	const loss = said === null ? 0 : rational(said).valueOf();
	const where: { label: string; quantity: Rational }[] = [];
	for (const [label, quantity] of draft.where) where.push({ label, quantity });
	const needed = ceiling(used);
	const bought = !material?.reuse && role !== 'reused' && role !== 'by-product';
	const spares = bought && role !== 'taken along' ? sparesFor(needed, loss, context.service) : 0;
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
