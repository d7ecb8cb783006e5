import type { StudioTable } from '../db/studio-tables.ts';

/** What the parts of a studio are called on the screen, one and many. */
const WORDS: Readonly<Record<StudioTable, readonly [one: string, many: string]>> = {
	colour: ['colour', 'colours'],
	supplier: ['supplier', 'suppliers'],
	material: ['material', 'materials'],
	pack: ['pack with its price', 'packs with their prices'],
	packPrice: ['earlier price', 'earlier prices'],
	priceList: ['price list', 'price lists'],
	stockMove: ['movement of stock', 'movements of stock'],
	onOrder: ['order on its way', 'orders on their way'],
	stockView: ['kept view of the Stockroom', 'kept views of the Stockroom'],
	ownedThing: ['piece that comes back', 'pieces that come back'],
	offcut: ['offcut', 'offcuts'],
	design: ['design', 'designs'],
	designVersion: ['kept version', 'kept versions'],
	versionName: ['name of a version', 'names of versions'],
	versionRef: ['design inside another', 'designs inside others'],
	photo: ['photo', 'photos'],
	countBack: ['count after a build', 'counts after builds'],
	client: ['client', 'clients'],
	quote: ['quote', 'quotes'],
	quoteLine: ['line of a quote', 'lines of quotes'],
	quoteIssue: ['quote as it was sent', 'quotes as they were sent'],
	quoteEvent: ['event of a quote', 'events of quotes'],
	payment: ['payment', 'payments'],
	paper: ['invoice or other paper', 'invoices and other papers'],
	message: ['message', 'messages'],
	placePhoto: ['photo of a client’s place', 'photos of clients’ places'],
	job: ['job', 'jobs'],
	jobTick: ['tick on a list', 'ticks on lists'],
	jobCount: ['job counted back', 'jobs counted back'],
	jobFigure: ['figure of a counted job', 'figures of counted jobs'],
	jobPhoto: ['photo of a job', 'photos of jobs'],
	tallyMark: ['count at the bench', 'counts at the bench'],
	otherEvent: ['event of another calendar', 'events of other calendars'],
	endedLink: ['link that was taken back', 'links that were taken back'],
	linkLook: ['look at a link', 'looks at links'],
	changeEntry: ['note of a change', 'notes of changes']
};
export const partWords = (table: StudioTable, many: number): string => WORDS[table][many === 1 ? 0 : 1];

/** “12 designs, 1 quote”: the parts that somebody thinks in, where there are any. */
export const sumWords = (counts: Readonly<Record<string, number>>): string =>
	(['design', 'quote', 'client', 'material', 'photo', 'paper'] as const)
		.filter((t) => (counts[t] ?? 0) > 0)
		.map((t) => `${counts[t]} ${partWords(t, counts[t]!)}`)
		.join(', ') || 'nothing yet';
