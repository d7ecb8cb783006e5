import type { Id } from '../document/id.ts';
import { ON_THE_FLOOR } from '../document/stand.ts';
import type { Entry, SaidSection } from '../language/entry.ts';
import type { SaidCluster } from '../language/said.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { leadSize } from '../recipe/scale.ts';
import type { Structure } from '../structures/kinds.ts';
import { emptyRun } from '../structures/run/empty.ts';
import type { Run } from '../structures/run/document.ts';
import type { SaidRun } from '../structures/run/said.ts';
import { emptyStack } from '../structures/stack/empty.ts';
import { stackIn } from '../structures/stack/edit.ts';
import { placeStack } from '../structures/stack/place.ts';
import type { SaidLayer } from '../structures/stack/said.ts';
import { feet, inches, um, type Micrometres } from '../units/length.ts';
import type { Asked } from '../by-hand/asked.ts';
import type { StartEntry } from './shape.ts';

/** One row of a stack, so many times, or up to a height of the body. */
export const layer = (said: SaidCluster, more: Partial<SaidLayer> = {}): Entry => ({
	kind: 'layer',
	layer: { clusters: [said], repeat: 1, toHeight: null, turn: 'half', joining: null, ...more }
});

/** A pole as long as what stands needs, to the next half foot. */
export const poleFor: StartEntry = (recipe) => {
	const needed = placeStack(stackIn(recipe)!, []).upright.usual * 1000;
	const length = um(Math.max(1, Math.ceil(needed / feet(0.5))) * feet(0.5));
	return { kind: 'upright', upright: { kind: 'pole', length } };
};

/** What is left of a height over what stands there already. */
export const upTo = (height: Micrometres, recipe: Recipe): Micrometres =>
	um(Math.max(inches(6), height - Math.round(leadSize(recipe).mm * 1000)));

/** A section on the floor that takes what is said next. */
export const section = (name: string, structure: Structure, more: Partial<SaidSection> = {}): Entry => ({
	kind: 'section',
	section: { name, times: 1, mirror: false, stand: ON_THE_FLOOR, structure, ...more }
});

/** An empty stack on a pole of a stand, or on none. */
export const stackOn = (name: string, stand: Id | null, upright = true): Entry => {
	const empty = emptyStack();
	if (!upright) return section(name, empty);
	return section(name, {
		...empty,
		upright: { ...empty.upright, kind: 'pole', material: stand },
		onFloor: stand === null
	});
};

export const run = (name: string, more: Partial<Run> = {}): Entry =>
	section(name, { ...emptyRun(), ...more });
export const ofRun = (said: SaidRun): Entry => ({ kind: 'run', said });

/** A line that is bought or taken from the shelf. */
export const thing = (material: Id | null, count = 1): readonly Entry[] =>
	material === null
		? []
		: [
				{
					kind: 'lines',
					lines: [{ material, name: '', quantity: String(count), range: null }],
					role: 'always',
					swappable: false
				}
			];

/** Sizes of a mix in the shares of a usual garland; common practice, from memory. Per cent of the count. */
export const MIXES: Readonly<
	Record<string, readonly (readonly [nominal: number, size: number, share: number])[]>
> = {
	two: [
		[11, 9, 45],
		[5, 4, 55]
	],
	three: [
		[16, 13, 12],
		[11, 9, 40],
		[5, 4, 48]
	],
	small: [[5, 4, 100]],
	elevens: [
		[11, 10, 50],
		[11, 7, 50]
	]
};
export const MIX = {
	kind: 'choice',
	label: 'Sizes',
	options: [
		['three', 'large, middle and small (16, 11, 5)'],
		['two', 'middle and small (11, 5)'],
		['elevens', 'elevens, two sizes'],
		['small', 'only small (5)']
	],
	start: 'three'
} as const satisfies Asked;
