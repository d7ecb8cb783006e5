import { ROUND_NOMINALS } from '../materials/material.ts';
import { FILL_EDGES } from '../sizing/fill.ts';
import type { Size } from '../sizing/size.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { reachOf } from '../structures/run/path.ts';
import { placeStack } from '../structures/stack/place.ts';
import { formatInches, inches, um, type Micrometres } from '../units/length.ts';
import type { AppliedPiece } from '../structures/applied/document.ts';
import type { Host } from '../document/host.ts';
import type { Recipe, Section } from './recipe.ts';
import type { Run, RunPath } from '../structures/run/document.ts';
import type { Stack } from '../structures/stack/document.ts';
import type { Stand } from '../document/stand.ts';
import type { Structure } from '../structures/kinds.ts';

export interface Scaled {
	readonly recipe: Recipe;
	/** What had to give way, in words. */
	readonly notes: readonly string[];
}

/** Sizer holes and tapes are read to an eighth of an inch: scaled sizes fall on those. House rule. */
const EIGHTH = 3175;
const toEighth = (value: number): Micrometres => um(Math.max(EIGHTH, Math.round(value / EIGHTH) * EIGHTH));

/**
 * Every balloon of a design larger or smaller by the same factor, so that its body comes out at a height: layers and
 * proportions stay. A bag keeps its size while the new size is one it can be inflated to, from half its nominal size to
 * all of it; then the balloon moves to the bag it fills most like before, and the notes say so.
 * @param height body height wanted, mm, above 0
 */
export function scaleToHeight(recipe: Recipe, height: number, pumps: readonly PumpProfile[] = []): Scaled {
	const body = leadHeight(recipe, pumps);
	return body > 0 ? scaleBy(recipe, height / body) : { recipe, notes: [] };
}

/** What a size of a design is the size of: the body of its first column, or how far its first run reaches, whichever comes first. */
export function leadOf({ sections }: Pick<Recipe, 'sections'>): Stack | Run | undefined {
	return sections
		.map((s) => s.structure)
		.find(
			(s): s is Stack | Run =>
				(s.kind === 'stack' && s.layers.length > 0) || (s.kind === 'run' && s.path.kind !== 'lent')
		);
}

/** Height of a column's body, of an arch, length of a level run, mm; 0 where there is neither. */
export function leadHeight(recipe: Pick<Recipe, 'sections'>, pumps: readonly PumpProfile[] = []): number {
	const lead = leadOf(recipe);
	if (!lead) return 0;
	return lead.kind === 'run' ? reachOf(lead) : placeStack(lead, pumps).body.usual;
}

/** Runs longer or shorter by the same factor, with what sits along them; everything else as it is. */
export function runsBy(recipe: Recipe, factor: number): Recipe {
	const notes = new Set<string>();
	const sections = recipe.sections.map((section): Section => {
		const { structure } = section;
		const along = (host: Host) => (host.on === 'path' ? scaleHost(host, factor) : host);
		if (structure.kind === 'run') return { ...section, structure: scaleRun(structure, factor, notes) };
		return { ...section, structure: onHosts(structure, along) };
	});
	return { ...recipe, sections };
}

/** @param factor above 0; 1 changes nothing */
export function scaleBy(recipe: Recipe, factor: number): Scaled {
	const notes = new Set<string>();
	const sections = recipe.sections.map((section): Section => {
		const { structure } = section;
		const stand = scaleStand(section.stand, factor);
		switch (structure.kind) {
			case 'stack':
				return { ...section, stand, structure: scaleStack(structure, factor, notes) };
			case 'applied':
				return {
					...section,
					stand,
					structure: {
						...structure,
						pieces: structure.pieces.map((piece) => scalePiece(piece, factor, notes))
					}
				};
			case 'design':
				notes.add(`${section.name} is a design of its own and stays as large as it is.`);
				return { ...section, stand };
			case 'bunch':
			case 'form':
				notes.add(
					`${section.name} stays as large as it is: foils and modelling balloons come in sizes of their own.`
				);
				return { ...section, stand, structure: onHosts(structure, (host) => scaleHost(host, factor)) };
			case 'run':
				return { ...section, stand, structure: scaleRun(structure, factor, notes) };
			case 'weave':
				notes.add(`${section.name} stays as large as it is: say more rows or balloons, or another size.`);
				return { ...section, stand };
			case 'extras':
				return section;
		}
	});
	return { recipe: { ...recipe, sections }, notes: [...notes] };
}

const scaleStand = (stand: Stand, factor: number): Stand => ({
	...stand,
	height: stand.height === null || stand.height === 0 ? stand.height : toEighth(stand.height * factor),
	gap: stand.gap === 0 ? 0 : toEighth(stand.gap * factor)
});

function scaleStack(stack: Stack, factor: number, notes: Set<string>): Stack {
	const layers = stack.layers.map((layer) => ({
		...layer,
		clusters: layer.clusters.map((cluster) => ({
			...cluster,
			places: cluster.places.map((place) => ({ ...place, ...scaleBalloon(place, factor, notes) }))
		}))
	}));
	const { length } = stack.upright;
	if (length === null || factor === 1) return { ...stack, layers };
	notes.add(`The ${stack.upright.kind} is taken ${Math.round(factor * 100)} % as long.`);
	return { ...stack, layers, upright: { ...stack.upright, length: toEighth(length * factor) } };
}

