import type { FollowOnRule } from '../document/rule.ts';
import type { Library } from '../recipe/library.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import type { JobRates } from '../labour/job.ts';
import type { TaskCount } from '../labour/task.ts';
import type { Id } from '../document/id.ts';
import type { StepPlace } from '../document/step.ts';

/** Kinds of steps made from the structures. */
export const STEP_KINDS = [
	'inflate', 'foils', 'clusters', 'upright', 'row', 'piece', 'design', 'join', 'line', 'patches', 'set up', 'look over', 'look behind',
	'strike', 'inside', 'paint', 'necks', 'ribbons', 'hang', 'spine', 'garland', 'strings', 'woven ribbons', 'weave', 'infill',
	'frame cut', 'frame bent', 'frame covered', 'frame joined', 'frame base', 'frame guyed'
] as const; // prettier-ignore
export type StepKind = (typeof STEP_KINDS)[number];

/** What steps are made with besides the recipe. */
export interface StepContext {
	readonly catalogue: Catalogue;
	readonly library: Library;
	readonly pumps: readonly PumpProfile[];
	/** What the business takes for what is counted, where a design says nothing else. */
	readonly rules: readonly FollowOnRule[];
	/** How long work takes on the kind of job it is for. */
	readonly jobs: Pick<JobRates, 'paces' | 'at' | 'usual'>;
}

/** What a step takes: a count of something, with the colours that show it. */
export interface StepLine {
	readonly count: number;
	readonly text: string;
	/** Colours of the Stockroom, where it has any. */
	readonly colours: readonly string[];
	/** Of which material each is, where it is one of the Stockroom. */
	readonly material?: Id | undefined;
}

/** A step as the structures make it. */
export interface MadeStep {
	readonly key: string;
	/** The section, row, piece or line it is about; null is the whole design. */
	readonly about: Id | null;
	readonly text: string;
	readonly lines: readonly StepLine[];
	readonly place: StepPlace;
	readonly tool: string;
	readonly method: string;
	/** Seconds to wait before the next step. */
	readonly wait: number;
	readonly check: string;
	/** The work of it, for all there are to build. */
	readonly work: readonly { readonly task: TaskCount; readonly difficulty: string }[];
}

export const stepKey = (kind: StepKind, about: Id | null): string => `${kind}:${about ?? ''}`;
/** The kind a step's key begins with. */
export const kindOfStep = ({ key }: Pick<MadeStep, 'key'>): string => key.slice(0, key.indexOf(':'));

/** What a key is about; undefined for what is no key. */
export function aboutOf(key: string): Id | undefined {
	const at = key.indexOf(':');
	return at < 0 ? undefined : key.slice(at + 1);
}

/** What is said of a step; what is not said is nothing. */
export type Draft = Partial<Omit<MadeStep, 'key' | 'about' | 'text' | 'work'>> & {
	work?: readonly TaskCount[];
};

export function made(
	kind: StepKind,
	about: Id | null,
	text: string,
	draft: Draft = {},
	difficulty: string | ((task: TaskCount) => string) = '1'
): MadeStep {
	const { work = [], ...rest } = draft;
	const plain = { lines: [], place: 'bench' as const, tool: '', method: '', wait: 0, check: '' };
	const hard = (task: TaskCount) => (typeof difficulty === 'string' ? difficulty : difficulty(task));
	const timed = work.filter((t) => t.count > 0).map((task) => ({ task, difficulty: hard(task) }));
	return { key: stepKey(kind, about), about, text, ...plain, ...rest, work: timed };
}
