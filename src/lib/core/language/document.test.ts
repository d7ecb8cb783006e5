import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import {
	BUNCH,
	COLUMN,
	FORM,
	LINES,
	MIX,
	PUMPS,
	RUN,
	said,
	STOCK
} from '../../../../tests/kit/entry-lines.ts';
import { design, designOf, entryContext } from '../../../../tests/kit/studio.ts';
import { parseEntry } from './read.ts';

const grammar = /```\n([\s\S]*?)```/.exec(readFileSync('docs/ENTRY-LINE.md', 'utf8'))![1]!;
/** Productions of the document: what stands on the right of each, its explanations left out. */
const productions = grammar
	.split(/\n(?=\w+ +=)/)
	.map((text) => /^(\w+) +=([\s\S]*)$/.exec(text)!)
	.map(([, name, right]) => ({
		name: name!,
		right: right!
			.split('\n')
			.map((l) => l.replace(/ {3,}[a-z].*$/, ''))
			.join('\n')
	}));
/** Words of a production that are typed as they stand: quoted, or an alternative that names nothing else. */
const typed = (right: string): string[] => [...right.matchAll(/"([^"]+)"/g)].map((m) => m[1]!);

describe('every production of the document can be typed', () => {
	test('there are lines for each of them, and for no other', () => {
		expect(Object.keys(LINES).sort()).toEqual([...new Set(productions.map((p) => p.name))].sort());
	});
	test.each(Object.entries(LINES))('%s', (name, groups) => {
		const all: string[] = [];
		for (const [before, ...lines] of groups) {
			const { read } = said(before);
			for (const line of lines) {
				expect([line, read(line)]).toMatchObject([line, { ok: true }]);
				all.push(line);
			}
		}
		const words = productions.filter((p) => p.name === name).flatMap((p) => typed(p.right));
		const lines = all.join('\n');
		for (const word of words) expect([name, word, lines.includes(word)]).toEqual([name, word, true]);
	});
});

describe('what was read as something else is read as meant, or refused with what would work', () => {
	const context = (before: readonly string[]) => {
		const recipe = designOf(STOCK, 'column', before, PUMPS);
		return { ...entryContext(recipe), materials: STOCK, pumps: PUMPS, section: recipe.sections.at(-1)!.id };
	};
	const read = (before: readonly string[], line: string) => parseEntry(line, context(before));
	const say = (before: readonly string[], line: string) => {
		const parsed = read(before, line);
		return parsed.ok ? JSON.stringify(parsed.value) : parsed.say;
	};
	/** Everything a refusal puts between quotes as a line to type is understood. */
	const offers = (before: readonly string[], line: string) => {
		const parsed = read(before, line);
		if (parsed.ok) throw new Error(`${line} was read`);
		for (const [, offer] of parsed.say.matchAll(/“([^”…]+ [^”…]+)”/g))
			expect([offer, parseEntry(offer!, context(before)).ok]).toEqual([offer, true]);
		return parsed.say;
	};
	test('ten of infill: a foot or in all', () => {
		expect(offers(MIX, 'infill 10 5 at 3 red')).toMatch(/10 a foot, or 10 in all/);
		expect(read(MIX, 'infill 10 in all 5 at 3 red')).toMatchObject({
			value: { said: { a: { low: '1/2', high: '1/2' } } }
		});
	});
	test('a rule buys no foil for a round; a round is called by its name', () => {
		expect(say(COLUMN, 'each attachment point takes 1 round')).toMatch(/could be .*round/);
		expect(say(COLUMN, 'each attachment point takes 1 5 in round, white')).toMatch(/"material":"5-white"/);
	});
	test('one filling in one balloon', () =>
		expect(say(COLUMN, '1 18 at 12 red filled with sand filled with water')).toMatch(/one thing/));
	test('clusters at a pitch are not thicker anywhere', () =>
		expect(offers([...RUN, 'line 8 ft', '4 11 at 9 white'], 'thicker in the middle')).toMatch(/alike all/));
	test('no word of how a thing is meant goes into its name', () =>
		expect(say(FORM, '1 260 red tie as stick cover optional')).toMatch(/all but “optional”/));
	test('what stands on top is a part of its own', () =>
		expect(say(COLUMN, 'put 1 moon foil on top')).toMatch(/bunch topper on column/));
	test('a wait is a wait', () => {
		expect(read(COLUMN, 'step wait 1 hour')).toMatchObject({ value: { wait: 3600 } });
		expect(read(COLUMN, 'step paint the base, wait 20 min')).toMatchObject({ value: { wait: 1200 } });
		expect(read(COLUMN, 'step wait for the client')).toMatchObject({ value: { wait: 0 } });
	});
	test('a few letters that find a colour nobody sells it in are asked for', () => {
		const grey = say(FORM, '1 260 limp');
		expect(grey).toMatch(/“limp” could be limpet grey, and there is no 260 of it/);
		expect(read(FORM, '1 260 limpet grey').ok).toBe(true);
	});
	test('a section said again is gone on in; a new design’s own column too', () => {
		const base = read(['section base', '4 11 at 9 white'], 'section base');
		expect(base).toMatchObject({ value: { kind: 'go on' } });
		const twice = design('new', 'section column', '4 11 at 9 white');
		expect(twice.sections.map((s) => s.name)).toEqual(['column']);
		expect(offers(COLUMN, 'bunch column')).toMatch(/There is a section “column” already/);
	});
	test('in a bunch too, a weight weighs, and a box is a line', () => {
		expect(read(BUNCH, '2 sack')).toMatchObject({ value: { kind: 'weight', weight: { count: 2 } } });
		expect(read(BUNCH, '3 adhesive strip')).toMatchObject({ value: { kind: 'lines' } });
	});
	test('a foil is inflated: it is no line', () =>
		expect(say(COLUMN, '2 moon foil')).toMatch(/inflated and fixed/));
	test('a colour said in full is that colour, whatever a slot of its name holds', () => {
		const recipe = design(
			'golds',
			'4 11 at 9 hive gold',
			'4 11 at 9 hive gold mirror',
			'4 11 at 9 hive gold'
		);
		const fills = recipe.colourways[0]!.fills;
		const [stack] = recipe.sections;
		const rows = stack!.structure.kind === 'stack' ? stack!.structure.layers : [];
		const of = rows.map(({ clusters: [c] }) => (c!.pattern.kind === 'same' ? fills[c!.pattern.slot] : ''));
		expect(of).toEqual(['gold', 'gold-mirror', 'gold']);
	});
	test('strokes behind the colour are strokes too', () =>
		expect(read(FORM, '1 360 red at 8 strokes')).toMatchObject({
			value: { piece: { size: { kind: 'strokes', strokes: 8, pump: 'hand' } } }
		}));
});
