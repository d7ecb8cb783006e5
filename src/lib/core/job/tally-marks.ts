import type { LossCause } from '../stock/ledger.ts';
import type { Id } from '../document/id.ts';

/** What is counted while a step is done: what is finished, what is lost, and how long it was worked on. */
export const MARK_KINDS = ['done', 'lost', 'time'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

/** One count at the bench. It is never changed: another one takes it back. */
export interface TallyMark {
	/** Made where it was counted: sent twice it counts once. */
	readonly id: string;
	/** The line of the job it is for, and the step of its plan. */
	readonly line: Id;
	readonly step: string;
	readonly kind: MarkKind;
	/** Pieces, below 0 where they are taken back; whole seconds of time. Never 0. */
	readonly amount: number;
	/** Of what was lost: of which material, blank where that was not said; and why. */
	readonly material: Id | '';
	readonly cause: LossCause | null;
	/** Who counted; blank is not said. */
	readonly person: Id | '';
	/** Milliseconds since 1970, where it was counted. */
	readonly at: number;
}

/** What was lost of a material at the bench: pieces, and the cause of most of them. */
export interface LostAtBench {
	readonly pieces: number;
	readonly cause: LossCause | null;
}

/** What marks say was lost, by material; taken back is not lost. Where no material was said it is under a blank. */
export function lostIn(marks: readonly TallyMark[]): ReadonlyMap<Id | '', LostAtBench> {
	const sums = new Map<Id | '', Map<LossCause | null, number>>();
	for (const { kind, material, cause, amount } of marks) {
		if (kind !== 'lost') continue;
		const own = sums.get(material) ?? new Map<LossCause | null, number>();
		sums.set(material, own.set(cause, (own.get(cause) ?? 0) + amount));
	}
	const found = new Map<Id | '', LostAtBench>();
	for (const [material, causes] of sums) {
		const pieces = Math.max(
			0,
			[...causes.values()].reduce((a, b) => a + b, 0)
		);
		const [most] = [...causes].toSorted(([, a], [, b]) => b - a);
		if (pieces > 0) found.set(material, { pieces, cause: most?.[0] ?? null });
	}
	return found;
}

/** Whole minutes at the bench by who worked, blank where that was not said; started minutes count. */
export function minutesIn(
	marks: readonly TallyMark[]
): { readonly person: Id | ''; readonly minutes: number }[] {
	const seconds = new Map<Id | '', number>();
	for (const { kind, person, amount } of marks)
		if (kind === 'time') seconds.set(person, (seconds.get(person) ?? 0) + amount);
	return [...seconds].flatMap(([person, sum]) => (sum > 0 ? [{ person, minutes: Math.ceil(sum / 60) }] : []));
}

/** What is done of each step of each line: never below 0, whatever was taken back. */
export function doneIn(marks: readonly TallyMark[]): ReadonlyMap<string, number> {
	const sums = new Map<string, number>();
	for (const { kind, line, step, amount } of marks)
		if (kind === 'done') sums.set(markPlace(line, step), (sums.get(markPlace(line, step)) ?? 0) + amount);
	return new Map([...sums].map(([place, sum]) => [place, Math.max(0, sum)]));
}
/** Where a mark belongs: a line of the job, and a step of its plan. */
export const markPlace = (line: Id, step: string): string => `${line} ${step}`;
