import type { Id } from './id.ts';
import type { Micrometres } from '../units/length.ts';

export const HANGINGS = ['hooks', 'pins', 'stand', 'backdrop', 'fishing line', 'ties'] as const;

export type Hanging = (typeof HANGINGS)[number];

/** What a piece hangs against, and what holds there. Common practice, from memory; the owner of the wall has the last word. */
export const WALL_HOLDS = {
	plaster: 'pins',
	wood: 'pins',
	fabric: 'pins',
	brick: 'hooks',
	tile: 'hooks',
	glass: 'hooks'
} as const satisfies Readonly<Record<string, Hanging>>;

export type Wall = keyof typeof WALL_HOLDS;

export const WALLS = Object.keys(WALL_HOLDS) as Wall[];

export interface Hung {
	readonly by: Hanging;
	/** What each takes, a material of the Stockroom. */
	readonly material: Id | null;
	/** From one to the next. */
	readonly every: Micrometres;
	/** The wall it was chosen for, where one was said. */
	readonly wall?: Wall | undefined;
}
