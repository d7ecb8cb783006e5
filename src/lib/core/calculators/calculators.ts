import { binomialAtMost, sparesFor } from '../bom/spares.ts';
import { float, heliumCost, labelLitres } from '../gas/float.ts';
import { heatAdvice, inSun, type Sun } from '../gas/heat.ts';
import { nesting } from '../geometry/bands.ts';
import { GROUNDS, inPounds } from '../stability/standing-words.ts';
import { beaufort, G, standsWind } from '../stability/wind.ts';
import { foilLitres, SHAPE_FACTOR } from '../gas/volume.ts';
import { calibrate, diameterAfter, sphereLitres, strokesFor } from '../sizing/strokes.ts';
import { formatInches, inches, um } from '../units/length.ts';
import { inUnit } from '../units/quantity.ts';
import { VENUE_AIR, VENUE_HEIGHT } from '../gas/venue.ts';
import type { Calculator, Input, Result, ResultLine } from './calculator.ts';

/** Grounds by how well a foot grips them. */
const FRICTIONS = [...new Set(GROUNDS.map(([, , grip]) => grip))].map(
	(grip) => [String(grip), GROUNDS.filter((g) => g[2] === grip).map(([, says]) => says).join(', ')] as const // prettier-ignore
);

const IN = 25.4;
const inchText = (mm: number): string => `${formatInches(um(Math.round((mm / IN) * 8) * 3175))} in`;
const exact = (value: number, places = 1): string =>
	(Math.round(value * 10 ** places) / 10 ** places).toFixed(places);

const temperature = (name: string, label: string, start: string): Input => ({
	kind: 'quantity', name, label, start, ...VENUE_AIR
}); // prettier-ignore
const height: Input = {
	kind: 'quantity', name: 'height', label: 'Height above the sea', start: '0 ft', ...VENUE_HEIGHT
}; // prettier-ignore
const mass = (name: string, label: string, start: string): Input => ({
	kind: 'quantity', name, label, start, dimension: 'mass', unit: 'g', min: 0, max: 100_000, between: '0 and 100 kg'
}); // prettier-ignore

const strokes: Calculator = {
	id: 'strokes',
	name: 'Strokes and sizes',
	asks: 'How many strokes of my pump bring a balloon to this size?',
	inputs: [
		{ kind: 'number', name: 'strokes', label: 'Strokes I counted', start: '4', min: 0.25, max: 500 },
		{ kind: 'length', name: 'reached', label: 'Size they reached', start: '4½' },
		{ kind: 'number', name: 'strokes2', label: 'Strokes, measured again', start: '', min: 0, max: 500, blank: 'nothing' },
		{ kind: 'length', name: 'reached2', label: 'Size they reached then', start: '5⅝' },
		{ kind: 'length', name: 'wanted', label: 'Size I want', start: '8½' }
	],
	work: ({ n }) => {
		const pairs = [{ strokes: n.strokes!, diameter: n.reached! }];
		if (n.strokes2! > 0) pairs.push({ strokes: n.strokes2!, diameter: n.reached2! });
		const { k, residual } = calibrate(pairs);
		const need = strokesFor(n.wanted!, k);
		// Two pairs that differ by more than a fifth of the air are two pumps, or a slip.
		const apart = pairs.length > 1 ? Math.abs(1 - sphereLitres(pairs[1]!.diameter) / pairs[1]!.strokes / (sphereLitres(pairs[0]!.diameter) / pairs[0]!.strokes)) : 0; // prettier-ignore
		const most = Math.max(12, Math.ceil(need * 1.3));
		const lines: ResultLine[] = [
			{ label: 'Strokes', text: `${exact(need)} for ${inchText(n.wanted!)}`, main: true },
			{ label: 'A stroke', text: `${exact(k * 1000, 0)} mL` },
			{ label: 'One stroke more or less', text: `${inchText(diameterAfter(Math.max(0.01, need - 1), k))} to ${inchText(diameterAfter(need + 1, k))}` },
			...(pairs.length > 1 ? [{ label: 'The two measurements differ by', text: `${exact(apart * 100, 0)} % of the air, ${exact(residual * 1000, 0)} mL on average`, level: apart > 0.2 ? ('watch' as const) : ('good' as const) }] : [])
		]; // prettier-ignore
		if (apart > 0.2) lines.push({ label: 'They contradict each other', text: 'Measure once more: a stroke counted one way and the other is often the reason.', level: 'watch' }); // prettier-ignore
		return {
			lines,
			chart: {
				across: 'strokes',
				up: 'inches',
				series: [{ name: 'size', points: Array.from({ length: most }, (_, i) => [i + 1, diameterAfter(i + 1, k) / IN] as const) }],
				here: [need, n.wanted! / IN]
			},
			say: `at ${Math.max(1, Math.round(need))} strokes`
		}; // prettier-ignore
	},
	formula: 'Air goes with the cube of the size: V = π d³ / 6, and V = k × strokes. One measured pair gives k; of two, k is the least squares fit Σ V s / Σ s².',
	source: 'Volume of a sphere. Common practice: four strokes bring a 5-inch round to about 4½ in.',
	limits: 'For your pump only: pumps differ threefold, and some makers count a push and a pull as one, others as two. Round balloons, not stretched to their neck.'
}; // prettier-ignore

