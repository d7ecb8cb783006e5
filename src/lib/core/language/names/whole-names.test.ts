import { describe, expect, test } from 'vitest';
import { colours, stockRows } from '../../../../../scripts/demo/stock.ts';
import type { Material } from '../../materials/material.ts';
import { carriedBy } from '../../materials/carries.ts';
import { Desk } from '../../../../../tests/sayings/read.ts';
import { parseEntry } from '../read.ts';
import { readLine } from '../plain/read-line.ts';

/** The Stockroom of the demo, and what an owner might call things besides. */
const materials: Material[] = [
	...stockRows.map(({ material }) => ({ ...material, packs: [] })),
	...[
		'clips with 2 in jaws', 'tape 1/2 in, clear', 'board, 4 ft by 2 ft', 'front panel in white', '3 in 1 glue', 'ribbon with gold edge',
		'box of 12 jars', 'hook and loop dots', 'spiral stakes, 18 in', 'left hand snips'
	].map((name, i): Material => ({ ...stockRows.find((r) => r.material.kind === 'fitting')!.material, packs: [], id: `own-${i}`, name, kind: i % 2 ? 'tool' : 'fitting' }))
]; // prettier-ignore
const others = materials.filter((m) => m.kind !== 'latex-round' && m.kind !== 'gas');
const foils = others.filter((m) => m.kind.startsWith('foil') && m.kind !== 'foil-letter');
const lines = others.filter((m) => !m.kind.startsWith('foil'));
const deskWith = (...before: string[]) => {
	const desk = new Desk();
	for (const line of before) if (!desk.say(line)) throw new Error(line);
	return { ...desk.context, materials, colours };
};
const COLUMN = deskWith('4 11 at 9 white');
const BUNCH = deskWith('bunch tops');
const RUN = deskWith('run garland', 'line 8 ft');

describe('anything of the Stockroom is said by its own name, whatever is in it', () => {
	test.each(lines.map((m) => [m.name, m.id] as const))('as a line: %s', (name, id) => {
		expect(parseEntry(`2 ${name}`, COLUMN)).toMatchObject({
			value: { lines: [{ material: id, quantity: '2' }] }
		});
		expect(parseEntry(`2 ${name} optional`, COLUMN)).toMatchObject({ value: { lines: [{ material: id }], role: 'optional' } }); // prettier-ignore
		expect(readLine(`two of the ${name}, taken along`, COLUMN).parsed).toMatchObject({ value: { lines: [{ material: id }], role: 'taken along' } }); // prettier-ignore
	});
	test.each(others.map((m) => [m.name, m.id] as const))(
		'on a row, in a rule, along a wall: %s',
		(name, id) => {
			const piece = { value: { piece: { what: { material: id } } } };
			expect(parseEntry(`put 2 ${name} on row 1 front`, COLUMN)).toMatchObject(piece);
			expect(readLine(`glue a ${name} on the front of row 1`, COLUMN).parsed).toMatchObject(piece);
			expect(parseEntry(`each strip takes 2 ${name}`, COLUMN)).toMatchObject({
				value: { rule: { material: id } }
			});
			expect(parseEntry(`spine ${name}`, RUN)).toMatchObject({
				value: { said: { spine: { material: id } } }
			});
			expect(parseEntry(`hung on hooks every 2 ft with ${name}`, RUN)).toMatchObject({ value: { said: { hung: { material: id } } } }); // prettier-ignore
		}
	);
	test.each(foils.map((m) => [m.name, m.id] as const))('in a bunch: %s', (name, id) => {
		const item = { value: { item: { what: { material: id }, gas: 'helium' } } };
		expect(parseEntry(`2 ${name} in helium`, BUNCH)).toMatchObject(item);
		expect(readLine(`two ${name} with helium on 4 ft ribbon`, BUNCH).parsed).toMatchObject(item);
	});
	test('ribbons by their own names, with a comma and without', () => {
		for (const m of others.filter((o) => o.kind === 'ribbon')) {
			const item = { value: { item: { ribbon: { material: m.id } } } };
			expect(parseEntry(`3 11 at 9 white in helium on 5 ft ${m.name}`, BUNCH)).toMatchObject(item);
			expect(parseEntry(`3 11 at 9 white in helium on 5 ft ${m.name.replace(',', '')}`, BUNCH)).toMatchObject(item); // prettier-ignore
		}
	});
	test('stands and sticks carry a column: each by its name, as long as it says; one that is too short is refused', () => {
		for (const m of others.filter((o) => o.kind === 'base' || o.kind === 'pipe')) {
			const long = carriedBy(m);
			if (long === undefined) continue;
			const upright = { value: { upright: { material: m.id, length: Math.round(long * 1000) } } };
			expect(readLine(`on the ${m.name}`, COLUMN).parsed).toMatchObject(upright);
			expect(parseEntry(`pole 3 ft of ${m.name}`, COLUMN)).toMatchObject({
				value: { upright: { material: m.id } }
			});
		}
		expect(parseEntry('pole 8 ft of stand with 5 ft pole', COLUMN)).toMatchObject({ ok: false, say: expect.stringMatching(/carries 5′/) as string }); // prettier-ignore
	});
	test('a section is tied on with a thing by its name', () => {
		for (const m of lines)
			expect(parseEntry(`section arm left of column tied with ${m.name}`, COLUMN)).toMatchObject({ value: { section: { stand: { tie: m.id } } } }); // prettier-ignore
	});
	test('two things of one name are told apart in a sentence, never guessed', () => {
		const one = materials.find((m) => m.id === 'sandbag')!;
		const twice = { ...COLUMN, materials: [...materials, { ...one, id: 'other', kind: 'tool' as const }] };
		const read = parseEntry(`2 ${one.name}`, twice);
		expect(read).toMatchObject({ ok: false, code: 'ambiguous' });
		expect(read.ok ? '' : read.say).toMatch(/two things.*a weight and a tool/);
	});
});
