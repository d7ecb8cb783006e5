import type { Catalogue } from '../materials/catalogue.ts';
import { matchKey } from '../materials/catalogue.ts';
import { KIND_WORDS, type Material, type MaterialKind } from '../materials/material.ts';
import { methodOf, type Method } from '../labour/task.ts';
import { printSize, type Size } from '../sizing/size.ts';
import { sizeKey } from '../structures/stack.ts';
import type { CountOf } from '../structures/structure.ts';
import { formatInches, type Micrometres } from '../units/length.ts';
import { ceiling, rational, ZERO, type Rational, type RationalText } from '../units/rational.ts';
import type { Exploded } from './explode.ts';
import { sparesFor } from './spares.ts';

/** A line that follows from a count: a patch a floor contact, one modelling balloon for four clusters. Data, editable. */
export interface FollowOnRule {
	readonly of: CountOf;
	/** Pieces a count. */
	readonly each: RationalText;
	readonly material: string | null;
}

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
	used: Rational;
	where: Map<string, Rational>;
}

/** Merges exploded needs into the two lists; lines stand in the order first met. */
export function bill(exploded: readonly Exploded[], context: BillContext): Bill {
	const drafts = new Map<string, Draft>();
	const inflate = new Map<string, InflateLine>();
	const put = (key: string, draft: Omit<Draft, 'used' | 'where'>, quantity: Rational, where: string) => {
		const had = drafts.get(key) ?? { ...draft, used: ZERO, where: new Map<string, Rational>() };
		had.used = had.used.add(quantity);
		had.where.set(where, (had.where.get(where) ?? ZERO).add(quantity));
		drafts.set(key, had);
	};
	for (const { need, where, recipe } of exploded) {
		switch (need.what) {
			case 'balloon': {
				const slot = recipe.slots.find((s) => s.id === need.slot)?.name ?? 'no slot';
				const found = context.catalogue.byMatch.get(matchKey(need.kind, need.nominal, need.colour));
				const open = need.colour === null;
				const colour = open
					? `${slot} (open)`
					: (context.catalogue.colours.get(need.colour)?.name ?? 'unknown colour');
				const label = `${formatInches(need.nominal)} ${KIND_WORDS[need.kind]}s, ${colour}`;
				const key = matchKey(need.kind, need.nominal, open ? `slot:${slot}` : need.colour);
				const status = open ? 'open' : found ? 'listed' : 'unlisted';
				put(key, { material: open ? undefined : found, label, balloon: true, status }, need.quantity, where);
				addInflate(inflate, need, { slot, colour, where });
				break;
			}
			case 'material': {
				const found = need.material === null ? undefined : context.catalogue.materials.get(need.material);
				putMaterial(put, found, need.material, need.label, need.quantity, where);
				break;
			}
			case 'count':
				for (const rule of context.rules.filter((r) => r.of === need.of)) {
					const found = rule.material === null ? undefined : context.catalogue.materials.get(rule.material);
					putMaterial(
						put,
						found,
						rule.material,
						`for each ${rule.of}`,
						need.quantity.mul(rational(rule.each)),
						where
					);
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

function putMaterial(
	put: (key: string, draft: Omit<Draft, 'used' | 'where'>, quantity: Rational, where: string) => void,
	found: Material | undefined,
	id: string | null,
	label: string,
	quantity: Rational,
	where: string
) {
	const balloon = found !== undefined && BALLOONS.has(found.kind);
	const status = found ? 'listed' : id === null ? 'open' : 'unlisted';
	const named = found?.name ?? `${label}, not chosen yet`;
	put(`material:${id ?? label}`, { material: found, label: named, balloon, status }, quantity, where);
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
		method: methodOf(need.size),
		colour: need.colour,
		slot,
		quantity: (had?.quantity ?? ZERO).add(need.quantity),
		where
	});
}

function finish(key: string, draft: Draft, context: BillContext): BillLine {
	const { material, label, balloon, status, used } = draft;
	const loss = balloon
		? rational(material?.loss ?? context.defaultLoss).valueOf()
		: rational(material?.loss ?? '0').valueOf();
	const needed = ceiling(used);
	const spares = material?.reuse ? 0 : sparesFor(needed, loss, context.service);
	return {
		key,
		material,
		label,
		balloon,
		used,
		loss,
		spares,
		toBuy: material?.reuse ? 0 : needed + spares,
		status,
		where: [...draft.where].map(([where, quantity]) => ({ label: where, quantity }))
	};
}
