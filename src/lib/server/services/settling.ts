import type { Ground } from '../../core/document/ground.ts';
import { groundsIn } from '../../core/recipe/on-ground.ts';
import type { SettleAbout } from '../../core/job/read-settled.ts';
import { openIn, slotsOf, withSettled, type Settled } from '../../core/job/settled.ts';
import { quoteItems } from '../../core/quote/quote.ts';
import type { Repos } from '../repos/index.ts';
import type { JobRow } from '../repos/jobs.ts';
import { itemsOf } from './jobs-ahead.ts';
import { recipePage } from './quoting.ts';
import type { Studio } from './studio.ts';

/** A line of a job that may be settled: how it stands on the quote, and how it stands now. */
export interface SettleLine extends SettleAbout {
	readonly name: string;
	readonly quantity: number;
	readonly isOn: boolean;
	/** The colour of each slot now, by its id, as in `slots`. */
	readonly now: Readonly<Record<string, string>>;
	/** Grounds it has a base for; none asks nothing. */
	readonly grounds: readonly Ground[];
	readonly slotNames: Readonly<Record<string, string>>;
}

type Lines = NonNullable<Awaited<ReturnType<typeof itemsOf>>>;
/** What may be settled of a job: every line of its quote, on it or not, and those that are on it as quoted and as settled. */
export interface Settling {
	readonly row: JobRow;
	readonly lines: readonly SettleLine[];
	readonly settled: Settled;
	readonly quoted: Lines;
	readonly now: Lines;
}

/** Every line of the quote of a job, on it or not. Undefined where there is no such job. */
export async function settleLines(repos: Repos, id: string, studio: Studio): Promise<Settling | undefined> {
	const [row, quote, quoted, now] = await Promise.all([repos.jobs.find(id), repos.quotes.find(id), itemsOf(repos, id, studio, 'quoted'), itemsOf(repos, id, studio)]);
	if (!row || !quote || !quoted || !now) return undefined;
	const settled = row.said?.settled ?? {};
	const recipes = new Map((await recipePage(repos, quote.lines.map((l) => l.versionId))).recipes);
	const all = (terms: typeof quote.terms) => quoteItems(quote.lines, (version) => recipes.get(version), terms);
	const before = all(quote.terms);
	const after = all(withSettled(quote.terms, settled));
	const on = new Set([...now.items, ...now.typed].map((i) => i.id));
	const wasOn = new Set([...quoted.items, ...quoted.typed].map((i) => i.id));
	const designs = before.map((item, i): SettleLine => ({
		id: item.id,
		name: item.recipe.name,
		quantity: item.quantity,
		isOn: on.has(item.id),
		wasOn: wasOn.has(item.id),
		ground: item.ground,
		slots: slotsOf(item),
		parts: openIn(item.recipe),
		now: Object.fromEntries(slotsOf(after[i]!).map((s) => [s.id, s.was])),
		grounds: groundsIn(item.recipe),
		slotNames: Object.fromEntries(item.recipe.slots.map((s) => [s.id, s.name]))
	}));
	const typed = (quote.terms.typed ?? []).map(({ id: line, label, quantity }): SettleLine => ({ id: line, name: label, quantity, isOn: on.has(line), wasOn: wasOn.has(line), ground: undefined, slots: [], parts: [], now: {}, grounds: [], slotNames: {} }));
	return { row, lines: [...designs, ...typed], settled, quoted, now };
} // prettier-ignore
