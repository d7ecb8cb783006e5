import type { Ground } from '../../document/ground.ts';
import type { Frame, FramePart, FrameShape, TubeJoining } from './document.ts';

/** One thing said of a frame. */
export type SaidFrame =
	| { readonly set: 'shape'; readonly shape: FrameShape }
	/** Its tubes by themselves, so that each joint can be moved; one more; the nth left out, counted from 1. */
	| { readonly set: 'apart' }
	| { readonly set: 'part'; readonly part: FramePart }
	| { readonly set: 'part out'; readonly nth: number }
	| { readonly set: 'tube'; readonly tube: Partial<Frame['tube']> }
	| { readonly set: 'base'; readonly base: Frame['base'] }
	/** The usual one again where it is undefined. */
	| { readonly set: 'ground'; readonly ground: Ground; readonly base: Frame['base'] | undefined }
	| { readonly set: 'guys'; readonly guys: Frame['guys'] }
	| { readonly set: 'mesh'; readonly mesh: Frame['mesh'] }
	| { readonly set: 'cover'; readonly cover: Frame['cover'] }
	| { readonly set: 'joined'; readonly joined: TubeJoining }
	| { readonly set: 'uses'; readonly uses: number };

export interface FrameSaid {
	readonly kind: 'frame';
	/** Several things may be said in a line: “post 5 ft of 1 in pipe on plate”. */
	readonly said: readonly SaidFrame[];
}