const helium: Calculator = {
	id: 'helium',
	name: 'Helium and weight',
	asks: 'Does it float, what weight holds it, and what does the gas cost?',
	inputs: [
		{ kind: 'choice', name: 'what', label: 'Balloons', start: 'latex', options: [['latex', 'latex rounds, full'], ['foil', 'round foils, by flat width']] },
		{ kind: 'number', name: 'count', label: 'How many', start: '5', min: 1, max: 2000 },
		{ kind: 'length', name: 'size', label: 'Size each', start: '11' },
		mass('skin', 'Each weighs, ribbon and tie too', '4 g'),
		mass('extra', 'What hangs on them', '0 g'),
		temperature('temperature', 'Air there', '68 F'),
		height,
		{ kind: 'number', name: 'price', label: 'Price of a cylinder filling', start: '180', min: 0, max: 100_000 },
		{ kind: 'quantity', name: 'litres', label: 'It gives', start: '145 cu ft', dimension: 'volume', unit: 'cu ft', min: 1, max: 100_000, between: '1 L and 3,500 cu ft' },
		{ kind: 'number', name: 'loss', label: 'Of it lost', start: '10', min: 0, max: 90, unit: '%' }
	],
	work: ({ n, s }) => {
		const each = s.what === 'foil' ? foilLitres(n.size!) : sphereLitres(n.size!) * SHAPE_FACTOR.full;
		const litres = each * n.count!;
		const carried = n.skin! * n.count! + n.extra!;
		const place = { temperature: n.temperature!, height: n.height! };
		const found = float(litres, carried, place);
		const perLitre = heliumCost(n.price!, n.litres!, n.loss! / 100);
		const gas = labelLitres(litres, place);
		const words = { floats: 'It floats', hovers: 'Too close to say', sinks: 'It sinks' } as const;
		const level = { floats: 'good', hovers: 'watch', sinks: 'bad' } as const;
		return {
			lines: [
				{ label: words[found.verdict], text: `${exact(Math.abs(found.net))} g ${found.net >= 0 ? 'left to lift' : 'too heavy'}`, main: true, level: level[found.verdict] },
				{ label: 'Weight that holds it', text: found.weight > 0 ? `${Math.ceil(found.weight)} g, half as much again as it pulls` : 'none is lifted' },
				{ label: 'Each holds', text: `${exact(each)} L and lifts ${exact(each * found.perLitre)} g` },
				{ label: 'A litre lifts there', text: `${exact(found.perLitre, 3)} g` },
				{ label: 'Gas', text: `${exact(gas, 0)} L of the label, ${exact(gas * perLitre, 2)} in money` },
				{ label: 'A filling does', text: `${Math.floor((n.litres! * (1 - n.loss! / 100)) / labelLitres(each, place))} of them` }
			],
			chart: {
				across: 'balloons',
				up: 'grams left to lift',
				series: [{ name: 'net lift', points: Array.from({ length: 12 }, (_, i) => {
					const count = Math.max(1, Math.round((n.count! * (i + 1)) / 6));
					return [count, float(each * count, n.skin! * count + n.extra!, place).net] as const;
				}) }],
				here: [n.count!, found.net]
			},
			...(found.weight > 0 ? { say: `step at site tie a weight of ${Math.ceil(found.weight)} g or more to it` } : {})
		};
	},
	formula: 'Lift = (ρ air − ρ helium) × V, ρ = p M / (R T), p falling with height; net lift is that less balloons, ribbons and what hangs on them. A round foil of flat width 2a holds 1.2185 a³.',
	source: 'R: CODATA 2018. Molar masses and pressure with height: U.S. Standard Atmosphere 1976. Foil: Paulsen, Amer. Math. Monthly 101 (1994). The pear shape of full latex, 1.15 of a sphere, is from memory.',
	limits: 'Pure helium, air and gas equally warm, still air: wind pulls far harder than the gas. The maker’s figures go first. Cylinders stand upright and tied, never loose in a car; helium is never breathed; nothing is released outdoors.'
}; // prettier-ignore

