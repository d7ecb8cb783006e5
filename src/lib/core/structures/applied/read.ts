import { got, refuse, type Parsed } from '../../errors.ts';
import type { Side } from '../../document/side.ts';
import { inches } from '../../units/length.ts';
import { shorten } from '../../units/number.ts';
import { FIXINGS, type Fixing } from './document.ts';
import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { Layer } from '../stack/document.ts';
import type { Section } from '../../recipe/recipe.ts';
import { MEANT, type Entry, type SaidPiece } from '../../language/entry.ts';
import { piecesIn } from './edit.ts';
import { flatOf } from '../../materials/material.ts';
import { findMaterial } from '../../language/names/find-material.ts';
import { wordsMatch } from '../../language/names/name-colour.ts';
import { saidBalloon } from '../../language/fill.ts';
import { pathLength } from '../run/read-path.ts';
import { lengthOf, type Reader } from '../../language/reader.ts';
import { isWord } from '../../language/tokens.ts';

/**
 * `put 2 5 at 4 white as eyes on row 3 front with strip`; `put 2 5 at 2 black as pupils on eyes`; `put 1 foil star on column top row`; several tiers:
 * `put 3 5 at 3 white as spots on row 4, 5 on row 5`. Rows are counted from the floor, as they stand on the screen.
 */
export function piece(r: Reader): Parsed<Entry> | undefined {
	if (!r.word('put')) return undefined;
	const count = wholeCount(r);
	if (count === undefined)
		return refuse('missing', 'How many pieces? Start like “put 2 5 at 4 white on row 3 front”.');
	const what = thing(r);
	if (!what.ok) return what;
	const name = r.word('as') ? r.words('on', 'with', ...MEANT).join(' ') : what.value.name;
	if (name === '') return refuse('missing', 'Name the piece after “as”, like “as eyes”.');
	const hosts: { host: Host; count: number; section: Id | null }[] = [];
	for (let n: number | undefined = count; n !== undefined; n = r.mark(',') ? wholeCount(r) : undefined) {
		const host = hostOf(r, hosts.at(-1)?.section ?? null);
		if (!host.ok) return host;
		hosts.push({ ...host.value, count: n });
	}
	const section = hosts[0]!.section;
	if (hosts.some((h) => h.section !== section))
		return refuse('refused', 'Pieces of one line sit on one section. Say the others on a line of their own.');
	let fixing: Fixing = 'strip';
	if (r.word('with')) {
		const rest = r.rest();
		const found = [...FIXINGS].sort((a, b) => b.length - a.length).find((f) => rest.startsWith(f));
		if (!found) return refuse('unknown-word', `A piece is fixed with ${FIXINGS.join(', ')}.`);
		r.at += found.split(' ').length;
		fixing = found;
	}
	const on = hosts.map(({ host, count: n }) => ({ host, count: n }));
	return got({ kind: 'piece', piece: { name, what: what.value.what, on, section, fixing } });
}

export function wholeCount(r: Reader): number | undefined {
	const from = r.at;
	const count = r.number()?.valueOf();
	if (count !== undefined && Number.isInteger(count) && count >= 1 && count <= 200) return count;
	r.at = from;
	return undefined;
}

function thing(r: Reader): Parsed<{ name: string; what: SaidPiece['what'] }> {
	if (r.now?.kind === 'number') return saidBalloon(r, ['as', 'on', 'with']);
	const found = findMaterial(r.words('as', 'on', 'with'), r.context.materials);
	if (!found.ok) return found;
	const { id, name, kind, nominal } = found.value;
	return got({
		name,
		what: { kind: 'material', material: id, flat: flatOf({ kind, nominal }) }
	});
}

/** @param same the section the last host was in: `, 5 on row 5` goes on there */
export function hostOf(r: Reader, same: Id | null): Parsed<{ host: Host; section: Id | null }> {
	if (!r.word('on'))
		return refuse('missing', 'What does it sit on? Say “on row 3 front”, “on top row” or “on wall at 5 ft”.');
	if (r.word('wall')) {
		const value = r.word('at') ? r.number() : undefined;
		const height = value && lengthOf(value, r.unit() ?? 'ft');
		if (height === undefined)
			return refuse('not-a-length', 'How high on the wall? Type it like “on wall at 5 ft”.');
		return got({ host: { on: 'wall', height, across: 0 }, section: null });
	}
	const words = isWord(r.now, 'row', 'top') ? [] : r.words('row', 'top');
	if (isWord(r.now, 'top') && !isWord(r.next, 'row', 'front', 'back', 'left', 'right', 'round', 'place')) {
		const stacks = (r.context.sections ?? []).filter((s) => s.structure.kind === 'stack');
		const own = stacks.find((s) => s.id === r.context.section) ?? stacks[0];
		const host = words.join(' ') || own?.name;
		return refuse(
			'refused',
			`What stands on top is a part of its own: type “bunch topper on ${host ?? 'column'}”, then what it is. On the front of the topmost row it sits “on top row”.`
		);
	}
	const along = onRun(r, words, same);
	if (along) return along;
	const carrying = words.length > 0 && !isWord(r.now, 'row', 'top') ? pieceCalled(words, r) : undefined;
	if (carrying) return got({ host: { on: 'piece', piece: carrying.piece.id }, section: carrying.host });
	const item = words.length > 0 && !isWord(r.now, 'row', 'top') ? itemCalled(words, r) : undefined;
	if (item) return got(item);
	const stacks = (r.context.sections ?? []).filter((s) => s.structure.kind === 'stack');
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
	const runs = (r.context.sections ?? []).filter((s) => s.structure.kind === 'run');
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

/** A piece that is there already: a pupil sits on an eye. */
function pieceCalled(words: readonly string[], { context: { recipe } }: Reader) {
	const all = recipe ? piecesIn(recipe) : [];
	const said = words.join(' ');
	return (
		all.find(({ piece: { name } }) => name.toLowerCase() === said) ??
		all.find(({ piece: { name } }) => wordsMatch(words, name))
	);
}

/** An item of a bunch: tentacles hang on the jellyfish. */
function itemCalled(words: readonly string[], { context: { recipe } }: Reader) {
	for (const { id, structure } of recipe?.sections ?? []) {
		if (structure.kind !== 'bunch') continue;
		const found = structure.items.find(({ name }) => wordsMatch(words, name));
		if (found) return { host: { on: 'place', place: found.id } as const, section: id };
	}
	return undefined;
}

function onRow(r: Reader, section: Section): Parsed<{ host: Host; section: Id }> {
	const row = rowOf(r, section);
	if (!row.ok) return row;
	if (r.word('place')) {
		const places = row.value.layer.clusters.flatMap((c) => c.places);
		const place = places[(r.number()?.valueOf() ?? 0) - 1];
		return place
			? got({ host: { on: 'place', place: place.id }, section: section.id })
			: refuse('too-big', `On which place? The row has places 1 to ${places.length}.`);
	}
	const side = (r.word('front', 'back', 'left', 'right', 'round') ?? 'front') as Side | 'round';
	const { id: layer } = row.value.layer;
	return got({
		host: { on: 'layer', layer, side: side === 'round' ? 'all' : side },
		section: section.id
	});
}

/** `row 3` or `top row` of a section, counted from the floor. */
export function rowOf(r: Reader, section: Section): Parsed<{ layer: Layer }> {
	const layers = section.structure.kind === 'stack' ? section.structure.layers : [];
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
	if (layer) return got({ layer });
	const rows = `${layers.length} ${layers.length === 1 ? 'row' : 'rows'}`;
	return refuse('too-big', `${section.name} has ${rows}: there is no row ${at}.`);
}
