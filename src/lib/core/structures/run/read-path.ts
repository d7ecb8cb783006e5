import type { Section } from '../../recipe/recipe.ts';
import { got, refuse, type Parsed } from '../../errors.ts';
import { inches, MICROMETRES, type Micrometres } from '../../units/length.ts';
import type { Rational } from '../../units/rational.ts';
import { WAYS, type PathLeg, type RunPath } from './document.ts';
import { wordsMatch } from '../../language/names/name-colour.ts';
import type { EntryContext } from '../../language/context.ts';
import { clustersSaid, HOW_MANY, openLine } from './read-along.ts';
import { leftOver, Reader } from '../../language/reader.ts';
import type { SaidRun, RunSaid } from './said.ts';
import { isWord, tokens } from '../../language/tokens.ts';
import { LONGEST, TOO_LONG, pathLength } from '../../language/path-length.ts';

const said = (run: SaidRun): Parsed<RunSaid> => got({ kind: 'run', said: run });

/** Where a run goes: `line 20 ft`, `arch 8 ft by 7`, `corners up 7, right 8, down 7`, `along pipe`; and how high it hangs. */
export function path(r: Reader): Parsed<RunSaid> | undefined {
	const verb = r.word('line', 'arch', 'catenary', 'corners', 'helix', 'curve', 'along', 'lifted');
	if (!verb) return undefined;
	if (verb === 'lifted') {
		const height = r.word('floor') ? (0 as const) : pathLength(r);
		const now = r.context.sections?.find((s) => s.id === r.context.section)?.structure;
		if (height === undefined || now?.kind !== 'run')
			return refuse(
				'not-a-length',
				'How high over the floor? Type it like “lifted 6 ft”, or “lifted floor”.'
			);
		return said({ set: 'path', path: now.path, height });
	}
	const line = verb === 'line' ? openLine(r) : undefined;
	const path = line ? got(line.path) : shape(r, verb);
	if (!path.ok) return path;
	let height: Micrometres | 0 | null = null;
	if (r.word('lifted')) {
		const found = r.word('floor') ? (0 as const) : pathLength(r);
		height = found ?? null;
		if (height === null)
			return refuse('not-a-length', 'How high over the floor? Type it like “lifted 6 ft”.');
	}
	return said({ set: 'path', path: path.value, height, ...(line && { open: line.open }) });
}

/** A path by itself, as a panel takes it: `curve 0 by 0, 4 by 2 ft`. */
export function parsePath(text: string, context: EntryContext): Parsed<RunPath> {
	const reader = new Reader(tokens(text, context.style), context);
	const found = path(reader);
	if (found === undefined) return refuse('not-a-length', TOO_LONG);
	if (!found.ok) return found;
	const { said: run } = found.value;
	return leftOver(reader) ?? (run.set === 'path' ? got(run.path) : refuse('not-a-length', TOO_LONG));
}

/** What has a way another can go: a run with one of its own, a frame that is not one bent stick. */
const lends = (s: Section['structure']): boolean =>
	s.kind === 'run' ? s.path.kind !== 'lent' : s.kind === 'frame' && s.shape.of !== 'bent';

function shape(r: Reader, verb: string): Parsed<RunPath> {
	switch (verb) {
		case 'line': {
			const length = pathLength(r);
			return length
				? got({ kind: 'line', length })
				: refuse('not-a-length', `${TOO_LONG} Type it like “line 20 ft”.`);
		}
		case 'along': {
			const words = r.words();
			const runs = (r.context.sections ?? []).filter(
				({ id, structure }) => id !== r.context.section && lends(structure)
			);
			const by =
				runs.find((s) => s.name.toLowerCase() === words.join(' ')) ??
				runs.find((s) => wordsMatch(words, s.name));
			return by && words.length > 0
				? got({ kind: 'lent', by: by.id })
				: refuse(
						'unknown-word',
						`Along which garland, arch or pipe? ${runs.length > 0 ? `There is ${runs.map((s) => s.name).join(', ')}.` : 'There is no other in this design.'}`
					);
		}
		case 'corners':
			return corners(r);
		case 'helix':
			return helix(r);
		case 'curve':
			return curve(r);
		default: {
			const span = pathLength(r);
			r.word('wide', 'across');
			if (!r.word('by', 'x', 'and')) r.mark(',');
			const rise = pathLength(r);
			r.word('high', 'tall');
			return span && rise
				? got({ kind: 'arch', span, rise, curve: verb === 'arch' ? 'ellipse' : 'catenary' })
				: refuse(
						'not-a-length',
						`How wide and how high? Type it like “${verb} 8 ft by 7 ft”, each up to ${LONGEST} ft.`
					);
		}
	}
}

