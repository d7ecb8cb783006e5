import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { SAYINGS } from '../../features/bench/sayings.ts';
import { colours, counter, design, entryContext, floating, materials } from '../../../../tests/kit/studio.ts';
import { inches } from '../units/length.ts';
import { applyEntry } from './apply.ts';
import { newSection } from '../recipe/build.ts';
import { buildLayer } from '../structures/kit/build-layer.ts';
import { emptyWeave } from '../structures/weave/empty.ts';
import { emptyRun } from '../structures/run/empty.ts';
import { emptyForm } from '../structures/form/empty.ts';
import { emptyBunch } from '../structures/bunch/empty.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { designsCalled } from './names/find-design.ts';
import { parseEntry } from './read.ts';
import { printLayer } from '../structures/stack/print.ts';

const column = design(
	'column',
	'4 16 at 13 grey',
	'4 11 at 9 white',
	'4 11 at 9 gold',
	'1 star card swappable'
);
const context = {
	...entryContext(column),
	designs: [{ id: 'planet', name: 'Ringed planet' }],
	pumps: [{ id: 'hand', name: 'hand pump', pairs: [] }]
};
const parse = (text: string) => parseEntry(text, context);
const say = (text: string) => {
	const parsed = parse(text);
	return parsed.ok ? 'read' : parsed.say;
};
const after = (text: string): Recipe => {
	const parsed = parse(text);
	if (!parsed.ok) throw new Error(parsed.say);
	const draft = structuredClone(column) as RecipeDraft;
	applyEntry(draft, parsed.value, {}, counter('x'));
	expect(recipeSchema.safeParse(draft).error?.issues ?? []).toEqual([]);
	return draft as Recipe;
};
const slot = (name: string) => column.slots.find((s) => s.name === name)!.id;