const heat: Calculator = {
	id: 'heat',
	name: 'Heat, cold and height',
	asks: 'I size it here and it goes there: what becomes of it?',
	inputs: [
		{ kind: 'length', name: 'size', label: 'Size here', start: '10½' },
		{ kind: 'length', name: 'safe', label: 'Largest safe size', start: '11' },
		temperature('here', 'Air here', '68 F'),
		temperature('there', 'Air there', '95 F'),
		{ kind: 'choice', name: 'sun', label: 'There it is', start: 'shade', options: [['shade', 'in the shade'], ['light', 'in the sun, light colours'], ['dark', 'in the sun, dark colours']] },
		{ ...height, label: 'Height above the sea there' }
	],
	work: ({ n, s }) => {
		const here = { temperature: n.here!, height: 0 };
		const there = { temperature: inSun(n.there!, s.sun as Sun), height: n.height! };
		const found = heatAdvice(n.size!, n.safe!, here, there);
		const grows = found.volume > 1;
		const lines: ResultLine[] = [
			{
				label: 'Size there',
				text: inchText(found.diameter),
				main: true,
				level: found.verdict === 'safe' ? 'good' : found.verdict === 'over' ? 'watch' : 'bad'
			},
			{ label: 'Its air', text: `${grows ? '+' : '−'}${exact(Math.abs(found.volume - 1) * 100)} %` },
			found.verdict === 'safe'
				? { label: 'Largest size here', text: inchText(found.sizeTo) }
				: { label: 'It may burst', text: `Size it to ${inchText(found.sizeTo)} or less here.`, level: 'bad' as const },
			...(found.softer > 0.005 ? [{ label: 'It looks soft', text: `${exact(found.softer * 100)} % smaller; it comes back when it is warm again`, level: 'watch' as const }] : [])
		];
		const points = Array.from({ length: 17 }, (_, i) => 273.15 - 10 + i * 4);
		return {
			lines,
			chart: {
				across: 'air there, °F',
				up: 'inches',
				series: [
					{ name: 'size', points: points.map((t) => [Math.round(inUnit(t, 'temperature', 'f')), heatAdvice(n.size!, n.safe!, here, { temperature: inSun(t, s.sun as Sun), height: n.height! }).diameter / IN] as const) },
					{ name: 'safe', points: points.map((t) => [Math.round(inUnit(t, 'temperature', 'f')), n.safe! / IN] as const) }
				],
				here: [inUnit(n.there!, 'temperature', 'f'), found.diameter / IN]
			},
			say: `at ${formatInches(um(Math.floor((Math.min(n.size!, found.sizeTo) / IN) * 8) * 3175))}`
		};
	},
	formula: 'V₂ / V₁ = T₂ p₁ / (T₁ p₂), d₂ / d₁ = its cube root, temperatures from absolute zero. In the sun the gas is 15 K warmer than the air, 25 K where it is dark.',
	source: 'Law of ideal gases; pressure with height: U.S. Standard Atmosphere 1976. Warmth in the sun: from memory, differs with wind and colour.',
	limits: 'Latex gives way to pressure; a foil does not and only gets tauter, so it is filled less. Rubber ages fast in sun, ozone and heat, whatever its size. A closed car in summer is hotter than any of this.'
}; // prettier-ignore