/** A run goes further and as high; its balloons stay, so it takes more of them. */
function scaleRun(run: Run, factor: number, notes: Set<string>): Run {
	notes.add(`A run is longer or shorter by as much; its balloons stay in their sizes.`);
	return {
		...run,
		path: scalePath(run.path, (v) => toEighth(v * factor)),
		height: run.height === 0 ? 0 : toEighth(run.height * factor),
		branches: run.branches.map((b) => ({
			...b,
			at: toEighth(b.at * factor),
			length: toEighth(b.length * factor)
		}))
	};
}

function scalePath(path: RunPath, by: (length: number) => Micrometres): RunPath {
	switch (path.kind) {
		case 'line':
			return { ...path, length: by(path.length) };
		case 'arch':
			return { ...path, span: by(path.span), rise: by(path.rise) };
		case 'corners':
			return { ...path, legs: path.legs.map((l) => ({ ...l, length: by(l.length) })) };
		case 'helix':
			return { ...path, height: by(path.height) };
		case 'curve':
			return {
				...path,
				points: path.points.map(
					([x, z]) => [x, z].map((v) => Math.sign(v) * (v === 0 ? 0 : by(Math.abs(v)))) as [number, number]
				)
			};
		case 'lent':
			return path;
	}
}

/** A place on a wall or along a path moves with its size; a row, a place or a piece is where it is. */
function scaleHost(host: Host, factor: number): Host {
	if (host.on === 'wall')
		return { ...host, height: toEighth(host.height * factor), across: Math.round(host.across * factor) };
	return host.on === 'path' ? { ...host, at: toEighth(host.at * factor) } : host;
}

/** What a structure sits on, each exchanged; one that sits on nothing is as it was. */
function onHosts<S extends Structure>(structure: S, by: (host: Host) => Host): S {
	if (structure.kind === 'form')
		return { ...structure, pieces: structure.pieces.map((p) => ({ ...p, at: p.at && by(p.at) })) };
	if (structure.kind !== 'applied') return structure;
	const pieces = structure.pieces.map((p) => ({ ...p, on: p.on.map((o) => ({ ...o, host: by(o.host) })) }));
	return { ...structure, pieces };
}

function scalePiece(piece: AppliedPiece, factor: number, notes: Set<string>): AppliedPiece {
	const on = piece.on.map((o) => ({ ...o, host: scaleHost(o.host, factor) }));
	if (piece.what.kind === 'balloon') {
		const { balloon } = piece.what;
		return {
			...piece,
			on,
			what: { ...piece.what, balloon: { ...balloon, ...scaleBalloon(balloon, factor, notes) } }
		};
	}
	if (piece.what.flat !== null) notes.add(`${piece.name}: a foil comes in its own size and stays as it is.`);
	return { ...piece, on };
}

interface Balloon {
	readonly nominal: Micrometres;
	readonly size: Size;
}

function scaleBalloon({ nominal, size }: Balloon, factor: number, notes: Set<string>): Balloon {
	switch (size.kind) {
		case 'value': {
			const wanted = size.um * factor;
			const bag = bagFor(wanted, nominal, size.um / nominal);
			const um = toEighth(Math.min(wanted, bag));
			say(notes, nominal, bag, wanted > bag);
			return { nominal: bag, size: { ...size, um, origin: 'derived' } };
		}
		case 'range': {
			const bag = bagFor(size.high * factor, nominal, size.high / nominal);
			say(notes, nominal, bag, size.high * factor > bag);
			const [low, high] = [size.low, size.high].map((v) => toEighth(Math.min(v * factor, bag)));
			return { nominal: bag, size: { ...size, low: low!, high: high!, origin: 'derived' } };
		}
		default: {
			// Words and unknown sizes go with the bag; strokes go with the air, the cube of the diameter.
			const bag = bagFor(nominal * factor, nominal, 1);
			const moved = bag / nominal;
			say(notes, nominal, bag, nominal * factor > inches(ROUND_NOMINALS.at(-1)!));
			if (size.kind !== 'strokes') return { nominal: bag, size };
			const strokes = Math.max(0.5, Math.round(size.strokes * moved ** 3 * 2) / 2);
			return { nominal: bag, size: { ...size, strokes, origin: 'derived' } };
		}
	}
}

function say(notes: Set<string>, from: Micrometres, to: Micrometres, beyond: boolean) {
	const [had, now] = [from, to].map(formatInches);
	if (beyond) notes.add(`No round comes larger than ${now} in: the ${had} in balloons stop there.`);
	else if (from !== to) notes.add(`The ${had} in balloons move to ${now} in bags.`);
}

/**
 * The bag for a size: the one it had while it fits, else the one whose fill comes nearest to the fill it had, the
 * larger of two alike.
 */
export function bagFor(size: number, had: Micrometres, fill: number): Micrometres {
	const fits = (bag: number) => size <= bag && size >= bag * FILL_EDGES.pear;
	if (fits(had)) return had;
	const bags = ROUND_NOMINALS.map((n) => inches(n));
	const fitting = bags.filter(fits);
	if (fitting.length === 0) return size > had ? bags.at(-1)! : bags[0]!;
	return fitting.reduce((best, bag) =>
		Math.abs(size / bag - fill) <= Math.abs(size / best - fill) ? bag : best
	);
}