describe('what can be said in one line', () => {
	test('places unlike the others, hearts, the eye, strokes of a pump', () => {
		const places = (text: string) => {
			const parsed = parse(text);
			if (!parsed.ok || parsed.value.kind !== 'layer') throw new Error(text);
			return buildLayer(parsed.value.layer, 0.8, counter()).layer.clusters[0]!.places;
		};
		expect(places('3 11 at 9 white with 1 11 at 7 gold').map((p) => [p.size, p.slot])).toEqual([
			...Array.from({ length: 3 }, () => [expect.objectContaining({ um: inches(9) }), null]),
			[expect.objectContaining({ um: inches(7) }), slot('gold')]
		]);
		expect(places('4 11 at 9 by eye white')[0]!.method).toBe('eye');
		expect(places('4 5 at 4 strokes of hand pump white')[0]!.size).toMatchObject({
			strokes: 4,
			pump: 'hand'
		});
		const hearts = { ...materials[0]!, id: 'h', kind: 'latex-heart' as const, nominal: inches(6) };
		const heart = parseEntry('2 6 hearts at 5 white', { ...context, materials: [...materials, hearts] });
		expect(heart).toMatchObject({ value: { layer: { clusters: [{ kind: 'latex-heart' }] } } });
	});
	test('unlike places round-trip, with and without a colour of their own', () => {
		const group = fc.tuple(fc.integer({ min: 1, max: 4 }), fc.constantFrom('9', '8½', '7 by eye'), fc.constantFrom('', ' gold', ' grey')); // prettier-ignore
		const bare = (v: unknown) => JSON.parse(JSON.stringify(v, (k, x: unknown) => (k === 'id' ? undefined : x))) as unknown; // prettier-ignore
		fc.assert(
			fc.property(fc.array(group, { minLength: 1, maxLength: 2 }), (groups) => {
				const text = `3 11 at 10 white / gold${groups.map(([n, s, c]) => ` with ${n} 11 at ${s}${c}`).join('')}`;
				const layer = (line: string) => {
					const parsed = parse(line);
					if (!parsed.ok || parsed.value.kind !== 'layer') throw new Error(`${line}: ${say(line)}`);
					return buildLayer(parsed.value.layer, 0.8, counter()).layer;
				};
				expect(bare(layer(printLayer(layer(text), column.slots)))).toEqual(bare(layer(text)));
			})
		);
	});
	test('sizes, slots left out and swapped, roles, rules, what is exchanged', () => {
		expect(after('size small 4 ft scaled').sizes).toMatchObject([
			{ name: 'small', height: inches(48), by: 'scale' }
		]);
		expect(after('size 6 ft').sizes).toMatchObject([{ name: '6 ft', by: 'layers' }]);
		expect(after('leave out gold').colourways[0]!.without).toEqual([slot('gold')]);
		expect(after('swap white and gold').colourways[0]!.fills).toMatchObject({ [slot('white')]: 'gold' });
		expect(after('each strip takes 1/2 patch').rules).toEqual([
			{ of: 'strip', each: '1/2', material: 'patch' }
		]);
		const exchanged = after('swap star for fairy').sections.at(-1)!.structure;
		expect(exchanged).toMatchObject({ lines: [{ material: 'fairy lights' }] });
		const led = {
			...column,
			slots: column.slots.map((s, i) => (i === 1 ? { ...s, role: 'main' as const } : s))
		};
		expect(parseEntry('4 11 at 9 main', entryContext(led))).toMatchObject({ ok: true });
	});
	test('lines: an estimate, an alternative, what becomes of it; pieces on several tiers', () => {
		const lines = (text: string) => after(text).sections.flatMap((s) => (s.structure.kind === 'extras' ? s.structure.lines.slice(1) : [])); // prettier-ignore
		expect(lines('2 to 5 fairy')).toMatchObject([{ quantity: '7/2', range: { low: '2', high: '5' } }]);
		expect(lines('1 stand or 3 fairy')).toMatchObject([{ taken: true }, { taken: false }]);
		expect(lines('3 fairy taken along')).toMatchObject([{ role: 'taken along' }]);
		expect(lines('1 fairy left over')).toMatchObject([{ role: 'by-product' }]);
		const pieces = after('put 3 5 at 3 red as spots on row 2 round, 5 on top row').sections.at(-1)!;
		expect(pieces).toMatchObject({ stand: { by: column.sections[0]!.id }, structure: { pieces: [{ name: 'spots', on: [{ count: 3, host: { side: 'all' } }, { count: 5 }] }] } }); // prettier-ignore
		expect(after('put 1 5 at 3 red on row 1 place 2').sections.at(-1)!.structure).toMatchObject({ pieces: [{ on: [{ host: { on: 'place' } }] }] }); // prettier-ignore
	});
	test.each([
		['put', /How many pieces/],
		['put 2', /Nothing in the Stockroom/],
		['put 2 5 at 4 red', /What does it sit on/],
		['put 2 5 at 4 red on row 9', /there is no row 9/],
		['put 2 5 at 4 red on wing row 1', /no section “wing”/],
		['put 2 5 at 4 red on row 1 place 9', /It has 1 to 4/],
		['put 2 5 at 4 red on wall', /How high on the wall/],
		['put 2 5 at 4 red on row 1 with tar', /fixed with strip/],
		['put 999 5 at 4 red on row 1', /How many pieces/],
		['4 11 at 9 white with 12 11 at 9 gold', /holds 1 to 12/],
		['4 5 at 4 strokes of foot pump white', /There is hand pump/],
		['4 6 hearts at 5 white', /no 6 in hearts/],
		['size small', /How tall/],
		['leave out nothing', /no slot here/],
		['swap', /Swap what/],
		['swap moon for star', /marked swappable/],
		['swap star for', /Nothing in the Stockroom/],
		['each curl takes 2 patch', /Each of what/],
		['each strip takes', /How many does it take/],
		['5 to 2 fairy', /the smaller number first/],
		['1 stand or', /Or what/],
		['section arm left of column at row 8', /there is no row 8/],
		['section arm at row 1', /A row is for a section beside/]
	])('%s is refused in words', (text, sentence) => expect(say(text)).toMatch(sentence));
	test('the list of commands and the page of shorthand print only what can be read', () => {
		const full = design('full', ...Array.from({ length: 6 }, () => '4 11 at 9 white'));
		const names = ['main', 'pop', 'spots'];
		const recipe = {
			...full,
			slots: [...full.slots, ...names.map((name) => ({ id: name, name, role: null }))]
		};
		const line = { id: 'l', material: 'star', quantity: '1', range: null, role: 'always' as const, taken: true, choice: null, serves: [], swappable: true }; // prettier-ignore
		const extras = { ...full.sections[0]!, id: 'e', name: 'extras', structure: { kind: 'extras' as const, lines: [line] } }; // prettier-ignore
		const stock = ['star', 'moon', 'sandbag', 'stake', 'moss mat', 'adhesive strip', 'foil moon', 'soft line'].map((name) => ({ ...materials.at(-1)!, kind: name.startsWith('foil') ? ('foil-star' as const) : ('accent' as const), id: name, name })); // prettier-ignore
		const at = { ...entryContext(recipe), recipe: { ...recipe, sections: [...recipe.sections, extras] }, materials: [...materials.filter((m) => m.kind === 'latex-round'), ...stock], designs: context.designs }; // prettier-ignore
		// Some go into what is in hand: the last section said before them.
		const own = [
			['bunch', emptyBunch()],
			['form', emptyForm()],
			['run', emptyRun()],
			['weave', emptyWeave()]
		] as const;
		const held = own.map(([name, structure]) => newSection(name, name, structure));
		const stocked = { ...at, sections: [...at.sections!, ...held], materials: [...at.materials, ...floating.filter((m) => m.kind === 'ribbon')], colours: [...colours, ...['black', 'brown'].map((name) => ({ ...colours[0]!, id: name, name }))] }; // prettier-ignore
		let inHand = full.sections[0]!.id;
		for (const { say: text } of SAYINGS) {
			expect([text, parseEntry(text, { ...stocked, section: inHand })]).toMatchObject([text, { ok: true }]);
			inHand = /^(bunch|form|run|weave) /.exec(text)?.[1] ?? inHand;
		}
	});
	test('a design called exactly so is meant, whatever others begin like it', () => {
		const designs = [
			{ id: 'tail', name: 'Comet-tail garland' },
			{ id: 'comet', name: 'Comet' }
		];
		expect(designsCalled(['comet'], designs).map((d) => d.id)).toEqual(['comet']);
		expect(designsCalled(['com'], designs)).toHaveLength(2);
		expect(designsCalled(['comet', 'tail'], designs).map((d) => d.id)).toEqual(['tail']);
		expect(designsCalled(['moon'], designs)).toEqual([]);
	});
	test('never throws, whatever is typed after these words', () => {
		const start = fc.constantFrom(
			'put 2 ',
			'size ',
			'swap ',
			'leave out ',
			'each strip ',
			'put 1 star on ',
			'2 fairy ',
			'4 11 at 9 white with '
		);
		fc.assert(
			fc.property(start, fc.string({ maxLength: 40 }), (a, b) => {
				expect(parse(a + b)).toHaveProperty('ok');
			}),
			{ numRuns: 400 }
		);
	});
});
