import type { Follows, Layer, StandsOn, Upright } from './document.ts';
import type { Micrometres } from '../../units/length.ts';
import type { Joining } from '../../document/cluster.ts';
import type { SaidCluster } from '../../language/said.ts';

export interface SaidLayer {
	readonly clusters: readonly SaidCluster[];
	/** So many, or as many as reach a body height. */
	readonly repeat: number;
	readonly toHeight: Micrometres | null;
	readonly turn: 'half' | 'none';
	readonly joining: Joining | null;
	readonly follows?: Follows | undefined;
	readonly range?: Layer['range'];
	readonly like?: Layer['like'];
}

export type StackSaid =
	| { readonly kind: 'layer'; readonly layer: SaidLayer }
	| {
			readonly kind: 'upright';
			readonly upright: Pick<Upright, 'kind' | 'length'> & Partial<Pick<Upright, 'material'>>;
	  }
	/** Whether its lowest balloons touch the floor, and else what they stand on. */
	| { readonly kind: 'stands'; readonly onFloor: boolean; readonly on?: StandsOn | undefined };
