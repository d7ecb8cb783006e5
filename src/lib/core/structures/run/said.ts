import type { Micrometres } from '../../units/length.ts';
import type {
	Branch,
	Change,
	FreeStretch,
	Infill,
	MixPart,
	Organic,
	Run,
	RunPath,
	RunRow,
	Spine,
	Taper
} from './document.ts';
import type { Hung } from '../../document/hung.ts';
import type { Joining } from '../../document/cluster.ts';
import type { ColourRef, OwnSaid, SaidBalloon, SaidCluster } from '../../language/said.ts';

/** One thing said of a run: what is not said stays. */
export type SaidRun =
	| {
			readonly set: 'path';
			readonly path: RunPath;
			readonly height: Micrometres | 0 | null;
			readonly open?: Run['open'];
	  }
	| { readonly set: 'branch'; readonly branch: Omit<Branch, 'id'> }
	| {
			readonly set: 'row';
			readonly cluster: SaidCluster;
			readonly row: Pick<RunRow, 'repeat' | 'pitch' | 'joining'>;
	  }
	| { readonly set: 'corner'; readonly balloon: OwnSaid | null }
	| {
			readonly set: 'mix';
			readonly balloon: SaidBalloon;
			readonly share: MixPart['share'];
			readonly each?: number;
			readonly colours: readonly { readonly ref: ColourRef; readonly parts: number }[];
	  }
	| { readonly set: 'organic'; readonly organic: Partial<Organic> }
	| {
			readonly set: 'infill';
			readonly balloon: SaidBalloon;
			readonly colour: ColourRef | null;
			readonly a: Pick<Infill, 'low' | 'high' | 'each'>;
	  }
	| { readonly set: 'spine'; readonly spine: Spine | null }
	| { readonly set: 'hung'; readonly hung: Hung | null }
	| { readonly set: 'joining'; readonly joining: Joining }
	/** A leg that was built: what its clusters take is fitted to it. */
	| { readonly set: 'fitted'; readonly pitch: Micrometres }
	| { readonly set: 'spare'; readonly spare: number }
	/** Null is as many as fit. */
	| { readonly set: 'clusters'; readonly clusters: number | null }
	| { readonly set: 'free'; readonly free: Omit<FreeStretch, 'id'> }
	| { readonly set: 'taper'; readonly taper: Taper | null }
	| { readonly set: 'change'; readonly change: Change }
	| { readonly set: 'open'; readonly open: NonNullable<Run['open']> | null };

export interface RunSaid {
	readonly kind: 'run';
	readonly said: SaidRun;
}
