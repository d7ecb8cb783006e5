import { describe, expect, test } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { jobPage } from '../pages/job-page.ts';
import { jobListsPage } from '../pages/job-lists-page.ts';
import { dayPage } from '../pages/day-page.ts';
import { calendarBetween } from '../services/job-calendar.ts';
import { shifted } from '../../core/job/shift.ts';
import { clientPage } from '../services/client-page.ts';
import { itemsOf } from '../services/jobs-ahead.ts';
import { changeJob } from '../services/change-job.ts';
import { newTerms, sendQuote } from '../services/quoting.ts';
import { loadStudio } from '../services/studio.ts';
import type { Repos } from './index.ts';

const TODAY = '2027-05-04';
async function accepted(repos: Repos, id: string, eventDate: string | null = '2027-06-12') {
	if (!(await repos.designs.find('d'))) {
		await repos.designs.create('d', design('column', '4 16 at 12 grey', '4 11 at 9 white x6'), NOW);
		await repos.designs.keep('d', NOW);
	}
	const { settings } = await loadStudio(repos);
	const clientId = await repos.clients.named('Tidewick Library', 'client');
	const lines = [
		{ id: `l-${id}`, versionId: 'd.1', colourwayId: null, sizeId: null, quantity: 2, way: null }
	];
	const terms = {
		...newTerms(settings),
		deliveryCostMinor: 0,
		occasion: 'Map evening',
		venue: 'Reading room'
	};
	await repos.quotes.create(id, { clientId, eventDate, zone: settings.zone, terms, lines }, NOW);
	await sendQuote(repos, { id, evenUnknown: true, now: NOW, token: `token-of-${id}` });
	await repos.quoteLife.happen(id, 'accepted', NOW);
}
const move = (repos: Repos, id: string, base: number, day: string) =>
	changeJob(repos, { id, base }, (said) => ({ ...said, days: said.days.map((d) => ({ ...d, day })) }), NOW);

describe('a yes is a job', () => {
	test('by itself, with its usual days and its place; a no and a cancelled one are none', async () => {
		const { repos } = await tempStudio();
		await accepted(repos, 'q');
		await accepted(repos, 'no');
		await repos.quoteLife.happen('no', 'cancelled', NOW);
		expect((await repos.jobs.page({ today: TODAY })).rows.map((r) => r.id)).toEqual(['q']);
		const page = (await jobPage(repos, { id: 'q', today: TODAY }))!;
		expect(page).toMatchObject({ isUsual: true, client: 'Tidewick Library', place: { address: 'Reading room' }, pieces: [{ quantity: 2, name: 'column', design: 'd' }] }); // prettier-ignore
		expect(page.days.map((d) => [d.stage, d.day.slice(8)])).toEqual([['build', '11'], ['drive', '12'], ['set up', '12'], ['event', '12'], ['strike', '12']]); // prettier-ignore
		expect(await jobPage(repos, { id: 'no', today: TODAY })).toBeNull();
	});
	test('once its own day is over the client’s page says thank you, with what is shown of it: moved, it waits for that day', async () => {
		const { repos } = await tempStudio();
		await accepted(repos, 'q');
		const thanks = async (day: string) => (await clientPage(repos, 'token-of-q', new URLSearchParams(), new Date(`${day}T15:00:00Z`)))!.thanks; // prettier-ignore
		expect(await thanks('2027-06-12')).toBeNull();
		expect(await thanks('2027-06-13')).toEqual({ pictures: [] });
		await changeJob(repos, { id: 'q', base: 0 }, (said) => ({ ...said, days: shifted(said.days, '2027-06-20') }), NOW); // prettier-ignore
		expect(await thanks('2027-06-13')).toBeNull();
		expect(await thanks('2027-06-21')).toEqual({ pictures: [] });
	});
	test('of what was chosen alone: an extra nobody ticked is not built, pulled or set aside', async () => {
		const { repos } = await tempStudio();
		await accepted(repos, 'first');
		const { terms, zone, clientId, lines } = (await repos.quotes.find('first'))!;
		const extra = { ...lines[0]!, id: 'extra', quantity: 5 };
		const offered = { ...terms, about: { extra: { addOn: true as const } } };
		await repos.quotes.create('q', { clientId, eventDate: '2027-06-12', zone, terms: offered, lines: [{ ...lines[0]!, id: 'own' }, extra] }, NOW); // prettier-ignore
		await sendQuote(repos, { id: 'q', evenUnknown: true, now: NOW, token: 'token-of-q' });
		const studio = await loadStudio(repos);
		const pieces = async () => (await itemsOf(repos, 'q', studio))!.items.map((i) => i.quantity);
		expect(await pieces()).toEqual([2, 5]);
		await repos.quoteLife.happen('q', 'accepted', NOW);
		expect(await pieces()).toEqual([2]);
		expect((await jobPage(repos, { id: 'q', today: TODAY }))!.pieces.map((p) => p.quantity)).toEqual([2]);
	});
	test('stays one while its quote is written anew, and is none once the yes is taken back', async () => {
		const { repos } = await tempStudio();
		await accepted(repos, 'q');
		await repos.quoteLife.happen('q', 'revised', NOW);
		expect(await repos.jobs.find('q')).toMatchObject({ isRevised: true });
		await repos.quoteLife.happen('q', 'revision dropped', NOW);
		expect(await repos.jobs.find('q')).toMatchObject({ isRevised: false });
		await repos.quoteLife.happen('q', 'answer taken back', NOW);
		expect(await repos.jobs.find('q')).toBeUndefined();
	});
	test('no price, cost or margin is in what is shown of it', async () => {
		const { repos } = await tempStudio();
		await accepted(repos, 'q');
		const shown = JSON.stringify([await jobPage(repos, { id: 'q', today: TODAY }), await jobListsPage(repos, { id: 'q' }), await dayPage(repos, { day: '2027-06-12' })]); // prettier-ignore
		expect(shown).not.toMatch(/minor|margin|price|cost|currency|wage/i);
	});
});

