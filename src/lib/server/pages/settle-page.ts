import { zero } from '../../core/money/money.ts';
import { marginOf } from '../../core/numbers/earned.ts';
import type { ChosenQuote } from '../../core/quote/chosen.ts';
import { openOn } from '../../core/job/settled.ts';
import { changedLines } from '../../core/job/changed-lines.ts';
import { reckonedJob } from '../../core/quote/reckoned.ts';
import { printNumber } from '../../core/units/print-number.ts';
import { mixed, rational } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import { orderOf } from '../services/orders.ts';
import { settleLines, type SettleLine, type Settling } from '../services/settling.ts';
import { loadStudio, type Studio } from '../services/studio.ts';
import { figureWords } from './figure-words.ts';

/** What is settled late on a job, and what that changed against its quote. @param books whether money is shown @returns null where there is no such job */
export async function settlePage(repos: Repos, { id, books }: { readonly id: string; readonly books: boolean }) {
	const studio = await loadStudio(repos);
	const found = await settleLines(repos, id, studio);
	if (!found) return null;
	const { row, lines, settled, now } = found;
	const materials = new Map(studio.materials.map((m) => [m.id, m.name]));
	const style = { decimal: studio.settings.decimal };
	const shown = (line: SettleLine) => ({
		id: line.id,
		name: line.name,
		quantity: line.quantity,
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
		revision: row.revision,
		open: openOn(now.items),
		isCounted: (await repos.jobCounts.counted([id])).has(id),
		lines: lines.map(shown),
		colours: studio.colours.map(({ id: own, name }) => ({ id: own, name })),
		...changesOf(found, books ? (await orderOf(repos, id))?.chosen : undefined, studio)
	};
} // prettier-ignore

/** What is otherwise than on the quote: material by material, and for who sees the books what it costs. */
function changesOf({ quoted, now }: Settling, chosen: ChosenQuote | undefined, { settings }: Studio) {
	const { amount, signed, percent, count } = figureWords(settings);
	const net = chosen?.net ?? zero(settings.rates.currency);
	const sideOf = ({ items, typed, quote, context }: Settling['now']) => {
		const { made, around, besides, fees } = reckonedJob(items, typed, { terms: quote.terms, net }, context);
		const minor = made.cost.total.known.minor + around.total.minor + besides.minor + fees.minor;
		return { minor, margin: percent(marginOf(net.minor, minor) ?? undefined), lines: made.bill.lines, unknown: made.cost.total.unknown };
	};
	const [before, after] = [sideOf(quoted), sideOf(now)];
	const changes = changedLines(before.lines, after.lines).map((c) => ({
		key: c.key,
		label: c.label,
		was: count(c.was),
		is: count(c.is),
		unit: c.unit === 'piece' ? '' : c.unit,
		by: chosen && c.by !== undefined ? signed(c.by) : '',
		trouble: c.trouble === null ? '' : TROUBLE[c.trouble]
	}));
	const more = after.minor - before.minor;
	const cost = chosen ? { before: amount(before.minor), after: amount(after.minor), by: signed(more), isSame: more === 0, marginBefore: before.margin, marginAfter: after.margin, unknown: after.unknown } : null;
	return { changes, cost };
} // prettier-ignore
const TROUBLE = { unlisted: 'not in the Stockroom', open: 'no colour yet' } as const;