const spares: Calculator = {
	id: 'spares',
	name: 'Spares',
	asks: 'How many more do I take so that losses leave enough?',
	inputs: [
		{ kind: 'number', name: 'count', label: 'Needed in the piece', start: '60', min: 1, max: 20_000 },
		{ kind: 'number', name: 'loss', label: 'Lost of a hundred', start: '4', min: 0, max: 90, unit: '%' },
		{ kind: 'number', name: 'service', label: 'Chance that it is enough', start: '95', min: 1, max: 99.9, unit: '%' }
	],
	work: ({ n }) => {
		const [count, loss, service] = [Math.ceil(n.count!), n.loss! / 100, n.service! / 100];
		const need = sparesFor(count, loss, service);
		const chance = (s: number) => binomialAtMost(s, count + s, loss);
		const most = Math.min(60, Math.max(6, need * 2));
		return {
			lines: [
				{ label: 'Spares', text: `${need}, so ${count + need} in all`, main: true },
				{ label: 'That is enough in', text: `${exact(chance(need) * 100)} of a hundred builds` },
				...(need > 0 ? [{ label: 'One fewer', text: `${exact(chance(need - 1) * 100)} of a hundred` }] : []),
				{ label: 'Lost on average', text: exact((count + need) * loss) }
			],
			chart: {
				across: 'spares',
				up: 'enough in % of builds',
				series: [{ name: 'chance', points: Array.from({ length: most + 1 }, (_, s) => [s, chance(s) * 100] as const) }],
				here: [need, chance(need) * 100]
			},
			...(need > 0 ? { say: `step inflate ${need} spare ${need === 1 ? 'balloon' : 'balloons'} last` } : {})
		};
	},
	formula: 'The least s with P(losses among n + s ≤ s) ≥ the chance wanted, losses being binomial.',
	source: 'Binomial distribution.',
	limits: 'Holds where balloons fail one by one. A bad bag, heat or a knock takes many at once: no count of spares covers that.'
}; // prettier-ignore

const margin: Calculator = {
	id: 'margin',
	name: 'Margin and markup',
	asks: 'What price leaves me this margin, and what markup is that?',
	inputs: [
		{ kind: 'number', name: 'cost', label: 'Cost', start: '60', min: 0.01, max: 10_000_000 },
		{ kind: 'choice', name: 'by', label: 'I want a', start: 'margin', options: [['margin', 'margin, of the price'], ['markup', 'markup, on the cost'], ['price', 'price of']] },
		{ kind: 'number', name: 'value', label: 'of', start: '50', min: 0, max: 10_000_000 }
	],
	work: ({ n, s }): Result => {
		const [cost, value] = [n.cost!, n.value!];
		if (s.by === 'margin' && value >= 100)
			return { lines: [{ label: 'No price', text: 'No price leaves a margin of 100 % or more. Type less than 100.', main: true, level: 'bad' }] };
		const price = s.by === 'margin' ? cost / (1 - value / 100) : s.by === 'markup' ? cost * (1 + value / 100) : value;
		if (!(price > 0)) return { lines: [{ label: 'No price', text: 'Type a price above 0.', main: true, level: 'bad' }] };
		const share = (price - cost) / price;
		return {
			lines: [
				{ label: 'Price', text: exact(price, 2), main: true, ...(share < 0 ? { level: 'bad' as const } : {}) },
				{ label: 'Margin, of the price', text: `${exact(share * 100)} %` },
				{ label: 'Markup, on the cost', text: `${exact(((price - cost) / cost) * 100)} %` },
				{ label: share < 0 ? 'Lost' : 'Left', text: exact(price - cost, 2) }
			],
			chart: {
				across: 'markup on the cost, %',
				up: 'margin of the price, %',
				series: [{ name: 'margin', points: Array.from({ length: 21 }, (_, i) => [i * 15, (100 * i * 15) / (100 + i * 15)] as const) }],
				...(share >= 0 && price / cost <= 4 ? { here: [(100 * (price - cost)) / cost, share * 100] as const } : {})
			},
			...(share < 0 ? {} : { say: s.by === 'markup' ? `priced by markup ${exact(value)} %` : `priced by margin ${exact(share * 100)} %` })
		};
	},
	formula: 'Margin = (price − cost) / price; markup = (price − cost) / cost. Price = cost / (1 − margin) = cost × (1 + markup).',
	source: 'Textbook definitions: cost 60, price 100 is a margin of 40 % and a markup of 66⅔ %.',
	limits: 'Before tax and payment fees; cost has to hold your hours and overhead, or the margin is none.'
}; // prettier-ignore

