import type { LineRole } from '../document/line-role.ts';
import { materialKey } from '../materials/material-key.ts';
import type { Material } from '../materials/material.ts';
import { ZERO, type Rational } from '../units/rational.ts';

/** Optional lines that are taken are used like any other. */
export const USED: LineRole = 'always';

/** So many of a line may be of another bag. */
export interface Either {
	readonly label: string;
	/** Undefined where the Stockroom has none: what it costs is not known. */
	readonly material: Material | undefined;
	readonly quantity: Rational;
}

/** A line of a bill while needs are added to it. */
export interface Draft {
	material: Material | undefined;
	label: string;
	balloon: boolean;
	unit: string;
	status: 'listed' | 'unlisted' | 'open';
	role: LineRole;
	used: Rational;
	/** What the estimates in it may be less and more, together. */
	spread: { readonly less: Rational; readonly more: Rational } | null;
	either: Map<string, Either>;
	where: Map<string, Rational>;
	byLine: Map<number, Rational>;
}

/**
 * What is made of leftovers takes what the work leaves over, of whichever piece of the job; only the rest is bought, in
 * the line of what is always used.
 */
export function takeLeftovers(drafts: Map<string, Draft>) {
	for (const [key, draft] of drafts) {
		const { material, role, used } = draft;
		if (role !== 'from leftovers') continue;
		const left = material && drafts.get(materialKey(material.id, 'by-product'));
		const from = left ? (left.used.compare(used) < 0 ? left.used : used) : ZERO;
		if (left) take(left, from);
		take(draft, used.sub(from), drafts, materialKey(material?.id ?? key, USED));
		if (draft.used.equals(0)) drafts.delete(key);
		if (material && left?.used.equals(0)) drafts.delete(materialKey(material.id, 'by-product'));
	}
}

/** Takes so much of a line, of all its places alike. @param to the line that gets it, begun where there is none */
function take(draft: Draft, quantity: Rational, drafts?: Map<string, Draft>, to?: string) {
	if (quantity.equals(0)) return;
	const share = quantity.div(draft.used);
	const part = <K>(of: Map<K, Rational>) => new Map([...of].map(([k, q]) => [k, q.mul(share)] as const));
	const rest = <K>(of: Map<K, Rational>) => new Map([...of].map(([k, q]) => [k, q.sub(q.mul(share))] as const));
	if (drafts && to !== undefined) {
		const own = drafts.get(to) ?? { ...draft, role: USED, used: ZERO, spread: null, either: new Map(), where: new Map(), byLine: new Map() };
		own.used = own.used.add(quantity);
		for (const [k, q] of part(draft.where)) own.where.set(k, (own.where.get(k) ?? ZERO).add(q));
		for (const [k, q] of part(draft.byLine)) own.byLine.set(k, (own.byLine.get(k) ?? ZERO).add(q));
		drafts.set(to, own);
	}
	Object.assign(draft, { used: draft.used.sub(quantity), where: rest(draft.where), byLine: rest(draft.byLine) });
} // prettier-ignore
