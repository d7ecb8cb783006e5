import { got, refuse, type Parsed } from '../../errors.ts';
import { carriedBy } from '../../materials/carries.ts';
import { findMaterial } from '../../language/names/find-material.ts';
import { formatFeet, MICROMETRES, type Micrometres, type Millimetres } from '../../units/length.ts';
import { type Joining } from '../../document/cluster.ts';
import type { SaidLayer, StackSaid } from './said.ts';
import { alone, printLayer } from './print.ts';
import { rangedCount } from '../../language/ranged-count.ts';
import { printSize } from '../../sizing/size.ts';
import { slotsOf } from '../../document/pattern.ts';
import type { SaidCluster } from '../../language/said.ts';
import { type Reader, lengthOf } from '../../language/reader.ts';
import { tailOf, clusterOf } from '../../language/cluster.ts';
import { MOST_BY, UPRIGHTS, type Follows, type Layer } from './document.ts';
import { rowOf } from '../../language/host.ts';
import { isWord } from '../../language/tokens.ts';

type No = ReturnType<typeof refuse>;

export function layer(r: Reader): Parsed<StackSaid> {
	const clusters: SaidCluster[] = [];
	do {
		const cluster = clusterOf(r);
		if (!cluster.ok) return cluster;
		clusters.push(cluster.value);
	} while (r.mark('+'));
	const tail: {
		repeat: number;
		toHeight: Micrometres | null;
		turn: 'half' | 'none';
		joining: Joining | null;
		follows?: Follows;
		range?: Layer['range'];
		like?: Layer['like'];
	} = {
		repeat: r.layersSaid,
		toHeight: null,
		turn: 'half',
		joining: null
	};
	for (let more = true; more;) {
		r.mark(',');
		const said = rangeOf(r) ?? tailOf(r) ?? followsOf(r) ?? likeOf(r, clusters);
		if (said === undefined) more = false;
		else if ('ok' in said) return said;
		else Object.assign(tail, said);
	}
	return got({ kind: 'layer', layer: { clusters, ...tail } });
}

/** `x 3 to 4`, `× 3 or 4`: layers alike, between how many. */
function rangeOf(r: Reader): Pick<SaidLayer, 'repeat' | 'range'> | No | undefined {
	const from = r.at;
	if (!r.word('x', 'times')) return undefined;
	const layers = rangedCount(r);
	// “×3 to 5 ft” is a height.
	if (!layers?.range || r.unit()) {
		r.at = from;
		return undefined;
	}
	return layers.range.low < layers.range.high
		? { repeat: layers.count, range: layers.range }
		: refuse('refused', 'The fewest come first: type it like “×3 to 4”.');
}

/** `like row 2`, `like arm row 1`: the row it is once more. What is said before has to be that. */
function likeOf(r: Reader, clusters: readonly SaidCluster[]): Pick<SaidLayer, 'like'> | No | undefined {
	if (!r.word('like')) return undefined;
	const { sections = [], section, slots } = r.context;
	const words = isWord(r.now, 'row', 'top') ? [] : r.words('row', 'top');
	const called = words.join(' ');
	const own =
		words.length > 0
			? sections.find((s) => s.name.toLowerCase() === called)
			: (sections.find((s) => s.id === section) ?? sections.find((s) => s.structure.kind === 'stack'));
	if (!own) return refuse('unknown-word', 'Like which row? Say it like “like row 2”, or “like arm row 1”.');
	const row = rowOf(r, own);
	if (!row.ok) return row;
	const source = own.structure.kind === 'stack' ? own.structure.layers.find((l) => l.id === row.value.id) : undefined;
	if (!source) return refuse('refused', `${own.name} has no rows of clusters.`);
	if (!isAsSaid(source, clusters))
		return refuse('refused', `That row is ${printLayer(alone(source), slots)}. Say the same, or leave out “like” and what comes after it.`); // prettier-ignore
	return { like: source.like ?? source.id };
} // prettier-ignore

