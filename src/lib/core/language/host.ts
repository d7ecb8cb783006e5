import { got, refuse, type Parsed } from '../errors.ts';
import type { Side } from '../document/side.ts';
import { inches, type Micrometres } from '../units/length.ts';
import { shorten } from '../units/number.ts';
import { WAYS, type Host } from '../document/host.ts';
import type { Id } from '../document/id.ts';
import type { HostRow } from '../structures/facets/refs.ts';
import { accompanies, hostsOf } from '../structures/registry/refs.ts';
import type { Section } from '../recipe/recipe.ts';
import { wordsMatch } from './names/name-colour.ts';
import { pathLength } from './path-length.ts';
import { lengthOf, type Reader } from './reader.ts';
import { isWord } from './tokens.ts';

export function wholeCount(r: Reader): number | undefined {
	const from = r.at;
	const count = r.number()?.valueOf();
	if (count !== undefined && Number.isInteger(count) && count >= 1 && count <= 200) return count;
	r.at = from;
	return undefined;
}

/** @param same the section the last host was in: `, 5 on row 5` goes on there */
export function hostOf(
	r: Reader,
	same: Id | null,
	ends: readonly string[] = []
): Parsed<{ host: Host; section: Id | null }> {
	if (!r.word('on'))
		return refuse('missing', 'What does it sit on? Say “on row 3 front”, “on top row” or “on wall at 5 ft”.');
	return hostHere(r, same, ends);
}

/** A host behind its “on”, or behind the “to” of what is tied to two. */
export function hostHere(
	r: Reader,
	same: Id | null,
	ends: readonly string[] = []
): Parsed<{ host: Host; section: Id | null }> {
	if (r.word('wall')) {
		const value = r.word('at') ? r.number() : undefined;
		const height = value && lengthOf(value, r.unit() ?? r.long(value));
		if (height === undefined)
			return refuse('not-a-length', 'How high on the wall? Type it like “on wall at 5 ft”.');
		return got({ host: { on: 'wall', height, across: 0 }, section: null });
	}
	const spot = onSpot(r, same);
	if (spot) return got(spot);
	const words = isWord(r.now, 'row', 'top', 'between') ? [] : r.name('row', 'top', 'between', ...ends);
	if (isWord(r.now, 'top') && !isWord(r.next, 'row', 'front', 'back', 'left', 'right', 'round', 'place')) {
		const stacks = withRows(r);
		const own = stacks.find((s) => s.id === r.context.section) ?? stacks[0];
		const host = words.join(' ') || own?.name;
		return refuse(
			'refused',
			`What stands on top is a part of its own: type “bunch topper on ${host ?? 'column'}”, then what it is. On the front of the topmost row it sits “on top row”.`
		);
	}
	const along = onRun(r, words, same);
	if (along) return along;
	const part = words.length > 0 && !isWord(r.now, 'row', 'top', 'between') ? partOrSide(words, r) : undefined;
	if (part) return got(part);
	const stacks = withRows(r);
	const host =
		words.length > 0
			? (stacks.find((s) => s.name.toLowerCase() === words.join(' ')) ??
				stacks.find((s) => wordsMatch(words, s.name)))
			: (stacks.find((s) => s.id === same) ?? stacks.find((s) => s.id === r.context.section) ?? stacks[0]);
	if (!host)
		return refuse(
			'unknown-word',
			words.length > 0
				? `There is no section “${shorten(words.join(' '))}” with rows.`
				: 'There is no row to put it on yet. Say a layer first.'
		);
	return onRow(r, host);
}

/** `on orbit at 4 ft`: a point of a run, so far along it. Undefined where no run is meant. */
function onRun(
	r: Reader,
	words: readonly string[],
	same: Id | null
): Parsed<{ host: Host; section: Id }> | undefined {
	if (!isWord(r.now, 'at')) return undefined;
	const runs = (r.context.sections ?? []).filter((s) => hostsOf(s.structure).along);
	const run =
		words.length > 0
			? (runs.find((s) => s.name.toLowerCase() === words.join(' ')) ??
				runs.find((s) => wordsMatch(words, s.name)))
			: runs.find((s) => s.id === (same ?? r.context.section));
	if (!run) return undefined;
	r.at++;
	const at = pathLength(r, 'ft', inches(1));
	return at === undefined
		? refuse('not-a-length', `How far along ${run.name}? Type it like “on ${run.name} at 4 ft”.`)
		: got({ host: { on: 'path', at }, section: run.id });
}

/** `on door top left`, `on panel bay 2 row 1`: a part of a frame or a weave. Undefined where none is meant. */
function onSpot(r: Reader, same: Id | null): { host: Host; section: Id } | undefined {
	const from = r.at;
	for (const { id, name, structure } of r.context.sections ?? []) {
		const { spots = [] } = hostsOf(structure);
		if (spots.length === 0) continue;
		r.at = from;
		if (!r.phrase(name.toLowerCase()) && id !== (same ?? r.context.section)) continue;
		// The longest first: `top left` before `top`.
		const found = spots.toSorted((a, b) => b.name.length - a.name.length).find((s) => r.phrase(s.name));
		if (found) return { host: { on: 'spot', spot: found.name }, section: id };
	}
	r.at = from;
	return undefined;
}

