import { formatMoney } from '../money/money.ts';
import { dayWords } from './day-words.ts';
import { lineName } from './line-name.ts';
import type { FrozenLine, FrozenQuote } from './frozen.ts';

/** Something that is otherwise on the later writing; blank is not on it. */
export interface Difference {
	readonly what: string;
	readonly before: string;
	readonly after: string;
}

/** What a line is told by, so that the same one is found again. */
const keyOf = ({ name, colourway, heading = '' }: FrozenLine) => `${name}/${colourway}/${heading}`;
const sumOf = ({ quantity, amount }: FrozenLine) => `${quantity} × for ${formatMoney(amount)}`;

/** What changed from one writing of a quote to another: dates, lines and sums, as a client reads them. */
export function compareRevisions(before: FrozenQuote, after: FrozenQuote): Difference[] {
	const found: Difference[] = [];
	const say = (what: string, a: string, b: string) => {
		if (a !== b) found.push({ what, before: a, after: b });
	};
	const day = (d: string | null) => (d === null ? '' : dayWords(d, after.formats));
	say('occasion', before.occasion, after.occasion);
	say('date', day(before.eventDate), day(after.eventDate));
	say('place', before.venue, after.venue);
	const rest = [...after.lines];
	for (const line of before.lines) {
		const same = rest.findIndex((l) => keyOf(l) === keyOf(line));
		const like = same >= 0 ? same : rest.findIndex((l) => l.name === line.name);
		const other = like >= 0 ? rest.splice(like, 1)[0]! : undefined;
		if (other && other.colourway !== line.colourway)
			say(`${line.name}, colours`, line.colourway, other.colourway);
		say(lineName(line), sumOf(line), other ? sumOf(other) : '');
	}
	for (const line of rest) say(lineName(line), '', sumOf(line));
	say('delivery', formatMoney(before.delivery), formatMoney(after.delivery));
	say('discount', formatMoney(before.discount), formatMoney(after.discount));
	say('total', formatMoney(before.total), formatMoney(after.total));
	say('deposit', formatMoney(before.deposit), formatMoney(after.deposit));
	say('stands until', day(before.validUntil), day(after.validUntil));
	say('note', before.note, after.note);
	return found;
}
