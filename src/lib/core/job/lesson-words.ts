import { kindCalled } from '../structures/registry/called.ts';
import { PHASE_WORDS } from './counted.ts';
import { lastOnes, type Lesson } from './taught.ts';

const NUMBERS = ['no', 'one', 'two', 'three'];
const WORK = { ...PHASE_WORDS, before: 'before the job', after: 'after the job' };

const TOOK = { ...WORK, 'before': 'what comes before', 'on the road': 'the road', 'at the place': 'what else is done there', 'after': 'what comes after' } as const; // prettier-ignore

/** What a lesson is about: `garlands, at the bench`, `“a room”, standing it up`. @param jobName what a kind of job is called */
export const lessonAbout = ({ work, of }: Pick<Lesson, 'work' | 'of'>, jobName: (id: string) => string): string =>
	`${work === 'build' ? kindCalled(of, 2) : `“${jobName(of)}”`}, ${WORK[work]}`; // prettier-ignore

/** `Your last three garlands took 12 % longer than reckoned.`; blank where that is no news. */
export function lastWords(lesson: Lesson, jobName: (id: string) => string): string {
	const last = lastOnes(lesson);
	if (!last) return '';
	const { jobs, percent } = last;
	const many = NUMBERS[jobs] ?? String(jobs);
	const by = `${Math.abs(percent)} % ${percent > 0 ? 'longer' : 'less long'} than reckoned`;
	const { work, of } = lesson;
	if (work === 'build') return `Your last ${jobs === 1 ? '' : `${many} `}${kindCalled(of, jobs)} took ${by}.`;
	const job = `${jobs === 1 ? 'job' : `${many} jobs`} of “${jobName(of)}”`;
	return `On your last ${job} ${TOOK[work]} took ${by}.`;
}