const wind: Calculator = {
	id: 'wind',
	name: 'Wind and ballast',
	asks: 'Does it stand that wind, and how much weight holds it?',
	inputs: [
		{ kind: 'length', name: 'tall', label: 'Height of the piece', start: '6 ft' },
		{ kind: 'length', name: 'wide', label: 'Width of the piece', start: '22 in' },
		{ kind: 'quantity', name: 'weight', label: 'It weighs, with base and weights', start: '12 lb', dimension: 'mass', unit: 'lb', min: 0, max: 1_000_000, between: '0 and 1,000 kg' },
		{ kind: 'length', name: 'base', label: 'Width of the base', start: '18 in' },
		{ kind: 'quantity', name: 'wind', label: 'Mean wind of the forecast', start: '10 mph', dimension: 'speed', unit: 'mph', min: 0, max: 40, between: '0 and 90 mph' },
		{ kind: 'number', name: 'gust', label: 'A gust is so many times that', start: '1.6', min: 1, max: 3 },
		{ kind: 'choice', name: 'ground', label: 'It stands on', start: '0.4', options: FRICTIONS }
	],
	work: ({ n, s }) => {
		const piece = {
			area: (n.tall! * n.wide!) / 1e6,
			middle: n.tall! / 2000,
			weight: n.weight! / 1000,
			toEdge: n.base! / 2000,
			friction: Number(s.ground)
		};
		const gust = n.wind! * n.gust!;
		const found = standsWind(piece, gust);
		const mph = (speed: number) => `${exact(inUnit(speed, 'speed', 'mph'), 0)} mph`;
		const pounds = (kg: number) => `${exact(inPounds(kg))} lb`;
		const most = Math.max(gust * 1.4, found.tipsAt * 1.2, 5);
		return {
			lines: [
				{ label: found.holds ? 'It holds' : 'It does not hold', text: found.holds ? 'with half as much again in hand' : `${pounds(found.more)} more on the base`, main: true, level: found.holds ? 'good' : 'bad' },
				{ label: 'Gust reckoned with', text: `${mph(gust)}, Beaufort ${beaufort(n.wind!)} in the mean` },
				{ label: 'It begins to tip at', text: mph(found.tipsAt), ...(found.tipsAt < gust ? { level: 'bad' as const } : {}) },
				{ label: 'It begins to slide at', text: mph(found.slidesAt), ...(found.slidesAt < gust ? { level: 'bad' as const } : {}) },
				{ label: 'The wind pushes with', text: `${exact(found.force)} N, as ${pounds(found.force / G)} would` },
				{ label: 'Always', text: 'Indicative only: local codes, the venue and qualified people decide.', level: 'watch' }
			],
			chart: {
				across: 'gust, mph',
				up: 'weight needed, lb',
				series: [
					{ name: 'needed', points: Array.from({ length: 16 }, (_, i) => {
						const speed = (most * i) / 15;
						const { more } = standsWind({ ...piece, weight: 0 }, speed);
						return [inUnit(speed, 'speed', 'mph'), inPounds(more)] as const;
					}) },
					{ name: 'it weighs', points: Array.from({ length: 16 }, (_, i) => [inUnit((most * i) / 15, 'speed', 'mph'), inPounds(piece.weight)] as const) }
				],
				here: [inUnit(gust, 'speed', 'mph'), inPounds(piece.weight)]
			},
			say: found.holds
				? `step at site take it down before gusts of ${mph(Math.min(found.tipsAt, found.slidesAt))}`
				: `step at site put ${pounds(found.more)} more on the base`
		};
	},
	formula: 'q = 0.613 v² Pa with v the gust; force = q × 0.47 × height × width; it tips where force × half the height is more than weight × 9.81 × half the base, and slides where it is more than friction × weight. Half as much again is asked for.',
	source: 'Wind pressure: ASCE 7, SI form. Drag of a ball: Hoerner 1965. Beaufort: WMO. The gust of 1.6 times the mean and the frictions are from memory.',
	limits: 'A full silhouette of still balls on level ground: arches, sails, guests and uneven ground are worse. People stand beside it: take it down before the wind comes, not when it is there.'
}; // prettier-ignore

