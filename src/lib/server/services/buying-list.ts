import Papa from 'papaparse';
import { formatMoney, money } from '../../core/money/money.ts';
import { dayWords } from '../../core/quote/day-words.ts';
import type { Repos } from '../repos/index.ts';
import { buyingPage } from './buying.ts';
import { FORMULA } from './bill-csv.ts';
import { loadStudio } from './studio.ts';
import type { Solve } from '../../core/cutting/patterns.ts';

interface Wanted {
	readonly today: string;
	readonly until: string;
	readonly supplier: string;
	readonly as: 'csv' | 'pdf';
}
/** What would start a formula in a spreadsheet is written as text. */
const safe = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);

/** What is bought of one supplier, as a file. Null where nothing is. */
export async function buyingList(repos: Repos, { supplier, as, ...period }: Wanted, solve?: Solve): Promise<{ readonly name: string; readonly body: string | Uint8Array } | null> {
	const { lists, currency, jobs } = await buyingPage(repos, period, solve);
	const own = lists.find((l) => l.supplier === supplier);
	if (!own) return null;
	const { settings } = await loadStudio(repos);
	const sum = (minor: number) => formatMoney(money(minor, currency));
	if (as === 'csv') {
		const rows = own.lines.map((l) => ({ code: safe(l.code), material: safe(l.name), packs: l.packs, pieces: l.count, unit: l.unit, price: l.minor === null ? '' : (l.minor / 100).toFixed(2), for: safe(l.for.join('; ')) }));
		return { name: own.name, body: Papa.unparse(rows, { newline: '\r\n' }) };
	}
	const words = (day: string) => dayWords(day, settings);
	// Papers are large, and few who ask here want one.
	const { shoppingPdf } = await import('../pdf/papers.ts');
	const pdf = await shoppingPdf({
		business: settings.business.name,
		title: `To order of ${own.name}`,
		about: `For ${jobs.length === 1 ? '1 job' : `${jobs.length} jobs`} until ${words(period.until)}; ordered ${words(period.today)} it is here on ${words(own.arrives)}.`,
		lines: own.lines.map((l) => ({ what: `${l.packs} × ${l.name}, pack of ${l.count}${l.code ? `, ${l.code}` : ''}`, price: l.minor === null ? '?' : sum(l.minor), about: `for ${l.for.join('; ')}` })),
		sums: [`Goods ${sum(own.goods)}${own.unpriced.length > 0 ? ' and what has no known price' : ''}`, `Sending ${own.shipping === null ? 'not known' : sum(own.shipping)}`],
		made: new Date(`${period.today}T12:00:00Z`)
	});
	return { name: own.name, body: new Uint8Array(pdf) };
} // prettier-ignore
