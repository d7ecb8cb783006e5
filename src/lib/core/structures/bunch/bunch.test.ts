import fc from 'fast-check';
import { litresHeld } from '../../gas/volume.ts';
import { describe, expect, test } from 'vitest';
import { colours, designOf, entryContext, floating, rates } from '../../../../../tests/kit/studio.ts';
import { catalogue } from '../../materials/catalogue.ts';
import type { Bunch } from './document.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { parseEntry } from '../../language/read.ts';
import { recipeSchema } from '../../recipe/recipe.schema.ts';
import { formatAmount } from '../../money/money.ts';
import { tally } from '../../tally/tally.ts';
import { inches } from '../../units/length.ts';
import { assemble } from '../../assembly/assemble.ts';
import { letterCounts, lettersOf, roomOf } from './count.ts';
import { liftOf, WEIGHS } from './lift.ts';
import { inGas, keepingOf } from './gas.ts';
import { placeBunch } from './place.ts';
import { isLetter, STROKES } from './letters.ts';

const stock = catalogue(floating, colours);
const rules = [
	...rates.rules,
	{ of: 'litre of helium', each: '1', material: 'helium' },
	{ of: 'painted balloon', each: '1/20', material: 'paint can' },
	{ of: 'litre of sand', each: '1', material: 'dry sand' },
	{ of: 'attachment point', each: '1', material: '5-white' }
] as const;
const context = { catalogue: stock, rates: { ...rates, rules }, library: () => undefined };
const made = (...lines: string[]): Recipe => designOf(floating, 'bunch', lines);
const count = (recipe: Recipe) => tally(recipe, null, 1, context);
const used = (recipe: Recipe) =>
	Object.fromEntries(
		count(recipe).bill.lines.map((l) => [l.label, Math.round(l.used.valueOf() * 100) / 100])
	);
const bunchIn = (recipe: Recipe): Bunch =>
	recipe.sections.map((s) => s.structure).find((s) => s.kind === 'bunch')!;
const SEA = { temperature: 288.15, height: 0 };
const lift = (recipe: Recipe, where = SEA) =>
	liftOf(recipe, bunchIn(recipe), { catalogue: stock, colourway: recipe.colourways[0], where });
const says = (line: string, first = 'bunch b') => {
	const recipe = made(first);
	const parsed = parseEntry(line, {
		...entryContext(recipe),
		materials: floating,
		section: recipe.sections[0]!.id
	});
	return parsed.ok ? 'understood' : parsed.say;
};