const bands: Calculator = {
	id: 'bands',
	name: 'Bands that nest',
	asks: 'How much longer is each band so that they lie flat round each other?',
	inputs: [
		{ kind: 'length', name: 'inner', label: 'Length of the inner band', start: '30' },
		{ kind: 'length', name: 'outer', label: 'Length of the next one', start: '36' },
		{ kind: 'length', name: 'width', label: 'Thickness of a band', start: '3' },
		{ kind: 'choice', name: 'bend', label: 'Bent over', start: '180', options: [['90', 'a quarter circle'], ['180', 'half a circle'], ['270', 'three quarters'], ['360', 'a full ring']] },
		{ kind: 'number', name: 'count', label: 'Bands in all', start: '4', min: 2, max: 30 }
	],
	work: ({ n, s }) => {
		const angle = (Number(s.bend) * Math.PI) / 180;
		const width = n.width!;
		const { flat, steps } = nesting([{ length: n.inner!, width }, { length: n.outer!, width }], angle);
		const [step] = steps;
		const count = Math.round(n.count!);
		const lengths = Array.from({ length: count }, (_, i) => n.inner! + i * step!.needs);
		return {
			lines: [
				{ label: flat ? 'They lie flat' : 'They fan out', text: flat ? 'the next is long enough' : `the next is ${inchText(step!.short)} short`, main: true, level: flat ? 'good' : 'watch' },
				{ label: 'Each is longer than the one inside by', text: inchText(step!.needs) },
				{ label: `Lengths of ${count}`, text: lengths.slice(0, 6).map(inchText).join(', ') + (count > 6 ? ' …' : '') },
				{ label: 'Together', text: `${exact(lengths.reduce((a, l) => a + l, 0) / IN / 12)} ft` }
			],
			chart: {
				across: 'band, from the inside',
				up: 'inches',
				series: [
					{ name: 'lies flat', points: Array.from({ length: Math.max(5, count) }, (_, i) => [i + 1, (n.inner! + i * step!.needs) / IN] as const) },
					{ name: 'as given', points: Array.from({ length: Math.max(5, count) }, (_, i) => [i + 1, (n.inner! + i * (n.outer! - n.inner!)) / IN] as const) }
				]
			},
			// Up to the quarter inch, so that they do lie flat.
			say: `growing ${formatInches(um(Math.ceil((step!.needs / IN) * 4) * 6350))} bent ${s.bend}`
		};
	},
	formula: 'A band bent over θ runs at its middle; the next one’s middle lies half of both thicknesses farther out, so it is longer by θ (w₁ + w₂) / 2.',
	source: 'Arc of a circle. Half a circle, 3 in thick: 9.42 in a band.',
	limits: 'Bands that keep their thickness when they are bent. Shorter ones do not break: they lift and fan out, which may be what is wanted.'
}; // prettier-ignore

/** The rules of thumb, in the order they are shown. */
export const CALCULATORS: readonly Calculator[] = [strokes, helium, heat, wind, bands, spares, margin];

/** Cutting takes lists and a solver: it has a page of its own. */
const pipe = { id: 'pipe', name: 'Pipe cutting', asks: 'How few sticks do these pieces come out of?' };

const sheets = { id: 'sheets', name: 'Sheet cutting', asks: 'How few sheets do these plates come out of?' };

/** All of them as they are listed. */
export const RULES: readonly Pick<Calculator, 'id' | 'name' | 'asks'>[] = [
	strokes, helium, heat, wind, pipe, sheets, bands, spares, margin
]; // prettier-ignore

/** Sizes of a sizing sheet: strokes of a pump beside the hole. */
export function sizingSheet(k: number | null, sizes: readonly number[]): { size: string; strokes: string }[] {
	return sizes.map((size) => ({
		size: formatInches(inches(size)),
		strokes: k === null ? '—' : exact(strokesFor(size * IN, k))
	}));
}
