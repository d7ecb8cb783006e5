import { sql } from 'drizzle-orm';
import { expect, test } from 'vitest';
import { settings } from '../../../../scripts/demo/settings.ts';
import { colours, design, materials } from '../../../../tests/kit/studio.ts';
import { owner, tempDatabase } from '../../../../tests/kit/temp-db.ts';
import { PLAIN_MATERIAL } from '../../core/materials/material.ts';
import { confirmOrder, orderOf, payOrder } from '../services/orders.ts';
import { newTerms, sendQuote } from '../services/quoting.ts';
import type { JobCounted } from '../../core/job/counted.ts';
import { NO_PLACE } from '../../core/job/job.ts';
import { inches } from '../../core/units/length.ts';
import { createRepos } from './index.ts';

const NOW = new Date('2027-05-04T15:00:00Z');

test('every row that is written says whose request wrote it last', async () => {
	const db = await tempDatabase();
	const wendy = createRepos(db, { ...owner, person: 'wendy' });
	await wendy.workspaces.create(settings, NOW);
	for (const colour of colours) await wendy.stock.addColour(colour);
	await wendy.stock.addSupplier({ id: 'quay', name: 'Quayside Supply' });
	for (const { packs, ...material } of materials)
		await wendy.stock.addMaterial({
			...PLAIN_MATERIAL,
			...material,
			pack: { id: packs[0]!.id, supplierId: 'quay', count: packs[0]!.count, priceMinor: packs[0]!.priceMinor }
		});
	const column = design('column', '4 11 at 9 white x6');
	await wendy.designs.create('d', column, NOW);
	await wendy.designs.keep('d', NOW);
	await wendy.designs.nameVersion('d.1', 'first');
	const photo = { type: 'image/png', width: 1, height: 1, bytes: new Uint8Array([1]) } as const;
	await wendy.photos.add('d', 'p', photo, '', NOW);
	await wendy.photos.add('d', 'p2', photo, '', NOW);
	await wendy.countBacks.add({ id: 'c', design: 'd', colourwayId: null, sizeId: null, quantity: 1, lines: [], note: '', countedAt: NOW }); // prettier-ignore
	const clientId = await wendy.clients.named('Tidewick Library', 'client');
	const lines = [{ id: 'l', versionId: 'd.1', colourwayId: null, sizeId: null, quantity: 1, way: null }];
	const draft = { clientId, eventDate: null, zone: settings.zone, terms: { ...newTerms(settings), deliveryCostMinor: 0 }, lines }; // prettier-ignore
	await wendy.quotes.create('q', draft, NOW);
	await wendy.stockMoves.add(materials[0]!.id, { id: 'm', day: '2027-05-01', kind: 'bought', thousandths: 1000, costMinor: null, note: '' }); // prettier-ignore

	await wendy.onOrders.add({ id: 'o', material: materials[0]!.id, pack: materials[0]!.packs[0]!.id, packs: 2, count: 10, costMinor: null, ordered: '2027-05-01', due: null }); // prettier-ignore
	await wendy.stockViews.keep({ id: 'v', name: 'all', query: '' });
	const then = { code: 'Q', suppliersName: '', count: 100, priceMinor: 1, depositMinor: null };
	await wendy.priceLists.bringIn({ id: 'list', supplier: 'quay', day: '2027-05-01', file: 'x.csv', columns: {}, rows: [{ line: 2, says: 'x', state: 'another', material: materials[0]!.id, then }] }); // prettier-ignore

	const about = { condition: 'good', place: '', note: '', hireMinor: null, depositMinor: null } as const;
	const thing = { ...about, id: 'stand-1', material: materials[0]!.id, name: 'stand 1' };
	await wendy.things.add([thing]);
	const rest = { material: materials[0]!.id, length: inches(31), wide: 0, count: 2 } as const;
	await wendy.things.putOffcut(rest);

	await wendy.people.addFirst({ id: 'wendy', name: 'Wendy', email: 'wendy@quay.example', role: 'owner', passwordHash: 'x' }, NOW); // prettier-ignore
	await wendy.links.end('token-of-another', NOW);
	await wendy.jobs.putCalendar('Harbour', [{ uid: 'u', title: 'Regatta', firstDay: '2027-06-10', lastDay: '2027-06-10', fromMinute: null, toMinute: null }]); // prettier-ignore
	await wendy.people.invite({ id: 'i', name: 'Pip', role: 'crew', expiresAt: NOW }, 'token', NOW);

	const tables = await db.read.all<{ name: string }>(
		sql`SELECT m.name FROM sqlite_master m JOIN pragma_table_info(m.name) c WHERE m.type = 'table' AND c.name = 'changed_by' ORDER BY m.name`
	);
	const writers = async () =>
		Object.fromEntries(
			await Promise.all(
				tables.map(async ({ name }): Promise<[string, string[]]> => {
					const rows = await db.read.all<{ by: string }>(
						sql.raw(`SELECT DISTINCT changed_by AS "by" FROM "${name}" ORDER BY 1`)
					);
					return [name, rows.map((r) => r.by)];
				})
			)
		);
	const first = await writers();
	const ofOrders = [
		'job',
		'job_count',
		'job_figure',
		'job_photo',
		'job_tick',
		'message',
		'paper',
		'payment',
		'place_photo',
		'quote_event',
		'quote_issue',
		'tally_mark'
	];
	const never = Object.fromEntries(ofOrders.map((table) => [table, []]));
	expect(first).toEqual({ ...Object.fromEntries(tables.map((t) => [t.name, ['wendy']])), ...never });

	const peter = createRepos(db, { ...owner, person: 'peter' });
	await peter.workspaces.change(settings);
	await peter.stock.changePack(materials[0]!.packs[0]!.id, { count: 50, priceMinor: 900 });
	await peter.designs.save('d', { saveId: 'save-one-1', baseRevision: 1, recipe: { ...column, name: 'pillar' } }, NOW); // prettier-ignore
	await peter.designs.keep('d', NOW);
	await peter.designs.nameVersion('d.1', 'second');
	await peter.photos.setCover('d', 'p2');
	await peter.countBacks.made('c', 2);
	await peter.quotes.save('q', { eventDate: null, zone: draft.zone, terms: draft.terms, lines, client: 'Tidewick Reading Room' }, { baseRevision: 1, saveId: 'save-two-2', newId: 'other' }); // prettier-ignore
	await peter.things.change('stand-1', { ...about, name: 'stand one', condition: 'worn' });
	expect(await peter.onOrders.came('o', { packs: 2, day: '2027-05-02' })).toBe(true);
	await peter.stockViews.keep({ id: 'v', name: 'all', query: 'low=1' });
	await peter.priceLists.takeBack('list', '2027-05-03');
	await peter.things.cut([{ ...rest, count: 1 }], []);
	await peter.people.endInvitation('i', NOW);
	const sent = await sendQuote(peter, { id: 'q', token: 'token-of-q', evenUnknown: true, now: NOW });
	expect(sent).toBe('sent');
	await peter.quoteLife.happen('q', 'accepted', NOW);
	const NOTHING_COUNTED: JobCounted = { day: '2027-06-11', materials: [], times: [], miles: 4, costs: [], leftOut: false, note: '' }; // prettier-ignore
	await peter.jobs.say('q', 0, { days: [], place: NO_PLACE, note: '' }, NOW);
	await peter.jobs.tick('q', { list: 'pull', key: 'k', on: true }, NOW);
	await peter.jobCounts.keep('q', 0, NOTHING_COUNTED, new Map(), NOW, {
		day: '2027-06-11',
		figures: [{ part: 'job', key: '', name: 'x', reckoned: 1, real: 1, net: 1, amount: 0, cause: '' }]
	});
	await peter.jobPhotos.add('q', { ...photo, id: 'as-it-stood', caption: '', isShown: false }, NOW);
	await peter.tallyMarks.add('q', [{ id: 'mark', line: lines[0]!.id, step: 'inflate:a', kind: 'done', amount: 1, material: '', cause: null, person: '', at: NOW.getTime() }]); // prettier-ignore
	await peter.placePhotos.add('q', { ...photo, id: 'place' }, NOW);
	const desk = { now: NOW, link: 'http://studio.example/q/token', pdf: async () => new Uint8Array() };
	await confirmOrder(peter, 'q', desk);
	const order = (await orderOf(peter, 'q'))!;
	await payOrder(peter, 'q', { key: 'pay-once', ...order.dues.next!, answer: 'paid' }, desk);
	const [alone, both] = [['peter'], ['peter', 'wendy']];
	expect(await writers()).toEqual({
		change_entry: both,
		client: alone,
		colour: ['wendy'],
		count_back: alone,
		design: alone,
		design_version: both,
		ended_link: ['wendy'],
		invitation: alone,
		job: alone,
		job_count: alone,
		job_figure: alone,
		job_photo: alone,
		job_tick: alone,
		material: ['wendy'],
		message: alone,
		offcut: alone,
		on_order: alone,
		other_event: ['wendy'],
		owned_thing: alone,
		pack: both,
		pack_price: both,
		paper: alone,
		payment: alone,
		person: ['wendy'],
		photo: alone,
		place_photo: alone,
		price_list: alone,
		quote: alone,
		quote_event: alone,
		quote_issue: alone,
		stock_move: both,
		stock_view: alone,
		supplier: ['wendy'],
		tally_mark: alone,
		version_name: alone,
		workspace: alone
	});
});