describe('what a bunch takes', () => {
	const buoy = made(
		'bunch buoy',
		'weight sack',
		'3 11 at full white in helium on 5 ft ribbon',
		'2 moon foil in helium on 4 ft thin ribbon as moon',
		'1 place card'
	);
	test('balloons, foils, ribbon by the foot, weight, what hangs on it', () => {
		expect(used(buoy)).toMatchObject({
			'11 rounds, gull white': 3,
			'moon foil': 2,
			'thin ribbon': 3 * 5 + 2 * 4,
			'place card': 1,
			sack: 1
		});
	});
	test('gas by volume: 18-inch foils by Paulsen creased to nine tenths, full latex as a pear', () => {
		// 14.56 L × 0.9 × 2 = 26.2; an 11 at 95 % is 10.45 in: π/6 · (2.6543 dm)³ · 1.15 = 11.26 L × 3 = 33.8.
		expect(used(buoy).helium).toBeCloseTo(26.2 + 33.79, 1);
	});
	test('a litre used costs what it took to fill it: 4.00 cents a litre over 1 − 1/5 is 5 cents', () => {
		const line = count(buoy).cost.materials.find((l) => l.label === 'helium')!;
		const litres = count(buoy).bill.lines.find((l) => l.label === 'helium')!;
		expect(line.count).toMatch(/^7\d(\.\d)? L$/);
		// Spares are whole litres: at most one more than the share that is lost.
		expect(line.amount!.minor / litres.used.valueOf()).toBeGreaterThanOrEqual(4.99);
		expect(line.amount!.minor / litres.used.valueOf()).toBeLessThan(5.08);
		expect(count(buoy).cost.materials.find((l) => l.key === 'spares')?.parts.some((p) => p.label.startsWith('helium'))).not.toBe(true); // prettier-ignore
	});
	test('the maker’s figure overrides the formula: 42 L, creased to nine tenths, in two chambers', () => {
		const recipe = made('bunch b', '1 buoy foil in helium on 5 ft ribbon');
		expect(used(recipe).helium).toBeCloseTo(37.8, 9);
		expect(count(recipe).tasks.find((t) => t.task === 'foil')!.count).toBe(2);
	});
	test('a maker’s figure of latex is for a full one: sized to half it takes an eighth, in the bill and in the lift', () => {
		const round = floating.map((m) => (m.id === '11-white' ? { ...m, litres: 16 } : m));
		const own = { ...context, catalogue: catalogue(round, colours) };
		const recipe = made('bunch b', '1 11 at 5½ white in helium');
		const taken = tally(recipe, null, 1, own)
			.bill.lines.find((l) => l.label === 'helium')!
			.used.valueOf();
		const lifted = liftOf(recipe, bunchIn(recipe), { catalogue: own.catalogue, colourway: recipe.colourways[0], where: SEA }); // prettier-ignore
		expect([taken, lifted.litres]).toEqual([2, 2]);
	});
	test('on ribbon alone the length is measured on the spot: a guess with its ends', () => {
		const line = count(made('bunch b', '2 moon foil on ribbon')).bill.lines.find(
			(l) => l.label === 'thin ribbon'
		)!;
		expect([line.used, line.estimate!.low, line.estimate!.high].map((q) => q.valueOf())).toEqual([10, 6, 18]);
	});
	test('both lists: gas and look stand on the one to inflate', () => {
		expect(count(buoy).bill.inflate.map((l) => l.label)).toEqual([
			'11 at full, gull white, helium',
			'moon foil, by look: creases left at the rim, springs back, helium'
		]);
	});
	test('with a bunch or a form in hand extras are said as ever', () => {
		const mixed = made('bunch b', '2 place card', '2 place card taken along', '1 sack or 2 place card', 'form f', '2 place card'); // prettier-ignore
		expect(bunchIn(mixed).items).toHaveLength(1);
		expect(mixed.sections.find((s) => s.structure.kind === 'extras')!.structure).toMatchObject({
			kind: 'extras',
			lines: [{}, {}, {}, {}]
		});
	});
	test('it is one valid document, and says every slot it names', () => {
		expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(buoy))).success).toBe(true);
		const broken = { ...buoy, slots: [] };
		expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(broken))).success).toBe(false);
	});
});

describe('in and on balloons, whatever they are in', () => {
	test('a balloon in a balloon: both are bought and inflated, one is put into the other', () => {
		const column = made('4 16 at 12 grey filled with 5 at 4 white x2');
		expect(used(column)).toMatchObject({ '16 rounds, limpet grey': 8, '5 rounds, gull white': 8 });
		const tasks = count(column).tasks.map((t) => [t.task, t.count]);
		expect(tasks).toContainEqual(['put inside', 8]);
		expect(tasks).toContainEqual(['tie', 16]);
	});
	test('inside helium it takes its room: a 24 at 22 with an 11 at 7 in it', () => {
		const [outer, inner] = [22, 7].map((d) => (Math.PI / 6) * (d * 0.254) ** 3);
		const { what } = bunchIn(made('bunch b', '1 24 at 22 white filled with 11 at 7 red in helium')).items[0]!;
		expect(litresHeld(roomOf(what)!)).toBeCloseTo(outer! - inner!, 6);
	});
	test('sand by its litres: a 5 at 4 holds π/6 · (1.016 dm)³ = 0.55 L and weighs 880 g', () => {
		const recipe = made(
			'bunch b',
			'weight 5 at 4 white filled with sand',
			'1 moon foil in helium on 3 ft ribbon'
		);
		expect(used(recipe)['dry sand']).toBeCloseTo(0.55, 2);
		expect(lift(recipe).held).toBeCloseTo(0.549 * 1600 + WEIGHS.latex(inches(5)), 0);
	});
	test('water costs nothing here and sand nobody has is not forgotten', () => {
		expect(Object.keys(used(made('1 11 at 9 white filled with water')))).toEqual([
			'11 rounds, gull white',
			'patch'
		]);
		const bare = tally(made('1 11 at 9 white filled with marbles'), null, 1, context);
		expect(bare.bill.lines.map((l) => l.label)).toContain('for each litre of marbles, not chosen yet');
	});
	test('paint: a share of a can, an hour to dry before it is built in', () => {
		const recipe = made('4 11 at 9 white painted x5');
		expect(used(recipe)['paint can']).toBe(1);
		expect(count(recipe).tasks.find((t) => t.task === 'paint')).toMatchObject({
			count: 20,
			batches: ['paint']
		});
	});
	test('a sacrificed balloon ties a piece where nothing else holds', () => {
		const recipe = made('4 11 at 9 white', 'put 2 foil star as star on row 1 front with attachment point');
		expect(used(recipe)['5 rounds, white'] ?? used(recipe)['5 in round, white']).toBe(2);
	});
});