describe('what is said of a job', () => {
	test('is kept whole, and moves it in the calendar, on the shelf of what comes back and in the list of changes', async () => {
		const { repos } = await tempStudio();
		await accepted(repos, 'q');
		expect(await move(repos, 'q', 0, '2027-07-03')).toBe(1);
		expect(await repos.jobs.find('q')).toMatchObject({ day: '2027-07-03', revision: 1 });
		expect((await repos.jobs.between('2027-06-01', '2027-06-30')).length).toBe(0);
		expect((await repos.jobs.between('2027-07-03', '2027-07-03')).length).toBe(1);
		expect((await repos.things.dated('2027-07-01', '2027-07-31')).map((q) => q.id)).toEqual(['q']);
		expect(await repos.things.dated('2027-06-01', '2027-06-30')).toEqual([]);
		await move(repos, 'q', 1, '2027-07-04');
		const { rows } = await repos.changes.list({ about: 'quote', aboutId: 'q' });
		expect(rows.filter((r) => r.what === 'job.day').map((r) => [r.was, r.is])).toEqual([['2027-07-03', '2027-07-04'], ['2027-06-12', '2027-07-03']]); // prettier-ignore
	});
	test('is refused over a newer saying, and of what is no job', async () => {
		const { repos } = await tempStudio();
		await accepted(repos, 'q');
		await move(repos, 'q', 0, '2027-07-03');
		expect(await move(repos, 'q', 0, '2027-08-01')).toBe('stale');
		expect(await move(repos, 'nobody', 0, '2027-08-01')).toBe('missing');
		const { said } = (await repos.jobs.find('q'))!;
		expect(await Promise.all([repos.jobs.say('q', 1, said!, NOW), repos.jobs.say('q', 1, said!, NOW)])).toEqual([2, 'stale']); // prettier-ignore
	});
	test('two jobs with the same people at the same hour say so on both', async () => {
		const { repos } = await tempStudio();
		const studio = await loadStudio(repos);
		const people = [{ id: 'pip', name: 'Pip', wage: 1500, onCosts: '0', pace: '1', isOwner: true }] as const;
		await repos.workspaces.change({ ...studio.settings, rates: { ...studio.settings.rates, people, crew: ['pip'] } }); // prettier-ignore
		for (const id of ['one', 'two']) {
			await accepted(repos, id);
			await changeJob(repos, { id, base: 0 }, (said) => ({ ...said, days: said.days.map((d) => ({ ...d, from: 540, to: 600, people: d.stage === 'set up' ? ['pip'] : [] })) }), NOW); // prettier-ignore
		}
		for (const id of ['one', 'two']) {
			const { findings } = (await jobPage(repos, { id, today: TODAY }))!;
			expect(findings.map((f) => f.say).join(' ')).toContain('Pip is wanted twice at once on Sat, Jun 12, 2027: set up here, set up for'); // prettier-ignore
		}
	});
});

