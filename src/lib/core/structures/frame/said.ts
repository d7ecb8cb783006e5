import type { Frame, FrameShape, TubeJoining } from './document.ts';

/** One thing said of a frame. */
export type SaidFrame =
	| { readonly set: 'shape'; readonly shape: FrameShape }
	| { readonly set: 'tube'; readonly tube: Partial<Frame['tube']> }
	| { readonly set: 'base'; readonly base: Frame['base'] }
	| { readonly set: 'joined'; readonly joined: TubeJoining }
	| { readonly set: 'uses'; readonly uses: number };

export interface FrameSaid {
	readonly kind: 'frame';
	/** Several things may be said in a line: “post 5 ft of 1 in pipe on plate”. */
	readonly said: readonly SaidFrame[];
}