describe('whether it floats', () => {
	test('an 18-inch foil by hand: 13.1 L lift 13.8 g; foil 9 g and 4 ft of ribbon 1.2 g leave 3.6 g, times 1½ is 5.4', () => {
		const found = lift(made('bunch b', '1 moon foil in helium on 4 ft ribbon'));
		expect(found.litres).toBeCloseTo(14.56 * 0.9, 1);
		expect(found.gross).toBeCloseTo(13.84, 1);
		expect(found.carried).toBeCloseTo(10.2, 9);
		expect(found.net).toBeCloseTo(3.64, 1);
		expect([found.verdict, found.weight.toFixed(1)]).toEqual(['floats', '5.4']);
	});
	test('what its maker says it lifts: 12 g over its 9 g are 19.9 L at 15 °C, by hand 21 over 1.056 a litre', () => {
		const own = floating.map((m) => (m.id === 'moon foil' ? { ...m, facts: { liftGrams: 12 } } : m));
		const recipe = made('bunch b', '1 moon foil in helium');
		const found = liftOf(recipe, bunchIn(recipe), {
			catalogue: catalogue(own, colours),
			colourway: recipe.colourways[0],
			where: SEA
		});
		expect(found.litres).toBeCloseTo((21 / 1.056) * 0.9, 1);
		expect(found.parts[0]!.estimated).toBe(false);
	});
	test('a card of 6 g sinks it, and is named; one nobody weighed is left out and named', () => {
		const found = lift(made('bunch b', '1 moon foil in helium on 4 ft ribbon', '1 place card'));
		expect([found.verdict, found.sunkBy]).toEqual(['sinks', 'place card']);
		expect(lift(made('bunch b', '1 moon foil in helium', '1 heavy card')).unweighed).toEqual(['heavy card']);
	});
	test('high and warm it lifts less', () => {
		const recipe = made('bunch b', '3 11 at full white in helium on 5 ft ribbon');
		expect(lift(recipe, { temperature: 308.15, height: 2000 }).gross).toBeLessThan(lift(recipe).gross * 0.8);
	});
	test('what hangs on an item is carried: six 260s of 1.4 g', () => {
		const alone = ['bunch jelly', '1 24 at 22 white in helium on 6 ft ribbon as bell'];
		const whole = made(...alone, 'form tentacles on jelly', '6 260 red 40 trained as tentacle on bell');
		expect(lift(whole).carried - lift(made(...alone)).carried).toBeCloseTo(8.4, 9);
	});
	test('the checker says what sinks, what is not held and what is filled too tight', () => {
		const codes = (...lines: string[]) => count(made(...lines)).findings.map((f) => f.code);
		expect(codes('bunch b', '1 moon foil in helium on 9 ft ribbon', '2 place card')).toContain('sinks');
		expect(codes('bunch b', '3 11 at full white in helium')).toContain('not-held');
		expect(codes('bunch b', 'weight sack', '3 11 at full white in helium')).not.toContain('not-held');
		expect(codes('bunch b', 'weight sack', '2 moon foil firm in helium')).toContain('foil-firm');
		expect(codes('bunch b', 'weight sack', '2 moon foil in helium', '1 heavy card')).toContain('not-weighed');
		expect(codes('bunch b', '2 11 at 11.5 white')).toContain('over-safe');
	});
	test('what is not held is said with its pull in grams, and which weight would do', () => {
		const found = (...lines: string[]) => {
			const recipe = made('bunch b', ...lines);
			return { say: count(recipe).findings.find((f) => f.code === 'not-held')?.say, lift: lift(recipe) };
		};
		const free = found('3 11 at full white in helium');
		const pull = Number(/it pulls ([\d.]+) g/.exec(free.say!)![1]);
		expect(pull).toBeGreaterThan(0);
		expect(Math.abs(pull - free.lift.net)).toBeLessThan(1);
		expect(free.say).toContain('nothing holds it');
		const many = found('weight sack', '60 11 at full white in helium');
		expect(many.lift.weight).toBeGreaterThan(500);
		expect(many.say).toContain('its weight has only 500 g');
		expect(found('weight sack', '30 11 at full white in helium').say).toBeUndefined();
	});
	test('side by side: in air no gas is paid, it keeps longer and is built earlier', () => {
		const recipe = made('bunch b', '3 11 at full white in helium on 5 ft ribbon', '1 moon foil in helium');
		const [air, helium] = [inGas(recipe, 'air'), inGas(recipe, 'helium')];
		expect(helium).toBe(recipe);
		expect(count(air).cost.total.known.minor).toBeLessThan(count(helium).cost.total.known.minor);
		expect(used(air).helium).toBeUndefined();
		expect([keepingOf(air).ahead, keepingOf(helium).ahead]).toEqual([3, 0]);
		expect(keepingOf(inGas(made('bunch b', '1 moon foil in helium'), 'air')).ahead).toBe(7);
	});
});

