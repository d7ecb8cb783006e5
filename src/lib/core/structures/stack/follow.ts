import type { Cluster } from '../../document/cluster.ts';
import type { Id } from '../../document/id.ts';
import type { Mutable } from '../../document/mutable.ts';
import { UNKNOWN_SIZE, type Size } from '../../sizing/size.ts';
import { formatInches, um, type Micrometres } from '../../units/length.ts';
import type { Follows, Layer } from './document.ts';

type Rows = readonly Pick<Layer, 'id' | 'clusters' | 'follows'>[];

/** The row that another follows; undefined where that is not there. */
const followed = <L extends { readonly id: Id }>(
	layers: readonly L[],
	at: number,
	{ row }: Follows
): L | undefined => (row === null ? layers[at - 1] : layers.find((l) => l.id === row));

/** What a row is inflated to: the size of its first balloon. */
const sizeOfRow = ({ clusters }: Rows[number]): Size | undefined => clusters[0]?.places[0]?.size;

/** What a row is to be inflated to by the one it follows; undefined where it follows none that is there, or itself in the end. */
function sizeBy(layers: Rows, at: number, seen: ReadonlySet<number> = new Set()): Size | undefined {
	const { follows } = layers[at]!;
	if (follows === undefined) return sizeOfRow(layers[at]!);
	const source = followed(layers, at, follows);
	if (source === undefined || seen.has(at)) return undefined;
	const size = sizeBy(layers, layers.indexOf(source), new Set([...seen, at]));
	if (size?.kind !== 'value') return size && UNKNOWN_SIZE;
	const now = um(Math.max(SMALLEST, size.um + follows.by));
	return { kind: 'value', um: now, unit: size.unit, origin: 'derived' };
}
/** Nothing is inflated to less than an inch. */
const SMALLEST = 25_400;

/**
 * Brings rows that follow others to their sizes. A row whose size was said since follows no more, and neither does one
 * whose row is gone; both keep the size they have.
 * @param before the rows as they were, where somebody changed them
 */
export function settleFollowing(layers: Mutable<Layer>[], before: Rows = []): void {
	for (const [at, layer] of layers.entries()) {
		if (layer.follows === undefined) continue;
		const size = sizeBy(layers as Rows, at);
		const was = before.find((l) => l.id === layer.id);
		const resized =
			was !== undefined && same(was.follows, layer.follows) && !same(sizesOf(was), sizesOf(layer));
		const isAsked = size !== undefined && sizesOf(layer).every((s) => same(s, size));
		if (size === undefined || (resized && !isAsked)) delete layer.follows;
		else if (!isAsked)
			for (const cluster of layer.clusters) for (const place of cluster.places) place.size = { ...size };
	}
}
const sizesOf = ({ clusters }: { readonly clusters: readonly Pick<Cluster, 'places'>[] }): readonly Size[] =>
	clusters.flatMap((c) => c.places.map((p) => p.size));
/** Alike, whoever worked it out. */
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a, plain) === JSON.stringify(b, plain);
const plain = (key: string, value: unknown): unknown =>
	key === 'origin' || key === 'unit' ? undefined : value;

/** `as below + ½`, `as row 2 − ¼`: what a row follows, as it is typed. */
export function followWords({ row, by }: Follows, layers: readonly { readonly id: Id }[]): string {
	const whom = row === null ? 'below' : `row ${layers.findIndex((l) => l.id === row) + 1}`;
	const more = by === 0 ? '' : ` ${by > 0 ? '+' : '−'} ${formatInches(Math.abs(by) as Micrometres)}`;
	return `as ${whom}${more}`;
}
