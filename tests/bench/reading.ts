import { seeded } from '../../src/lib/core/geometry/random.ts';
import type { EntryContext } from '../../src/lib/core/language/context.ts';
import { readLine } from '../../src/lib/core/language/plain/read-line.ts';
import { suggest } from '../../src/lib/core/language/suggest/next.ts';
import { PLAIN_MATERIAL, type Material } from '../../src/lib/core/materials/material.ts';
import { deskOf, sayings } from '../sayings/read.ts';
import { quantile, report } from './studio.ts';

const MANY = 5000;
/** Things with figures, commas and words of the language in their names. */
const many: Material[] = Array.from({ length: MANY }, (_, i) => ({
	...PLAIN_MATERIAL,
	id: `many-${i}`,
	kind: 'fitting',
	name: `${['clip', 'hook', 'stand', 'tape', 'panel'][i % 5]} no. ${i} with ${6 + (i % 7)} in jaw, left`,
	packs: []
}));

const timed = (work: () => unknown): number => {
	const from = performance.now();
	work();
	return performance.now() - from;
};

/** Every saying read as it is typed, with a Stockroom of so many things; each of its beginnings looked up. */
export function reading(): boolean[] {
	const desks = new Map<string, EntryContext>();
	const contextOf = (saying: (typeof sayings)[number]) => {
		const key = saying.before.join(';');
		const { context } = desks.has(key) ? { context: desks.get(key)! } : deskOf(saying);
		// One list of things, as it stays for hours.
		if (!desks.has(key)) desks.set(key, { ...context, materials: stock(context.materials) });
		return desks.get(key)!;
	};
	let all: Material[] | undefined;
	const stock = (own: readonly Material[]) => (all ??= [...own, ...many]);
	for (const saying of sayings) readLine(saying.says, contextOf(saying));
	const lines = sayings.map((s) => timed(() => readLine(s.says, contextOf(s))));
	const next = sayings.flatMap((s) =>
		[4, 9, 14].map((n) => timed(() => suggest(s.says.slice(0, n), contextOf(s))))
	);
	return [
		report('a line in plain words, 5,000 things, median', quantile(lines, 0.5), 1, 'ms'),
		report('a line in plain words, 5,000 things, p95', quantile(lines, 0.95), 5, 'ms'),
		report('what can come next, 5,000 things, p95', quantile(next, 0.95), 8, 'ms')
	];
}

/**
 * Soups of words out of the sayings and what is none: nothing throws, what is read is understood, no line takes long.
 * `npm run soups` for 50,000 of them.
 */
export function soups(count: number): { slowest: number; text: string; over: number; misread: string[] } {
	const chance = seeded(20_261);
	const words = [...new Set(sayings.flatMap((s) => s.says.split(/\s+/)))].concat('§', '″', '—', '1e99', '-4', '4/0', '🎈', 'мир'); // prettier-ignore
	const contexts = ['', '4 11 at 9 white', 'bunch tops', 'run garland ; line 12 ft'].map(
		(before) => deskOf({ before: before.split(' ; ').filter(Boolean) }).context
	);
	for (const s of sayings.slice(0, 60)) readLine(s.says, contexts[1]!);
	const found = { slowest: 0, text: '', over: 0, misread: [] as string[] };
	for (let i = 0; i < count; i++) {
		const text = Array.from({ length: 1 + Math.floor(chance() * 14) }, () => words[Math.floor(chance() * words.length)]!).join(' '); // prettier-ignore
		const context = contexts[i % contexts.length]!;
		let took = Infinity;
		// The least of three: a collection of garbage is no slow line.
		for (let k = 0; k < 3 && took > 5; k++)
			took = Math.min(
				took,
				timed(() => readLine(text, context))
			);
		if (took > found.slowest) [found.slowest, found.text] = [took, text];
		if (took > 5) found.over++;
		const { lines, parsed } = readLine(text, context);
		if (lines[0] !== text && !parsed.ok) found.misread.push(text);
	}
	return found;
}
