import { formatMoney, money } from '../../core/money/money.ts';
import { changedLines } from '../../core/job/changed-lines.ts';
import { contextOn } from '../../core/quote/quote.ts';
import { reckonedJob } from '../../core/quote/reckoned.ts';
import { tallyOrder } from '../../core/tally/order.ts';
import { printNumber } from '../../core/units/print-number.ts';
import { mixed, rational } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import { itemsOf } from '../services/jobs-ahead.ts';
import { orderOf } from '../services/orders.ts';
import { settleLines, type SettleLine } from '../services/settling.ts';
import { loadStudio, type Studio } from '../services/studio.ts';

/** What is settled late on a job, and what that changed against its quote. @param books whether money is shown @returns null where there is no such job */
export async function settlePage(repos: Repos, { id, books }: { readonly id: string; readonly books: boolean }) {
	const studio = await loadStudio(repos);
	const found = await settleLines(repos, id, studio);
	const row = found && (await repos.jobs.find(id));
	if (!found || !row) return null;
	const { lines, settled, revision } = found;
	const materials = new Map(studio.materials.map((m) => [m.id, m.name]));
	const style = { decimal: studio.settings.decimal };
	const shown = (line: SettleLine) => ({
		id: line.id,
		name: line.name,
		quantity: line.quantity,
		isDesign: line.item !== undefined,
		isOn: line.isOn,
		wasOn: line.wasOn,
		ground: settled[line.id]?.ground ?? line.ground ?? '',
		grounds: line.grounds,
		/** How it stands on the quote. */
		groundWas: line.ground ?? '',
		slots: line.slots.map((s) => ({ ...s, name: line.slotNames[s.id] ?? '', now: line.now[s.id] ?? s.was })),
		parts: line.parts.map((p) => ({
			id: p.id,
			label: p.what === 'line' ? (materials.get(p.label) ?? 'not in the Stockroom') : p.label,
			isInfill: p.what === 'infill',
			range: p.low === p.high ? '' : `${mixed(rational(p.low))} to ${mixed(rational(p.high))}`,
			isColourOpen: p.isColourOpen,
			count: settled[line.id]?.parts?.[p.id]?.count === undefined ? '' : printNumber(rational(settled[line.id]!.parts![p.id]!.count!), style),
			slot: settled[line.id]?.parts?.[p.id]?.slot ?? ''
		}))
	});
	return {
		id,
		number: row.number,
		client: row.client,
		occasion: row.occasion,
		revision,
		isCounted: (await repos.jobCounts.counted([id])).has(id),
		lines: lines.map(shown),
		colours: studio.colours.map(({ id: own, name, hex }) => ({ id: own, name, hex })),
		...(await changesOf(repos, { id, studio, books }))
	};
} // prettier-ignore

/** What is otherwise than on the quote: material by material, and for who sees the books what it costs. */
async function changesOf(repos: Repos, { id, studio, books }: { readonly id: string; readonly studio: Studio; readonly books: boolean }) {
	const [quoted, now, order] = await Promise.all([itemsOf(repos, id, studio, 'quoted'), itemsOf(repos, id, studio), orderOf(repos, id)]);
	if (!quoted || !now) return { changes: [], cost: null };
	const style = { decimal: studio.settings.decimal };
	const { currency } = studio.settings.rates;
	const amount = (minor: number) => formatMoney(money(Math.abs(minor), currency), style);
	const signed = (minor: number) => `${minor < 0 ? '−' : minor > 0 ? '+' : ''}${amount(minor)}`;
	const bills = [quoted, now].map((of) => tallyOrder(of.items, contextOn(of.quote.terms, of.context)).bill.lines);
	const count = (n: ReturnType<typeof rational>) => (n.d === 1n ? printNumber(n, style) : (Math.round(n.valueOf() * 10) / 10).toString().replace('.', style.decimal));
	const changes = changedLines(bills[0]!, bills[1]!).map((c) => ({ key: c.key, label: c.label, was: count(c.was), is: count(c.is), unit: c.unit === 'piece' ? '' : c.unit, by: books && c.by !== undefined ? signed(c.by) : '', trouble: c.trouble === 'unlisted' ? 'not in the Stockroom' : c.trouble === 'open' ? 'no colour yet' : '' }));
	if (!books || !order) return { changes, cost: null };
	const { net } = order.chosen;
	const [before, after] = [quoted, now].map((of) => {
		const job = reckonedJob(of.items, of.typed, { terms: of.quote.terms, net }, of.context);
		const minor = job.made.cost.total.known.minor + job.around.total.minor + job.besides.minor + job.fees.minor;
		return { minor, margin: net.minor > 0 ? `${Math.round(((net.minor - minor) / net.minor) * 1000) / 10}`.replace('.', style.decimal) : '', unknown: job.made.cost.total.unknown };
	}) as [{ minor: number; margin: string; unknown: readonly string[] }, { minor: number; margin: string; unknown: readonly string[] }];
	return { changes, cost: { before: amount(before.minor), after: amount(after.minor), by: signed(after.minor - before.minor), isSame: after.minor === before.minor, marginBefore: before.margin, marginAfter: after.margin, unknown: after.unknown } };
} // prettier-ignore
