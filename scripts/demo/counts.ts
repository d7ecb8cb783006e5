import { readFileSync } from 'node:fs';
import type { CalendarDate } from '@internationalized/date';
import type { CountedTime, JobCounted } from '../../src/lib/core/job/counted.ts';
import type { WorkPhase } from '../../src/lib/core/labour/pace.ts';
import { reckonedWork } from '../../src/lib/core/job/real-cost.ts';
import { readPhoto } from '../../src/lib/core/photo/read-photo.ts';
import { LOSS_CAUSES } from '../../src/lib/core/stock/ledger.ts';
import { rational, rationalText } from '../../src/lib/core/units/rational.ts';
import type { Repos } from '../../src/lib/server/repos/index.ts';
import { countsOfJob, keepJobCount } from '../../src/lib/server/services/job-count.ts';
import { reckoningOf } from '../../src/lib/server/services/job-figures.ts';
import { workOfJob } from '../../src/lib/server/services/job.ts';
import { loadStudio } from '../../src/lib/server/services/studio.ts';
import { PAST_QUOTES } from './quotes.ts';

/** What was long and short on an invented job, in hundredths of what was reckoned: told by which job it is alone. */
const OFF: Readonly<Record<WorkPhase, readonly number[]>> = {
	'before': [104, 96, 118, 100, 92, 125],
	'build': [112, 97, 121, 108, 116, 94, 104],
	'on the road': [100, 115, 90, 105],
	'set up': [130, 95, 118, 140, 104],
	'at the place': [100, 160, 90, 110],
	'strike': [88, 102, 96, 110],
	'after': [100, 100, 130]
}; // prettier-ignore
const of = <T>(list: readonly T[], i: number): T => list[i % list.length]!;

/** The job that was a garland alone: its table runner took more than was reckoned. */
const GARLAND = 1;

/** Jobs of the last month are left for her to count. */
const TO_COUNT = -20;

/** Counts back the invented jobs of the last year; a second time nothing changes. */
export async function loadCounts(repos: Repos, today: CalendarDate): Promise<void> {
	for (const [i, past] of PAST_QUOTES.entries()) {
		const id = `quote-past-${i + 1}`;
		if (past.outcome !== 'accepted' || past.days > TO_COUNT || (await repos.jobCounts.find(id))) continue;
		const work = await workOfJob(repos, id, await loadStudio(repos));
		const reckoned = work && (await reckoningOf(repos, work));
		if (!reckoned) throw new Error(`The demo's job ${id} cannot be counted.`);
		const day = today.add({ days: past.days + 1 });
		const counted = countedOf(i, day.toString(), countsOfJob(work), reckonedWork(reckoned.reckoning));
		const outcome = await keepJobCount(repos, { work, base: 0 }, counted, day.toDate('UTC'));
		if (outcome !== 1) throw new Error(`The demo's job ${id} was not counted: ${outcome}`);
	}
}

function countedOf(i: number, day: string, counts: ReturnType<typeof countsOfJob>, work: ReturnType<typeof reckonedWork>): JobCounted {
	const materials = counts.map(({ material, used, isBack }, n) => {
		const lost = !isBack && (i + n) % 3 === 0 ? 1 + ((i * 2 + n) % 4) : 0;
		// What goes on a foot of a garland was an estimate.
		const real = i === GARLAND ? used.mul(rational(27, 20)) : used;
		const took = isBack ? used : rational(Math.ceil(real.valueOf())).add(lost);
		return { material: material.id, took: rationalText(took), lost, cause: lost > 0 && (i + n) % 4 !== 0 ? of(LOSS_CAUSES, i + n) : null };
	});
	const times = [...work].flatMap(([phase, { minutes }], n): CountedTime[] => {
		// Nobody writes down everything.
		if (minutes < 1 || (i + n) % 7 === 6) return [];
		const took = Math.max(1, Math.round((minutes * of(OFF[phase], i + n)) / 100));
		const hers = phase === 'build' || phase === 'before' ? took : Math.ceil(took / 2);
		const rest = took - hers;
		return [{ phase, person: 'tansy', minutes: hers }, ...(rest > 0 ? [{ phase, person: 'pip', minutes: rest }] : [])];
	});
	const leftOut = i === 9;
	return {
		day,
		materials,
		times,
		miles: i % 4 === 3 ? null : 16 + ((i * 7) % 40),
		costs: i % 5 === 0 ? [{ label: 'parking', minor: 600 + 100 * (i % 4) }] : [],
		leftOut,
		note: leftOut ? 'Squall all morning: no measure for others.' : ''
	};
} // prettier-ignore

/** A picture of one of them as it stood, for its client to see. */
export async function loadJobPhotos(repos: Repos, today: CalendarDate): Promise<void> {
	const quote = 'quote-paid';
	const read = readPhoto(readFileSync(new URL('./photos/lighthouse-column.jpg', import.meta.url)));
	if (!read.ok) throw new Error(`The demo's photo of a job was refused: ${read.say}`);
	await repos.jobPhotos.add(quote, { ...read.photo, id: `job-photo-${quote}`, caption: 'Beside the stage', isShown: true }, today.subtract({ days: 2 }).toDate('UTC')); // prettier-ignore
}
