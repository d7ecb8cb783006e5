import type { CalendarDate } from '@internationalized/date';
import type { JobDay, JobSaid, Stage } from '../../src/lib/core/job/job.ts';
import { changeJob } from '../../src/lib/server/services/change-job.ts';
import type { Repos } from '../../src/lib/server/repos/index.ts';

/** Hours of a stage and who does it. */
type Hours = readonly [from: number, to: number, ...people: string[]];
interface ToldJob {
	readonly quote: string;
	readonly hours: Readonly<Partial<Record<Stage, Hours>>>;
	readonly place: Partial<JobSaid['place']>;
	readonly note?: string;
}

/** Three jobs of the next weeks. Two of them want the same stands, and Tansy, on neighbouring days. */
const JOBS: readonly ToldJob[] = [
	{
		quote: 'quote-lanterns',
		hours: { build: [9, 15, 'tansy', 'pip'], drive: [15, 16, 'tansy'], 'set up': [16, 18, 'tansy', 'pip'], event: [19, 22], strike: [22, 23, 'pip'] },
		place: { address: 'Tidewick Library, 4 Chart Street', access: 'Side door, ring for the caretaker', parking: 'Yard behind the house', floors: 'Ground floor', contact: 'Wren Ashby', phone: '555 0142' }
	},
	{
		quote: 'quote-fair',
		hours: { build: [13, 19, 'tansy', 'moss'], drive: [7, 8, 'moss'], 'set up': [8, 10, 'moss', 'pip'], event: [11, 17], strike: [17, 18, 'moss'] },
		place: { address: 'Harbour Street School, gate B', access: 'Key at the office until 3 pm', parking: 'Playground, after the bell', floors: 'Ground floor, double doors', contact: 'Ines Marlow', phone: '555 0117' },
		note: 'No glitter in the gym.'
	},
	{
		quote: 'quote-oven',
		hours: { build: [10, 13, 'tansy'], drive: [6, 7, 'tansy'], 'set up': [7, 8, 'tansy'], event: [9, 17], strike: [17, 18, 'tansy'] },
		place: { address: 'Crumb & Kettle Bakery, Mill Lane', access: 'By the shop door before it opens', contact: 'Odette Crumb', phone: '555 0164' }
	}
]; // prettier-ignore

/** Says the days of the invented jobs; a second time nothing changes. */
export async function loadJobs(repos: Repos, today: CalendarDate): Promise<void> {
	const now = new Date(`${today.subtract({ days: 1 }).toString()}T14:00:00Z`);
	for (const { quote, hours, place, note = '' } of JOBS) {
		if ((await repos.jobs.find(quote))?.said) continue;
		const said = (day: JobDay): JobDay => {
			const own = hours[day.stage];
			if (!own) return day;
			const [from, to, ...people] = own;
			return { ...day, from: from * 60, to: to * 60, people };
		};
		const outcome = await changeJob(repos, { id: quote, base: 0 }, (usual) => ({ days: usual.days.map(said), place: { ...usual.place, ...place }, note }), now); // prettier-ignore
		if (typeof outcome === 'string') throw new Error(`The demo's job ${quote} was not said: ${outcome}`);
	}
}