/** Whether clusters as said are those of a row: so many of each bag and size in these colours. */
function isAsSaid({ clusters }: Layer, said: readonly SaidCluster[]): boolean {
	if (clusters.length !== said.length) return false;
	return clusters.every((cluster, i) => {
		const { count, nominal, size, others, pattern } = said[i]!;
		const all = count + others.reduce((a, o) => a + o.count, 0);
		const first = cluster.places[0]!;
		const own = new Set([...slotsOf(cluster.pattern), ...cluster.places.map((p) => p.slot)]);
		const alike = pattern.colours.every(({ ref }) => 'slot' in ref && own.has(ref.slot));
		return all === cluster.places.length && nominal === first.nominal && printSize(size) === printSize(first.size) && alike; // prettier-ignore
	});
}

/** `as below + ½`, `as row 2 − ¼`: the row whose size it takes. */
function followsOf(r: Reader): { readonly follows: Follows } | No | undefined {
	if (!isWord(r.now, 'as') || !isWord(r.next, 'below', 'row')) return undefined;
	r.at++;
	let row: Follows['row'] = null;
	if (!r.word('below')) {
		const { sections = [], section } = r.context;
		const own = sections.find((s) => s.id === section) ?? sections.find((s) => s.structure.kind === 'stack');
		const found = own && rowOf(r, own);
		if (!found?.ok) return found ?? refuse('unknown-word', 'There is no row here yet to follow.');
		row = found.value.id;
	}
	const less = r.mark('-') || r.mark('−');
	if (!less && !r.mark('+')) return { follows: { row, by: 0 } };
	const value = r.number();
	const unit = r.unit() ?? 'in';
	const by = value === undefined ? NaN : Math.round(value.mul(MICROMETRES[unit]).valueOf());
	if (!(by >= 0 && by <= MOST_BY))
		return refuse('not-a-length', 'How much larger? Type it like “as below + ½” or “as row 2 − 1”.');
	return { follows: { row, by: less ? -by : by } };
}

/** `stands on a table`: its lowest balloons touch no floor, so no patch is put under them; `stands on the floor`. */
export function stands(r: Reader): Parsed<StackSaid> | undefined {
	if (!isWord(r.now, 'stands') || !isWord(r.next, 'on')) return undefined;
	r.at += 2;
	r.word('a', 'the');
	if (r.word('floor', 'ground')) return got({ kind: 'stands', onFloor: true });
	if (r.word('table', 'shelf')) return got({ kind: 'stands', onFloor: false });
	if (r.word('board')) return got({ kind: 'stands', onFloor: false, on: 'board' });
	if (r.word('box', 'plinth')) return got({ kind: 'stands', onFloor: false, on: 'box' });
	return refuse(
		'unknown-word',
		'Stands on what? Type “stands on the floor”, “stands on a table”, “a board” or “a box”.'
	);
}

export function upright(r: Reader): Parsed<StackSaid> | undefined {
	if (r.word('no')) {
		if (r.word('pole', 'stick', 'mast', 'line', 'upright'))
			return got({ kind: 'upright', upright: { kind: 'none', length: null } });
		r.at--;
	}
	const kind = UPRIGHTS.find((u) => u !== 'none' && isWord(r.now, u.split(' ')[0]!));
	if (!kind) return undefined;
	r.at++;
	r.word('balloon');
	const value = r.number();
	if (!value) return refuse('missing', `Say how long the ${kind} is, like “${kind} 7 ft”.`);
	const length = lengthOf(value, r.unit() ?? r.long(value));
	if (length === undefined) return refuse('too-big', `A ${kind} is between 6 in and 100 ft long.`);
	if (!r.word('of')) return got({ kind: 'upright', upright: { kind, length } });
	const of = findMaterial(r.words(), r.context.materials);
	if (!of.ok) return of;
	const carried = carriedBy(of.value);
	if (carried !== undefined && carried * 1000 < length - 1)
		return refuse(
			'refused',
			`${of.value.name} carries ${formatFeet(carried as Millimetres)}. Take a longer one, or say a shorter ${kind}.`
		);
	return got({ kind: 'upright', upright: { kind, length, material: of.value.id } });
}
