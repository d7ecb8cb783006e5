import type { Ball } from '../geometry/ring.ts';
import { pointAt, type Spot } from '../structures/kit/spot.ts';
import { apart, type Point } from '../structures/kit/strand.ts';
import { LaidOut, type PartColour } from '../materials/assorted.ts';

/** Balloons are looked for in cubes this wide, mm: about the largest that is bought assorted. */
const CUBE = 400;
/** Nearer than so many times touching they are neighbours. */
const NEAR = 1.12;

/** Balloons of one assorted bag as a picture shows them: neighbours unlike where they can be. */
export class Assorting {
	readonly #laid: LaidOut;
	readonly #cubes = new Map<string, { at: Ball; is: number }[]>();
	constructor(of: readonly PartColour[]) {
		this.#laid = new LaidOut(of);
	}
	/** @returns the index of the colour of a balloon that lies here, mm */
	at(at: Ball): number {
		const [x, y, z] = [at.x, at.y, at.z].map((v) => Math.floor(v / CUBE)) as [number, number, number];
		const near: number[] = [];
		for (let i = -1; i <= 1; i++)
			for (let j = -1; j <= 1; j++)
				for (let k = -1; k <= 1; k++)
					for (const other of this.#cubes.get(`${x + i}/${y + j}/${z + k}`) ?? []) {
						const far = Math.hypot(other.at.x - at.x, other.at.y - at.y, other.at.z - at.z);
						if (far < (NEAR * (other.at.d + at.d)) / 2) near.push(other.is);
					}
		const is = this.#laid.next(near);
		const key = `${x}/${y}/${z}`;
		const cube = this.#cubes.get(key) ?? [];
		cube.push({ at, is });
		this.#cubes.set(key, cube);
		return is;
	}
}

/** A ball about the middle of something long, as wide as that is long: what lies beside and after it is its neighbour. */
export function roomAlong(path: readonly Point[], spot: Spot): Ball {
	const [from, to] = [path[0]!, path.at(-1)!];
	return { ...pointAt(spot, path[path.length >> 1]!), d: apart(from, to) };
}
