import { expect, test, vi } from 'vitest';
import { settings } from '../../../../scripts/demo/settings.ts';
import { colours, design, materials, rates } from '../../../../tests/kit/studio.ts';
import { Quick } from './quick.svelte.ts';

const tall = design('Kelp column', '4 16 at 12 grey', '4 11 at 9 white x8', '1 11 at 9 gold');
const pair = design('Pair', '2 11 at 9 gold');
const quick = () =>
	new Quick({
		designs: [
			{ id: 'tall', name: 'Kelp column' },
			{ id: 'pair', name: 'Pair' }
		],
		recipes: [
			['tall', tall],
			['pair', pair]
		],
		library: [],
		settings: {
			...settings,
			rates: { ...rates, price: { ...rates.price, tax: { percent: '7', inclusive: false } } }
		},
		materials,
		colours
	});
const minor = (q: Quick) => (q.tally.price.status === 'priced' ? q.tally.price.net.minor : -1);

test('“how much for two of those in red, seven feet tall?”', () => {
	const q = quick();
	const one = minor(q);
	expect(q.mainSlot?.name).toBe('white');
	q.quantity = '2';
	q.colour = 'main:red';
	q.height = '7 ft';
	expect(minor(q)).toBeGreaterThan(one);
	expect(q.tally.bill.lines.map((l) => l.label)).toContain('11 rounds, buoy red');
	expect(q.tally.bill.lines.map((l) => l.label)).not.toContain('11 rounds, gull white');
	expect(q.text).toMatch(
		/^2 × Kelp column, limpet grey, buoy red and hive gold matte, [67]′ \d+″ over all: \$[\d.]+ \(\$[\d.]+ with tax\), delivered, set up and taken away\. Puddlelark Balloons$/
	);
	expect(q.picture!.discs.length * 2).toBe(q.tally.bill.balloons);
});
test('another design starts from its own colours and height', async () => {
	const q = quick();
	q.height = '9 ft';
	await q.choose('pair');
	expect([q.height, q.recipe.name, q.mainSlot?.name]).toEqual(['', 'Pair', 'gold']);
	expect(q.tall).toMatch(/^\d′ \d+″ over all$/);
});
test.each([
	['quantity', '', /How many is blank/],
	['quantity', '1.5', /whole number/],
	['quantity', '5000', /at most 999/],
	['height', 'tall', /not a length/],
	['height', '3 in', /between 1 and 30 ft/],
	['height', '40 ft', /between 1 and 30 ft/]
] as const)('%s %j has no price, and says why', (field, typed, sentence) => {
	const q = quick();
	q[field] = typed;
	expect(q.ok).toBe(false);
	expect(q.errors[field]).toMatch(sentence);
});
test('a colour the Stockroom does not have in that size is said', () => {
	const q = quick();
	q.colour = 'main:gold-mirror';
	expect(q.bad.map((f) => f.code)).toContain('unlisted');
});

test('a size option has its own price and is named in the text; the main slot is the one that has the role', async () => {
	const sized = design('Sized', '4 11 at 9 white x4', '4 11 at 9 gold', 'size tall 6 ft');
	const led = {
		...sized,
		slots: sized.slots.map((s) => (s.name === 'gold' ? { ...s, role: 'main' as const } : s))
	};
	const q = new Quick({ designs: [{ id: 's', name: 'led' }], recipes: [['s', led]], library: [], settings: { ...settings, rates }, materials, colours }); // prettier-ignore
	expect(q.mainSlot?.name).toBe('gold');
	const plain = minor(q);
	q.size = led.sizes[0]!.id;
	expect(minor(q)).toBeGreaterThan(plain);
	expect(q.text).toMatch(/^1 × Sized tall, gull white and hive gold matte, [56]′ \d+″ over all: /);
	await q.choose('s');
	expect([q.size, minor(q)]).toEqual(['', plain]);
});

test('a design that did not come with the page is asked for; where nobody answers the one before stays, and it is said', async () => {
	const q = quick();
	const answers = [undefined, { recipes: [['far', pair]], library: [] }];
	vi.stubGlobal('fetch', () => {
		const answer = answers.shift();
		return answer ? Promise.resolve(Response.json(answer)) : Promise.reject(new Error('no net'));
	});
	await q.choose('far');
	expect([q.design, q.trouble]).toEqual(['tall', expect.stringContaining('Try again in a moment')]);
	const chosen = q.choose('far');
	// No figure stands under a name it does not belong to.
	expect([q.waiting, q.ok, q.picture]).toEqual(['far', false, null]);
	await chosen;
	expect([q.design, q.recipe.name, q.trouble, q.ok]).toEqual(['far', 'Pair', '', true]);
	vi.unstubAllGlobals();
});
