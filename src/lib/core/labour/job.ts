import { paceOf, type Paces } from './pace.ts';

/** When a job asks for hands, besides building its pieces. */
export const JOB_PHASES = ['before', 'on the road', 'at the place', 'after'] as const;
export type JobPhase = (typeof JOB_PHASES)[number];

interface JobTaskDefinition {
	readonly phase: JobPhase;
	/** Done by everybody who goes along: so many times over. */
	readonly everybody: boolean;
	/** Goes with every trip there and back. */
	readonly everyTrip: boolean;
}
const task = (phase: JobPhase, everybody = false, everyTrip = false): JobTaskDefinition => ({
	phase,
	everybody,
	everyTrip
});

/** Kinds of work around the pieces of a job: all that is known of one stands here. */
const DEFINED = {
	'talk with the client': task('before'),
	'design and quote': task('before'),
	shopping: task('before'),
	'lay out colours': task('before'),
	load: task('before', true),
	drive: task('on the road', true, true),
	'park and carry': task('on the road', true, true),
	'wait for access': task('at the place', true),
	'rooms and floors': task('at the place', true),
	photographs: task('at the place'),
	'clear up': task('at the place', true),
	'to the tip': task('after'),
	unpack: task('after', true)
} as const satisfies Readonly<Record<string, JobTaskDefinition>>;
export type JobTask = keyof typeof DEFINED;
export const JOB_TASKS = Object.keys(DEFINED) as JobTask[];
export const JOB_TASK_DEFINITIONS: Readonly<Record<JobTask, JobTaskDefinition>> = DEFINED;

/** What becomes of the pieces at the place: struck afterwards, left standing, or handed over at the door. */
export const LEFT_AS = ['set up and struck', 'set up and left', 'delivered and left'] as const;
export type LeftAs = (typeof LEFT_AS)[number];

/** A week: more is a slip. Minutes. */
export const MOST_MINUTES = 7 * 24 * 60;
export const MOST_MILES = 2000;
export const MOST_TRIPS = 20;
export const MOST_GOERS = 30;

/** Minutes a job takes of each task; driving is told by its distance. */
export type JobMinutes = Readonly<Partial<Record<Exclude<JobTask, 'drive'>, number>>>;

/** What a kind of job usually takes: an owner edits it, a quote starts from it. */
export interface JobTemplate {
	readonly id: string;
	readonly name: string;
	readonly minutes: JobMinutes;
	/** One way, miles. */
	readonly miles: number;
	/** Times there and back. */
	readonly trips: number;
	/** How many go along. */
	readonly goers: number;
	readonly leftAs: LeftAs;
	/** What it costs besides: parking, the tip, hire. */
	readonly lines: readonly JobLine[];
}

/** Something a job costs, whatever it is. */
export interface JobLine {
	readonly label: string;
	readonly minor: number;
}

/** A job as a quote says it: its template, and what is otherwise on this one. */
export interface JobPlan {
	/** Id of a template; one that is gone is the usual one. */
	readonly template: string | null;
	readonly minutes: JobMinutes;
	readonly miles: number | null;
	readonly trips: number | null;
	readonly goers: number | null;
	/** Ids of who is on it; null is the usual crew. */
	readonly crew: readonly string[] | null;
	readonly lines: readonly JobLine[];
}
export const AS_USUAL: JobPlan = {
	template: null,
	minutes: {},
	miles: null,
	trips: null,
	goers: null,
	crew: null,
	lines: []
};

/** What the studio says of its jobs. */
export interface JobRates {
	/** At least one. */
	readonly templates: readonly JobTemplate[];
	/** Id of the one a quote starts from. */
	readonly usual: string;
	/** The van, minor units a mile: fuel, wear, insurance. */
	readonly vanPerMile: number;
	/** Miles an hour, on the roads there are. */
	readonly mph: number;
	/** Whether hours on the road are paid; nothing is yes. They are hours all the same. */
	readonly travelUnpaid?: boolean | undefined;
	/** What jobs that were counted taught of how long work takes, as far as it was taken over. */
	readonly paces?: Paces | undefined;
	/** Id of the kind of job that work is reckoned for; nothing is the usual one. Never kept. */
	readonly at?: string | undefined;
}