describe('lists', () => {
	test('a tick put on twice is on, and taken off it is off; it is of one job and one list', async () => {
		const { repos } = await tempStudio();
		await accepted(repos, 'q');
		await accepted(repos, 'p');
		const tick = (on: boolean, id = 'q') => repos.jobs.tick(id, { list: 'pull', key: 'k', on }, NOW);
		expect([await tick(true), await tick(true), await tick(true, 'nobody')]).toEqual([true, true, false]);
		expect(await repos.jobs.ticked('q')).toEqual(new Map([['pull', new Set(['k'])]]));
		expect((await jobListsPage(repos, { id: 'q' }))!.lists.find((l) => l.list === 'pull')!.ticked).toEqual([
			'k'
		]);
		expect(await repos.jobs.ticked('p')).toEqual(new Map());
		expect([await tick(false), await tick(false)]).toEqual([true, true]);
		expect(await repos.jobs.ticked('q')).toEqual(new Map());
	});
});

describe('the calendar', () => {
	test('shows jobs by their days, what comes, and other calendars; a calendar brought again takes its own place', async () => {
		const { repos } = await tempStudio();
		await accepted(repos, 'q');
		await accepted(repos, 'undated', null);
		const event = { uid: 'u', title: 'Regatta week', firstDay: '2027-06-10', lastDay: '2027-06-13', fromMinute: null, toMinute: null }; // prettier-ignore
		await repos.jobs.putCalendar('Harbour', [event, { ...event, uid: 'v' }]);
		await repos.jobs.putCalendar('Harbour', [event]);
		await repos.jobs.putCalendar('Tides', [
			{ ...event, title: 'Spring tide', fromMinute: 22 * 60, toMinute: 60 }
		]);
		const shown = async () => (await calendarBetween(repos, '2027-06-01', '2027-06-30')).map((e) => [e.kind, e.title, e.start, e.end]); // prettier-ignore
		expect(await shown()).toEqual([
			['event', 'Tidewick Library', '2027-06-12', '2027-06-13'],
			['other', 'Regatta week', '2027-06-10', '2027-06-14'],
			['other', 'Spring tide', '2027-06-10T22:00', '2027-06-11T01:00']
		]);
		expect(await repos.jobs.calendars()).toEqual([{ name: 'Harbour', many: 1 }, { name: 'Tides', many: 1 }]); // prettier-ignore
		await repos.jobs.putCalendar('Harbour', []);
		expect(await repos.jobs.calendars()).toEqual([{ name: 'Tides', many: 1 }]);
		expect((await dayPage(repos, { day: '2027-06-11' })).others.map((o) => o.title)).toEqual(['Spring tide']);
	});
	test('a day for whoever drives: its stops by the hour, with where, who and whom to call', async () => {
		const { repos } = await tempStudio();
		await accepted(repos, 'q');
		const place = { address: '4 Chart Street', access: 'Side door', parking: '', floors: '', contact: 'Wren', phone: '555 0142' }; // prettier-ignore
		await changeJob(repos, { id: 'q', base: 0 }, (said) => ({ ...said, place, days: said.days.map((d) => (d.stage === 'strike' ? { ...d, from: 60 } : d)) }), NOW); // prettier-ignore
		const { stops } = await dayPage(repos, { day: '2027-06-12' });
		expect(stops.map((s) => s.stop.stage)).toEqual(['strike', 'drive', 'set up', 'event']);
		expect(stops[0]!.job).toMatchObject({ place, load: ['2 × column'] });
	});
});
