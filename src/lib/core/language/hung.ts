import { got, refuse, type Parsed } from '../errors.ts';
import { MICROMETRES, um, type Micrometres } from '../units/length.ts';
import { HANGINGS, WALL_HOLDS, WALLS, type Hung } from '../document/hung.ts';
import { findMaterial } from './names/find-material.ts';
import { pathLength } from './path-length.ts';
import type { Reader } from './reader.ts';

/** `hung on hooks every 2 ft with wall hook`; `not hung`. */
export function hungOf(r: Reader): Parsed<Hung | null> | undefined {
	if (r.phrase('not hung')) return got(null);
	if (!r.word('hung')) return undefined;
	r.word('on', 'by', 'from');
	r.word('a', 'the');
	const wall = WALLS.find((w) => r.phrase(`${w} wall`) || r.phrase(`${w}`));
	const by = wall ? WALL_HOLDS[wall] : HANGINGS.find((h) => r.phrase(h));
	if (!by)
		return refuse(
			'unknown-word',
			`Hung on what? ${HANGINGS.join(', ')}, or a ${WALLS.join(', ')} wall, like “hung on hooks every 2 ft”.`
		);
	let every: Micrometres = um(MICROMETRES.ft * 2);
	if (r.word('every')) {
		const long = pathLength(r);
		if (!long) return refuse('not-a-length', 'How far from one to the next? Type it like “every 2 ft”.');
		every = long;
	}
	const against = wall ? { wall } : {};
	if (!r.word('with')) return got({ by, material: null, every, ...against });
	const found = findMaterial(r.words(), r.context.materials);
	return found.ok ? got({ by, material: found.value.id, every, ...against }) : found;
}