test('three weights filled with sand take three times the sand of one', () => {
	const sand = (n: number) => used(made('bunch b', `weight ${n > 1 ? `${n} ` : ''}sack`, `${n} 11 at 9 white filled with sand`))['dry sand']!; // prettier-ignore
	expect(sand(1)).toBeGreaterThan(1);
	expect(sand(3)).toBeCloseTo(3 * sand(1), 1);
});

describe('letters', () => {
	test('nobody has weighed one: two sheets of 28 g/m² over 0.62 of its height squared; 34 in is 25.9 g, by hand', () => {
		// 2 × 28 × 0.62 × 0.8636² = 25.89
		expect(WEIGHS.letter(inches(34))).toBeCloseTo(25.89, 1);
		expect(WEIGHS.letter(inches(16)) * 4).toBeCloseTo(WEIGHS.letter(inches(32)), 6);
		const grams = (text: string) =>
			lift(made('bunch b', `letters ${text} at 34 of gold`)).parts.reduce((a, p) => a + p.grams, 0);
		expect(grams('XX')).toBeCloseTo(2 * grams('X'), 6);
	});
	test('TIDIT is T 2, I 2, D 1; every letter a foil of its own, in the colour of its slot', () => {
		expect([...letterCounts('tid it')]).toEqual([
			['T', 2],
			['I', 2],
			['D', 1]
		]);
		const recipe = made('letters TID IT at 34 of gold');
		expect(used(recipe)).toEqual({
			'34 foil letter T, hive gold matte': 2,
			'34 foil letter I, hive gold matte': 2,
			'34 foil letter D, hive gold matte': 1
		});
		expect(formatAmount(count(recipe).cost.materialsTotal.known)).toBe('17.50');
		expect(count(recipe).tasks.find((t) => t.task === 'foil')!.count).toBe(5);
	});
	test('a letter the Stockroom lacks is unlisted, not free', () => {
		expect(count(made('letters TOT of gold')).cost.total.unknown).toEqual([
			'34 foil letter O, hive gold matte'
		]);
	});
	test('a word of 280 letters, one longer than a line, a sign that is no foil, no word, no colour: told what to type', () => {
		expect(says(`letters ${'A'.repeat(280)} of gold`)).toMatch(/280 letters. A wording has at most 40/);
		expect(says(`letters ${'A'.repeat(2500)} of gold`)).toMatch(/too long/);
		expect(says('letters AB€ of gold')).toMatch(/no foil “€”/);
		expect(says('letters of gold')).toMatch(/Which letters/);
		expect(says('letters TIDE at 34')).toMatch(/which colour/);
		expect(says('letters TIDE at 3 of gold')).toMatch(/between 5 and 80/);
	});
	test('every letter, figure and the usual signs can be drawn, inside their square', () => {
		for (const letter of 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789&!?')
			expect([letter, isLetter(letter)]).toEqual([letter, true]);
		for (const point of Object.values(STROKES).flat(2))
			for (const v of point) expect(v >= 0 && v <= 1).toBe(true);
	});
	test('the word stands in a row as wide as its letters, on the floor', () => {
		const { applied, overall } = assemble(made('letters TID of gold'), null, () => undefined);
		expect(overall.usual / 25.4).toBeCloseTo(34, 6);
		const xs = applied.flatMap((g) => g.strands.flatMap((s) => s.path.map((p) => p.x)));
		expect(Math.min(...xs)).toBeCloseTo(-Math.max(...xs), 6);
		expect(lettersOf('a b')).toEqual(['A', 'B']);
	});
});

describe('where things of a bunch are', () => {
	test('no balloon under the end of its ribbon, none through the floor, whatever is in it (property)', () => {
		const item = fc.record({
			count: fc.integer({ min: 1, max: 14 }),
			size: fc.integer({ min: 5, max: 11 }),
			ribbon: fc.integer({ min: 0, max: 9 })
		});
		fc.assert(
			fc.property(fc.array(item, { minLength: 1, maxLength: 6 }), (items) => {
				const lines = items.map(
					({ count: n, size, ribbon }) =>
						`${n} 11 at ${size} white in helium${ribbon > 0 ? ` on ${ribbon} ft ribbon` : ''}`
				);
				const recipe = made('bunch b', ...lines);
				const [group] = assemble(recipe, null, () => undefined).applied;
				bunchIn(recipe).items.forEach((own, i) => {
					const balls = group!.balls.filter((b) => b.piece === own.id);
					expect(balls).toHaveLength(own.count);
					for (const { ball } of balls)
						expect(ball.z - ball.d / 2).toBeGreaterThanOrEqual(items[i]!.ribbon * 304.8 - 1e-6);
				});
			}),
			{ numRuns: 60 }
		);
	});
});

describe('what is refused, in words', () => {
	test.each([
		['3 gate links in helium', /too small and heavy to float/],
		['3 12 link white in helium', /too small and heavy to float/],
		['2 place card in helium', /not inflated: it hangs/],
		['3 11 at 10 white on 500 ft ribbon', /between 1 in and 100 ft/],
		['0 11 at 10 white', /whole number from 1 to 200/],
		['3 11 at 10', /which colour/],
		['weight 5 at 4 white', /What makes it heavy/],
		['weight 5 at 4 white filled with soup', /Filled with what/],
		['3 11 at 10 white in helium upside down', /I read all but “upside down”/],
		['1 unicorn foil in helium', /Nothing in the Stockroom/]
	])('%s', (line, say) => expect(says(line)).toMatch(say));
});

test('ribbons are tied on top of the weight, a 5 at 4 of 101.6 mm; without one they reach the floor', () => {
	const ends = (...lines: string[]) => {
		const bunch = bunchIn(made('bunch b', ...lines, '3 11 at full white in helium on 5 ft ribbon'));
		return placeBunch(bunch, 'b').strands.map((s) => s.path.at(-1)!.z);
	};
	expect(ends()).toEqual([0, 0, 0]);
	for (const z of ends('weight 5 at 4 white filled with sand')) expect(z).toBeCloseTo(101.6, 9);
});

test('what is in a balloon is carried with it, and a weight nobody weighed is an estimate', () => {
	const carried = (line: string) => lift(made('bunch b', line)).carried;
	const marbles =
		carried('1 16 at 12 white filled with marbles in helium') - carried('1 16 at 12 white in helium');
	expect(marbles).toBeGreaterThan(0);
	const part = (grams: number | null) => {
		const stocked = catalogue(
			floating.map((m) => (m.id === '11-white' ? { ...m, grams } : m)),
			colours
		);
		const recipe = made('bunch b', '1 11 at 10 white in helium');
		return liftOf(recipe, bunchIn(recipe), { catalogue: stocked, colourway: recipe.colourways[0], where: SEA }).parts[0]!; // prettier-ignore
	};
	expect([part(null).estimated, part(3).estimated]).toEqual([true, false]);
	expect(part(3).grams).toBeCloseTo(3, 9);
});