function corners(r: Reader): Parsed<RunPath> {
	const legs: PathLeg[] = [];
	do {
		const way = WAYS.find((w) => r.word(w));
		const length = way && pathLength(r);
		if (!way || !length)
			return refuse(
				'missing',
				'Say each leg as a way and a length, like “corners up 7 ft, right 8 ft, down 7 ft”.'
			);
		let pitch: Micrometres | null = null;
		if (r.word('apart')) {
			pitch = pathLength(r, 'in', inches(0.5)) ?? null;
			if (pitch === null) return refuse('not-a-length', 'How far apart? Type it like “apart 3 in”.');
		}
		const clusters = r.word('of') ? clustersSaid(r) : null;
		if (clusters === undefined) return refuse('not-whole', HOW_MANY);
		legs.push({ way, length, pitch, ...(clusters !== null && { clusters }) });
		if (legs.length > 40) return refuse('too-big', 'A path has at most 40 legs.');
	} while (r.mark(','));
	return got({ kind: 'corners', legs });
}

function helix(r: Reader): Parsed<RunPath> {
	let across: Micrometres | undefined;
	let height: Micrometres | undefined;
	let turns: number | undefined;
	for (let i = 0; i < 3 && r.now?.kind === 'number'; i++) {
		if (isWord(r.next, 'turns', 'turn')) {
			turns = r.number()!.valueOf();
			r.at++;
			continue;
		}
		const length = pathLength(r);
		if (r.word('across', 'wide')) across = length;
		else if (r.word('high', 'tall')) height = length;
		else break;
		r.mark(',');
	}
	if (!across || !height || !turns || turns <= 0 || turns > 100)
		return refuse(
			'missing',
			'Say how wide, how high and how many turns, like “helix 1 ft across 7 ft high 3 turns”.'
		);
	return got({ kind: 'helix', across, height, turns });
}

/** Points to the right and up, feet: `curve 0 by 0, 3 by 2, 6 by 1 ft`. */
function curve(r: Reader): Parsed<RunPath> {
	const points: [Rational, Rational][] = [];
	const signed = () => {
		const minus = r.mark('-') || r.mark('−');
		const value = r.number();
		return value && (minus ? value.neg() : value);
	};
	do {
		const x = signed();
		const comma = r.word('by', 'x');
		const z = comma ? signed() : undefined;
		if (!x || !z)
			return refuse(
				'missing',
				'Say its points as so far right by so far up, like “curve 0 by 0, 3 by 2, 6 by 1 ft”.'
			);
		points.push([x, z]);
	} while (r.mark(','));
	const unit = MICROMETRES[r.unit() ?? 'ft'];
	const whole = points.map(
		([x, z]) => [x, z].map((v) => Math.round(v!.mul(unit).valueOf())) as [number, number]
	);
	const far = MICROMETRES.ft * LONGEST;
	if (points.length < 2 || points.length > 60) return refuse('too-big', 'A curve has 2 to 60 points.');
	if (whole.flat().some((v) => Math.abs(v) > far)) return refuse('too-big', TOO_LONG);
	if (whole.every(([x, z]) => x === whole[0]![0] && z === whole[0]![1]))
		return refuse('too-small', 'All its points are one: a path has a length. Move one of them.');
	return got({ kind: 'curve', points: whole });
}

/** `tee at 4 ft up 3 ft`, `cross at 4 ft up 3 ft`. */
export function branch(r: Reader): Parsed<RunSaid> | undefined {
	const kind = r.word('tee', 'cross') as 'tee' | 'cross' | undefined;
	if (!kind) return undefined;
	r.word('at');
	const at = pathLength(r);
	const way = WAYS.find((w) => r.word(w));
	const length = pathLength(r);
	if (!at || !way || !length)
		return refuse(
			'missing',
			`Where along the path, which way and how long? Type it like “${kind} at 4 ft up 3 ft”.`
		);
	const pitch = r.word('apart') ? (pathLength(r, 'in', inches(0.5)) ?? null) : null;
	const clusters = r.word('of') ? clustersSaid(r) : null;
	if (clusters === undefined) return refuse('not-whole', HOW_MANY);
	const turned = r.word('turned') ? { turned: true as const } : {};
	const many = clusters === null ? {} : { clusters };
	return said({ set: 'branch', branch: { kind, at, way, length, pitch, ...many, ...turned } });
}