/** Sections with rows a piece can sit on. */
const withRows = ({ context: { sections = [] } }: Reader) =>
	sections.filter((s) => hostsOf(s.structure).rows !== null);

/** A piece by its name, and where on it: `on head up left`. A name that ends in “up” goes first. */
function partOrSide(words: readonly string[], r: Reader): { host: Host; section: Id | null } | undefined {
	const whole = partCalled(words, r);
	const last = words.at(-1)!;
	const isRaised = (last === 'up' || last === 'down') && whole?.name.toLowerCase() !== words.join(' ');
	const part = isRaised && words.length > 1 ? partCalled(words.slice(0, -1), r) : whole;
	if (!part) return undefined;
	const side = isRaised ? r.word('left', 'right') : r.word('left', 'right', 'front', 'back');
	const said = [...(isRaised ? [last] : []), ...(side ? [side] : [])].join(' ');
	const way = WAYS.find((w) => w === said);
	const placed = way ? { ...part, host: { ...part.host, way } as Host } : part;
	const along = alongLimb(part, r);
	return along === undefined ? placed : { ...placed, host: { ...placed.host, along } as Host };
}

/** `on tail at 10 in`: so far along a limb. */
function alongLimb({ host }: { readonly host: Host }, r: Reader): Micrometres | undefined {
	if (host.on !== 'piece' || !isWord(r.now, 'at') || r.next?.kind !== 'number') return undefined;
	const from = r.at++;
	const value = r.number();
	const along = value && lengthOf(value, r.unit() ?? 'in');
	if (along === undefined) r.at = from;
	return along;
}

/** A piece or an item that is there already, by its name: a pupil sits on an eye, tentacles hang on the jellyfish. */
function partCalled(words: readonly string[], { context: { recipe } }: Reader) {
	const all = (recipe?.sections ?? []).flatMap(({ id, structure, stand }) =>
		// Pieces are on the section that carries them.
		hostsOf(structure).named.map((n) => ({ ...n, section: accompanies(structure) ? stand.by : id }))
	);
	const called = words.join(' ');
	return all.find((n) => n.name.toLowerCase() === called) ?? all.find((n) => wordsMatch(words, n.name));
}

function onRow(r: Reader, section: Section): Parsed<{ host: Host; section: Id }> {
	const isBetween = r.word('between') !== undefined;
	const row = rowOf(r, section);
	if (!row.ok) return row;
	if (isBetween) {
		r.word('and');
		const above = rowOf(r, section);
		if (!above.ok) return above;
		const rows = hostsOf(section.structure).rows ?? [];
		const [low, high] = [row.value, above.value].map((v) => rows.findIndex((o) => o.id === v.id)).sort((a, b) => a - b); // prettier-ignore
		if (high! - low! !== 1) return refuse('refused', 'Between two rows that lie on each other, like “between row 3 and row 4”.'); // prettier-ignore
		return got({ host: { on: 'layer', layer: rows[low!]!.id, side: sideOf(r), in: 'between' }, section: section.id }); // prettier-ignore
	}
	if (r.word('middle'))
		return got({
			host: { on: 'layer', layer: row.value.id, side: 'front', in: 'middle' },
			section: section.id
		});
	if (r.word('place')) {
		const places = row.value.places();
		const place = places[(r.number()?.valueOf() ?? 0) - 1];
		const way = WAYS.find((w) => r.phrase(w));
		return place !== undefined
			? got({ host: { on: 'place', place, ...(way && { way }) }, section: section.id })
			: refuse('too-big', `On which balloon of the row? It has 1 to ${places.length}.`);
	}
	const { id: layer } = row.value;
	return got({ host: { on: 'layer', layer, side: sideOf(r) }, section: section.id });
}

function sideOf(r: Reader): Side {
	const side = (r.word('front', 'back', 'left', 'right', 'round') ?? 'front') as Side | 'round';
	return side === 'round' ? 'all' : side;
}

/** `row 3` or `top row` of a section, counted from the floor. */
export function rowOf(r: Reader, section: Section): Parsed<HostRow> {
	const layers = hostsOf(section.structure).rows ?? [];
	let at: number | undefined;
	if (r.word('top')) {
		r.word('row');
		at = layers.length;
	} else if (r.word('row')) at = r.number()?.valueOf();
	if (at === undefined)
		return refuse(
			'missing',
			`On which row of ${section.name}? Count from the floor, like “on row 3”, or “on top row”.`
		);
	const layer = layers[at - 1];
	if (layer) return got(layer);
	const rows = `${layers.length} ${layers.length === 1 ? 'row' : 'rows'}`;
	return refuse('too-big', `${section.name} has ${rows}: there is no row ${at}.`);
}
