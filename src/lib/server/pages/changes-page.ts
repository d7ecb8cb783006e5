import { changeWords } from '../../core/changes/words.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import type { Change, Changed } from '../repos/changes.ts';
import type { Repos } from '../repos/index.ts';

/** Where somebody looks at what a change is about. */
const PLACES: Readonly<Record<string, (id: string) => string>> = {
	material: (id) => `/stockroom/${encodeURIComponent(id)}`,
	design: (id) => `/bench/${encodeURIComponent(id)}`,
	quote: (id) => `/quotes/${encodeURIComponent(id)}`,
	person: () => '/settings/people',
	settings: () => '/settings',
	supplier: () => '/stockroom/suppliers'
};

/** Changes in words, each with its day and hour where the business is. */
export function shownChanges(rows: readonly Change[], settings: Settings) {
	const clock = new Intl.DateTimeFormat('en-CA', {
		timeZone: settings.zone,
		dateStyle: 'short',
		timeStyle: 'short',
		hourCycle: 'h23'
	});
	return rows.map(({ id, at, about, aboutId, name, by, ...raw }) => ({
		id,
		at: clock.format(at).replace(', ', ' '),
		name,
		by,
		// What was deleted is nowhere to be looked at.
		href: raw.what.endsWith('.deleted') ? null : (PLACES[about]?.(aboutId) ?? null),
		...changeWords(raw, settings.rates.currency)
	}));
}
export type ShownChange = ReturnType<typeof shownChanges>[number];

/** How many of them stand on the thing itself. */
const NEWEST = 12;

/** What was changed of one thing, the newest first; movements of stock stand in its ledger. */
export async function changesOf(
	{ changes }: Pick<Repos, 'changes'>,
	of: { readonly about: Changed; readonly aboutId: string },
	settings: Settings
): Promise<ShownChange[]> {
	const { rows } = await changes.list(of);
	return shownChanges(rows.filter((r) => !r.what.startsWith('stock.')).slice(0, NEWEST), settings);
}