export interface JobWork {
	readonly task: JobTask;
	/** Of one person, on the whole job. */
	readonly minutes: number;
	/** Of all who do it. */
	readonly seconds: number;
	/** Whether it was said for this job, not by its template. */
	readonly said: boolean;
}

/** A job as it will be: what its template says, with what is said of this one over it. */
export interface Job {
	readonly template: JobTemplate;
	readonly work: readonly JobWork[];
	readonly miles: number;
	readonly trips: number;
	readonly goers: number;
	readonly lines: readonly JobLine[];
}

/** The template a plan means: its own, else the usual one, else the first. */
export const templateOf = (
	{ template }: Pick<JobPlan, 'template'>,
	{ templates, usual }: JobRates
): JobTemplate =>
	templates.find((t) => t.id === template) ?? templates.find((t) => t.id === usual) ?? templates[0]!;

/** The kind of job that work is reckoned for. */
export const placeOf = ({ at, usual }: Pick<JobRates, 'at' | 'usual'>): string => at ?? usual;

/** The work around a job, task by task. Tasks that take nothing are there with 0, so that they can be said. */
export function jobOf(plan: JobPlan, rates: JobRates): Job {
	const template = templateOf(plan, rates);
	const miles = plan.miles ?? template.miles;
	const trips = plan.trips ?? template.trips;
	const goers = plan.goers ?? template.goers;
	const work = JOB_TASKS.map((name): JobWork => {
		const { everybody, everyTrip, phase } = DEFINED[name];
		const own = name === 'drive' ? undefined : plan.minutes[name];
		const pace = paceOf(rates.paces, phase, template.id).valueOf();
		// What is said of this job is as it is said.
		const once =
			name === 'drive'
				? ((2 * miles * 60) / rates.mph) * pace
				: (own ?? (template.minutes[name] ?? 0) * pace);
		const minutes = once * (everyTrip ? trips : 1);
		return {
			task: name,
			minutes,
			seconds: Math.round(minutes * 60 * (everybody ? goers : 1)),
			said: name === 'drive' ? plan.miles !== null || plan.trips !== null : own !== undefined
		};
	});
	return { template, work, miles, trips, goers, lines: [...template.lines, ...plan.lines] };
}

/** What a kind of job takes where nobody has said otherwise, minutes. From memory: every studio edits its own. */
export const STARTING_JOBS: JobRates = {
	usual: 'piece',
	vanPerMile: 60,
	mph: 25,
	templates: [
		{
			id: 'delivery',
			name: 'delivery only',
			minutes: {
				'talk with the client': 10,
				'design and quote': 10,
				shopping: 10,
				'lay out colours': 5,
				load: 10,
				'park and carry': 5
			},
			miles: 6,
			trips: 1,
			goers: 1,
			leftAs: 'delivered and left',
			lines: []
		},
		{
			id: 'piece',
			name: 'one piece',
			minutes: {
				'talk with the client': 20,
				'design and quote': 20,
				shopping: 20,
				'lay out colours': 10,
				load: 15,
				'park and carry': 5,
				photographs: 5,
				'clear up': 10,
				unpack: 10
			},
			miles: 8,
			trips: 2,
			goers: 1,
			leftAs: 'set up and struck',
			lines: []
		},
		{
			id: 'room',
			name: 'a room',
			minutes: {
				'talk with the client': 45,
				'design and quote': 60,
				shopping: 40,
				'lay out colours': 20,
				load: 30,
				'park and carry': 10,
				'wait for access': 15,
				'rooms and floors': 10,
				photographs: 10,
				'clear up': 20,
				'to the tip': 15,
				unpack: 20
			},
			miles: 12,
			trips: 2,
			goers: 2,
			leftAs: 'set up and struck',
			lines: [{ label: 'parking', minor: 800 }]
		},
		{
			id: 'outdoor',
			name: 'outdoor day',
			minutes: {
				'talk with the client': 45,
				'design and quote': 75,
				shopping: 45,
				'lay out colours': 20,
				load: 45,
				'park and carry': 20,
				'wait for access': 30,
				photographs: 15,
				'clear up': 40,
				'to the tip': 20,
				unpack: 30
			},
			miles: 15,
			trips: 2,
			goers: 2,
			leftAs: 'set up and struck',
			lines: [{ label: 'parking', minor: 1200 }]
		}
	]
};
