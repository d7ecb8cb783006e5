import type { AppliedSaid } from '../applied/said.ts';
import type { BunchSaid } from '../bunch/said.ts';
import type { ExtrasSaid } from '../extras/said.ts';
import type { FormSaid } from '../form/said.ts';
import type { FrameSaid } from '../frame/said.ts';
import type { Kind } from '../kinds.ts';
import type { RunSaid } from '../run/said.ts';
import type { StackSaid } from '../stack/said.ts';
import type { WeaveSaid } from '../weave/said.ts';

/** What can be said of each kind. */
export interface SaidOf {
	readonly stack: StackSaid;
	readonly applied: AppliedSaid;
	readonly extras: ExtrasSaid;
	readonly bunch: BunchSaid;
	readonly form: FormSaid;
	readonly run: RunSaid;
	readonly weave: WeaveSaid;
	readonly frame: FrameSaid;
	readonly design: never;
}
/** One sentence about a structure. */
export type Said = SaidOf[Kind];
