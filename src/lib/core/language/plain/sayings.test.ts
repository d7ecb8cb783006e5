import { describe, expect, test } from 'vitest';
import { Desk, deskOf, sayings, type Saying } from '../../../../../tests/sayings/read.ts';
import { parseEntry } from '../read.ts';
import { offersFor } from '../suggest/offers.ts';
import { readLine } from './read-line.ts';
import { understand } from './understand.ts';

/** What a saying must come to. */
function meant(saying: Saying): string {
	const desk = saying.whole ? new Desk() : deskOf(saying);
	for (const line of saying.means)
		if (!desk.say(line)) throw new Error(`${saying.says}: “${line}” is refused`);
	return desk.said;
}
/** Whether it comes to what it must, read by the exact grammar alone, or in plain words where that refuses it. */
function comesTo(saying: Saying, how: 'exact' | 'plain'): 'understood' | 'another' | 'refused' {
	const desk = deskOf(saying);
	const exact = parseEntry(saying.says, desk.context).ok ? [saying.says] : undefined;
	const lines = exact ?? (how === 'plain' ? understand(saying.says, desk.context) : undefined);
	if (!lines) return saying.means.length === 0 ? 'understood' : 'refused';
	if (saying.means.length === 0) return 'another';
	if (!lines.every((line) => desk.say(line))) return 'refused';
	return desk.said === meant(saying) ? 'understood' : 'another';
}
/** Whether one of the lines that are offered in place of a refused one comes to what it must. */
function isOffered(saying: Saying): boolean {
	const { context } = deskOf(saying);
	const read = readLine(saying.says, context);
	const say = read.parsed.ok ? '' : read.parsed.say;
	const answer = saying.means.length === 0 ? '' : meant(saying);
	return offersFor(saying.says, say, context).some(({ line }) => {
		const desk = deskOf(saying);
		return readLine(line, desk.context).lines.every((own) => desk.say(own)) && desk.said === answer;
	});
}
const groups = [...new Set(sayings.map((s) => s.group))];
const count = (own: readonly Saying[], how: 'exact' | 'plain', outcome: string) =>
	own.filter((s) => comesTo(s, how) === outcome).length;

describe('sayings of makers', () => {
	test('each is said to come to lines that are understood', () => {
		for (const saying of sayings) expect(meant(saying)).not.toBe('');
		expect(sayings.length).toBeGreaterThan(400);
	});
	test.each(groups)('%s', (group) => {
		const own = sayings.filter((s) => s.group === group);
		const [first, now] = [count(own, 'exact', 'understood'), count(own, 'plain', 'understood')];
		const missed = own.filter((s) => comesTo(s, 'plain') !== 'understood');
		const offered = missed.filter(isOffered).length;
		console.log(`${group}: ${now} of ${own.length} understood at once, ${offered} by one choice, ${first} by the exact grammar alone, ${count(own, 'plain', 'another')} read as another`); // prettier-ignore
		if (process.env.SAYINGS)
			for (const s of own) {
				const outcome = comesTo(s, 'plain');
				if (outcome !== 'understood') console.log(`  ${outcome}: ${s.says}   → ${understand(s.says, deskOf(s).context)?.join(' ; ') ?? '—'}`); // prettier-ignore
			}
		expect(now).toBeGreaterThan(first);
	});
});
