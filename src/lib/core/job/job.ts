import type { Id } from '../document/id.ts';
import type { Settled } from './settled.ts';

/** What a day of a job is for, in the order they come. */
export const STAGES = ['build', 'drive', 'set up', 'event', 'strike'] as const;
export type Stage = (typeof STAGES)[number];
export const STAGE_WORDS: Readonly<Record<Stage, string>> = {
	build: 'Build',
	drive: 'Drive',
	'set up': 'Set up',
	event: 'Event',
	strike: 'Take down'
};
/** What hands are wanted for; at the event itself nobody is. */
export const HANDS: ReadonlySet<Stage> = new Set<Stage>(['build', 'drive', 'set up', 'strike']);

/** A stretch of one day that something of a job is done in. */
export interface JobDay {
	readonly id: Id;
	readonly stage: Stage;
	/** `YYYY-MM-DD` where the event is. */
	readonly day: string;
	/** Minutes after midnight; null is not settled. Over midnight it ends on the day after: then `to` is less than `from`. */
	readonly from: number | null;
	readonly to: number | null;
	/** Ids of who does it. */
	readonly people: readonly Id[];
	readonly note: string;
}

/** The place, as whoever drives there has to know it. Blank is not said. */
export interface JobPlace {
	readonly address: string;
	readonly access: string;
	readonly parking: string;
	readonly floors: string;
	/** Who is called there, and how. */
	readonly contact: string;
	readonly phone: string;
}
export const PLACE_FIELDS = ['address', 'access', 'parking', 'floors', 'contact', 'phone'] as const satisfies readonly (keyof JobPlace)[]; // prettier-ignore
export const NO_PLACE: JobPlace = {
	address: '',
	access: '',
	parking: '',
	floors: '',
	contact: '',
	phone: ''
};

/** What is said of a job beside its quote. */
export interface JobSaid {
	readonly days: readonly JobDay[];
	readonly place: JobPlace;
	readonly note: string;
	/** What was settled late; nothing is all as on the quote. */
	readonly settled?: Settled | undefined;
}

/** Most days and stretches that are written down of one job. */
export const MOST_DAYS = 60;
/** Hours one pair of hands builds in a day. House rule, common practice. */
export const DAY_HOURS = 8;
/** Air-filled latex is made so many days before at most, and still looks fresh. Common practice. */
export const EARLIEST_BUILD = 3;
const DAY_MINUTES = 24 * 60;

/** Minutes of a stretch; null where it is not settled. Over midnight goes on into the next day. */
export const minutesOf = ({ from, to }: Pick<JobDay, 'from' | 'to'>): number | null =>
	from === null || to === null ? null : to > from ? to - from : to - from + DAY_MINUTES;

/** Days of the event, the first first. */
export const eventDays = (days: readonly JobDay[]): string[] =>
	days.filter((d) => d.stage === 'event').map((d) => d.day).sort(); // prettier-ignore
/** The day of the event: of several the first; undefined where none is settled. */
export const eventDay = (days: readonly JobDay[]): string | undefined => eventDays(days)[0];

/** In the order they come: by day, by hour, by what they are for. */
export const inOrder = (days: readonly JobDay[]): JobDay[] =>
	[...days].sort(
		(a, b) =>
			(a.day < b.day ? -1 : a.day > b.day ? 1 : 0) ||
			(a.from ?? hourOf(a.stage)) - (b.from ?? hourOf(b.stage)) ||
			STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage)
	);
/** Where something stands in a day whose hour is not settled: building in the morning, taking down at night. */
const hourOf = (stage: Stage): number => (STAGES.indexOf(stage) * DAY_MINUTES) / STAGES.length;

/** Who is on any of these stages. */
export const peopleOn = (days: readonly JobDay[], ...stages: readonly Stage[]): string[] => [
	...new Set(days.filter((d) => stages.includes(d.stage)).flatMap((d) => d.people))
];
