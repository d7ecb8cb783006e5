import { feet, inches, um, type Micrometres } from '../../units/length.ts';
import type { RunPath } from './document.ts';

/** Kinds of path that are drawn and dragged. */
export const DRAWN_KINDS = ['line', 'arch', 'catenary', 'corners', 'helix', 'curve'] as const;
export type DrawnKind = (typeof DRAWN_KINDS)[number];

export const kindOf = (path: RunPath): DrawnKind | 'lent' =>
	path.kind === 'arch' ? (path.curve === 'catenary' ? 'catenary' : 'arch') : path.kind;

/** A path of another kind that takes about the same room: what a run starts with when its kind is changed. mm */
export function pathAs(kind: DrawnKind, span: number, height: number): RunPath {
	const wide = atLeast(span * 1000, feet(2));
	const high = atLeast(height * 1000, feet(2));
	switch (kind) {
		case 'line':
			return { kind: 'line', length: wide };
		case 'arch':
		case 'catenary':
			return { kind: 'arch', span: wide, rise: high, curve: kind === 'arch' ? 'ellipse' : 'catenary' };
		case 'corners':
			return {
				kind: 'corners',
				legs: [
					{ way: 'up', length: high, pitch: null },
					{ way: 'right', length: wide, pitch: null },
					{ way: 'down', length: high, pitch: null }
				]
			};
		case 'helix':
			return { kind: 'helix', across: feet(1), height: high, turns: 3 };
		case 'curve':
			return { kind: 'curve', points: [[0, 0], [wide / 2, high], [wide, 0]].map(([x, z]) => [Math.round(x!), Math.round(z!)] as const) }; // prettier-ignore
	}
}

/** A point of the drawing that can be dragged: which, where it is in the picture plane (mm), and which ways it goes. */
export interface Grip {
	readonly index: number;
	readonly x: number;
	readonly z: number;
	readonly says: string;
	readonly ways: 'across' | 'up' | 'both';
}

/** What can be dragged of a path whose first point stands at `from`, mm. */
export function gripsOf(path: RunPath, from: { readonly x: number; readonly z: number }): Grip[] {
	switch (path.kind) {
		case 'line':
			return [{ index: 0, x: from.x + path.length / 1000, z: from.z, says: 'right end', ways: 'across' }];
		case 'arch':
			return [
				{ index: 0, x: from.x + path.span / 1000, z: from.z, says: 'right foot', ways: 'across' },
				{ index: 1, x: from.x + path.span / 2000, z: from.z + path.rise / 1000, says: 'top', ways: 'up' }
			];
		case 'corners': {
			let [x, z] = [from.x, from.z];
			return path.legs.map(({ way, length }, index) => {
				if (way === 'right' || way === 'left') x += ((way === 'right' ? 1 : -1) * length) / 1000;
				else z += ((way === 'up' ? 1 : -1) * length) / 1000;
				return {
					index,
					x,
					z,
					says: `end of leg ${index + 1}`,
					ways: way === 'up' || way === 'down' ? 'up' : 'across'
				};
			});
		}
		case 'curve': {
			const [x0, z0] = path.points[0]!;
			return path.points.map(([x, z], index) => ({
				index,
				x: from.x + (x - x0) / 1000,
				z: from.z + (z - z0) / 1000,
				says: `point ${index + 1}`,
				ways: 'both'
			}));
		}
		default:
			return [];
	}
}

/** Dragging falls on inches; typing says what is finer. */
const STEP = inches(1);
const LONGEST = feet(650);
const snapped = (mm: number): number => Math.round((mm * 1000) / STEP) * STEP;
const atLeast = (value: number, least: number): Micrometres =>
	um(Math.max(least, Math.min(LONGEST, Math.round(value / STEP) * STEP)));

/** A path with one of its grips moved by so much, mm. What would be shorter than 3 inches stays 3 inches. */
export function dragged(
	path: RunPath,
	index: number,
	by: { readonly x: number; readonly z: number }
): RunPath {
	const longer = (length: Micrometres, mm: number) => atLeast(length + snapped(mm), inches(3));
	switch (path.kind) {
		case 'line':
			return { ...path, length: longer(path.length, by.x) };
		case 'arch':
			return index === 0
				? { ...path, span: longer(path.span, by.x) }
				: { ...path, rise: longer(path.rise, by.z) };
		case 'corners':
			return {
				...path,
				legs: path.legs.map((leg, i) => {
					if (i !== index) return leg;
					const out = { right: by.x, left: -by.x, up: by.z, down: -by.z }[leg.way];
					return { ...leg, length: longer(leg.length, out) };
				})
			};
		case 'curve': {
			const moved = path.points.map(([x, z], i) =>
				i === index ? ([x + snapped(by.x), z + snapped(by.z)] as const) : ([x, z] as const)
			);
			// All points in one place have no length: the last move is not taken.
			return moved.every(([x, z]) => x === moved[0]![0] && z === moved[0]![1])
				? path
				: { ...path, points: moved };
		}
		default:
			return path;
	}
}
