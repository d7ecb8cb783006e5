import { inches } from '../../src/lib/core/units/length.ts';
import { colours } from './colours.ts';
import {
	BUOY,
	round,
	row,
	shared,
	modelling,
	link,
	foil,
	shaped,
	foilLetter,
	ELEVENS,
	FIVES,
	SIXTEENS,
	type StockRow
} from './stock-row.ts';

export { colours };
export { suppliers } from './stock-row.ts';

/** The Stockroom of the invented studio Puddlelark Balloons, in the invented town of Tidewick. */
export const stockRows: StockRow[] = [
	...ELEVENS.map((c, i) => round(11, c, i % 3 === 0 ? 'gannet' : 'quayside', 100, 1650 + (i % 4) * 45)),
	...FIVES.map((c, i) => round(5, c, i % 2 === 0 ? 'quayside' : 'gannet', 100, 820 + (i % 3) * 30, '3/100')),
	...SIXTEENS.map((c, i) => round(16, c, 'gannet', 50, 2380 + (i % 3) * 90, '1/20')),
	round(9, 'gull-white', 'quayside', 100, 1390),
	round(9, 'hive-gold', 'quayside', 100, 1420),
	round(9, 'foam', 'quayside', 100, 1390),
	round(9, 'mussel', 'quayside', 100, 1410),
	round(9, 'pennant-red', 'quayside', 100, 1420),
	round(9, 'crust', 'quayside', 100, 1420),
	round(12, 'pennant-red', 'quayside', 50, 1190),
	round(24, 'crust', 'gannet', 10, 1480, '1/20'),
	round(36, 'pennant-red', 'gannet', 5, 1725, '1/20'),
	round(16, 'foam', 'gannet', 50, 2380, '1/20'),
	round(11, 'hive-gold-mirror', 'gannet', 50, 1990, '3/50'),
	round(11, 'lamp-amber', 'gannet', 50, 1050),
	round(16, 'slate-pearl', 'gannet', 50, null),
	round(24, 'pennant-red', 'gannet', 10, 1480, '1/20'),
	round(24, 'gull-white', 'gannet', 10, 1450, '1/20'),
	round(36, 'thrift', 'gannet', 5, 1725, '1/20'),
	row(
		'tie-260',
		'modelling',
		'260 modelling balloon, clear',
		{ supplier: 'quayside', count: 100, priceMinor: 1130 },
		{ loss: '1/50', mark: '260', grams: 1.4 }
	),
	row('patch', 'adhesive', 'floor patch, felt', { supplier: 'ropewalk', count: 200, priceMinor: 780 }),
	row('dash', 'adhesive', 'adhesive dash', { supplier: 'quayside', count: 500, priceMinor: 640 }),
	row('strip', 'adhesive', 'adhesive strip, half-inch', {
		supplier: 'quayside',
		count: 100,
		priceMinor: 420
	}),
	row('glue', 'adhesive', 'glue dab, low-temp', { supplier: 'ropewalk', count: 400, priceMinor: 560 }),
	row('tape', 'adhesive', 'tape patch, clear', { supplier: 'quayside', count: 250, priceMinor: 390 }),
	row(
		'stake',
		'weight',
		'ground stake',
		{ supplier: 'ropewalk', count: 1, priceMinor: 320 },
		shared(50, 0, 2)
	),
	row('line', 'tie', 'soft line', { supplier: 'ropewalk', count: 300, priceMinor: 690 }, { unit: 'ft' }),
	row(
		'stand-8',
		'base',
		'stand with 8 ft pole',
		{ supplier: 'ropewalk', count: 1, priceMinor: 8400 },
		shared(40, 800, 20)
	),
	row(
		'stand-5',
		'base',
		'stand with 5 ft pole',
		{ supplier: 'ropewalk', count: 1, priceMinor: 6600 },
		shared(40, 600, 20)
	),
	row(
		'stand-9',
		'base',
		'stand with 9 ft pole',
		{ supplier: 'ropewalk', count: 1, priceMinor: 11_900 },
		shared(40, 1200, 30)
	),
	row('screw', 'fitting', 'wood screw, 1 in', { supplier: 'ropewalk', count: 200, priceMinor: 690 }),
	row('stick-cup', 'fitting', 'stick cup, glued', { supplier: 'ropewalk', count: 50, priceMinor: 1150 }),
	row('tissue', 'accent', 'tissue, sheet', { supplier: 'gannet', count: 48, priceMinor: 720 }),
	row(
		'cake-box',
		'base',
		'card box with lid',
		{ supplier: 'gannet', count: 12, priceMinor: 2160 },
		{ grams: 240 }
	),
	row('stick-3', 'pipe', 'stick, 3 ft dowel', { supplier: 'ropewalk', count: 10, priceMinor: 1250 }),
	row('stick-7', 'pipe', 'stick, 7 ft dowel', { supplier: 'ropewalk', count: 10, priceMinor: 1590 }),
	row(
		'sandbag',
		'weight',
		'sandbag, 8 lb',
		{ supplier: 'ropewalk', count: 1, priceMinor: 1450 },
		{ ...shared(60, 0, 5), grams: 3629 }
	),
	row('water-weight', 'weight', 'water weight, 16 in inside', {
		supplier: 'quayside',
		count: 50,
		priceMinor: 900
	}),
	row('moss', 'accent', 'moss mat', { supplier: 'gannet', count: 6, priceMinor: 2340 }),
	row('lamp-light', 'accent', 'lamp light, battery', { supplier: 'ropewalk', count: 4, priceMinor: 1880 }),
	row('reed', 'accent', 'dried reeds, bunch', { supplier: 'gannet', count: 3, priceMinor: 1575 }),
	row('bee-card', 'accent', 'card bee', { supplier: 'gannet', count: 12, priceMinor: 960 }),
	row('numeral-card', 'accent', 'gauge numerals, card set', {
		supplier: 'ropewalk',
		count: 1,
		priceMinor: 550
	}),
	row(
		'ribbon-blue',
		'ribbon',
		'ribbon, harbour blue',
		{ supplier: 'quayside', count: 100, priceMinor: 840 },
		{ unit: 'ft' }
	),
	row(
		'star-18',
		'foil-star',
		'foil star 18 in, hive gold',
		{ supplier: 'gannet', count: 5, priceMinor: 995 },
		{ nominal: inches(18), colour: 'hive-gold', loss: '1/50' }
	),
	row(
		'round-18',
		'foil-round',
		'foil round 18 in, thrift pink',
		{ supplier: 'gannet', count: 5, priceMinor: 935 },
		{ nominal: inches(18), colour: 'thrift', loss: '1/50' }
	),
	round(24, 'clear-tide', 'gannet', 10, 1890, '1/20'),
	round(11, 'regatta', 'quayside', 100, 1540),
	...['thrift', 'hive-gold', 'mussel', 'crust', 'eelgrass', 'gull-white'].map((c) =>
		modelling('260', c, 100, 1210)
	),
	modelling('360', 'buoy-orange', 50, 990),
	modelling('360', 'gull-white', 50, 990),
	modelling('260', 'harbour-blue', 100, 1210),
	modelling('160', 'mussel', 100, 1090),
	...['pennant-red', 'harbour-blue', 'gull-white', 'hive-gold', 'mussel', 'crust', 'regatta'].map((c) =>
		link(10, c)
	),
	row(
		'deco-strip',
		'tie',
		'decorating strip',
		{ supplier: 'quayside', count: 25, priceMinor: 310 },
		{ unit: 'ft' }
	),
	// prettier-ignore
	row('tube-1', 'pipe', 'white tube, inch', { supplier: 'ropewalk', count: 10, priceMinor: 520 }, { unit: 'ft', ...shared(30, 0, 0) }),
	// prettier-ignore
	row('conduit-half', 'pipe', 'thin conduit', { supplier: 'ropewalk', count: 10, priceMinor: 690 }, { unit: 'ft', ...shared(60, 0, 0) }),
	// prettier-ignore
	row('ply-sheet', 'base', 'plywood sheet', { supplier: 'ropewalk', count: 32, priceMinor: 5800 }, { unit: 'sq ft', ...shared(60, 0, 0), grams: 1020 }),
	// prettier-ignore
	row('ply-plate', 'base', 'plywood plate with flange', { supplier: 'ropewalk', count: 1, priceMinor: 1850 }, { ...shared(60, 0, 10), grams: 2400 }),
	...(
		[
			['elbow', 90],
			['tee', 120],
			['cross', 210],
			['corner', 240],
			['four-way', 290],
			['coupling', 60],
			['cap', 45]
		] as const
	).map(([name, priceMinor]) =>
		row(
			`tube-${name}`,
			'fitting',
			`tube ${name}, inch`,
			{ supplier: 'ropewalk', count: 1, priceMinor },
			shared(30, 0, 0)
		)
	),
	row('wall-hook', 'fitting', 'wall hook, takes off clean', {
		supplier: 'ropewalk',
		count: 24,
		priceMinor: 890
	}),
	row(
		'backdrop-8',
		'base',
		'backdrop frame, 8 ft',
		{ supplier: 'ropewalk', count: 1, priceMinor: 9800 },
		shared(40, 900, 40)
	),
	row(
		'arch-frame',
		'base',
		'arch frame, jointed',
		{ supplier: 'ropewalk', count: 1, priceMinor: 13_600 },
		shared(40, 1500, 50)
	),
	row(
		'fishing-line',
		'tie',
		'fishing line',
		{ supplier: 'ropewalk', count: 300, priceMinor: 450 },
		{ unit: 'ft' }
	),
	...['T', 'I', 'D', 'E', 'W', 'C', 'K'].map((letter) => foilLetter(letter, 'harbour-blue')),
	shaped('moon-18', 'foil moon 18 in, foam cream', 'foam', 18, 'crescent'),
	foil('planet-18-blue', 'foil planet 18 in, harbour blue', 'harbour-blue', 18),
	foil('planet-18-red', 'foil planet 18 in, pennant red', 'pennant-red', 18),
	row(
		'buoy-30',
		'foil-shape',
		'foil buoy 30 in, two chambers',
		{ supplier: 'gannet', count: 1, priceMinor: 540 },
		{
			nominal: inches(30),
			colour: 'buoy-orange',
			loss: '1/50',
			litres: 42,
			grams: 38,
			chambers: 2,
			outline: BUOY
		}
	),
	row(
		'helium',
		'gas',
		'helium, large cylinder',
		{ supplier: 'gannet', count: 4100, priceMinor: 18_500 },
		{ unit: 'L', loss: '1/10' }
	),
	row('paint-sea', 'paint', 'balloon paint, sea mist', { supplier: 'ropewalk', count: 1, priceMinor: 980 }),
	row('sand', 'weight', 'dry sand', { supplier: 'ropewalk', count: 15, priceMinor: 620 }, { unit: 'L' }),
	row(
		'marbles',
		'weight',
		'glass marbles',
		{ supplier: 'ropewalk', count: 2, priceMinor: 740 },
		{ unit: 'L' }
	),
	row(
		'ribbon-gold',
		'ribbon',
		'ribbon, hive gold',
		{ supplier: 'quayside', count: 100, priceMinor: 840 },
		{ unit: 'ft', colour: 'hive-gold', grams: 0.3 }
	),
	row('comet-card', 'accent', 'card comet', { supplier: 'gannet', count: 12, priceMinor: 960 }, { grams: 6 }),
	row('bag-large', 'packaging', 'transport bag, large', { supplier: 'quayside', count: 25, priceMinor: 1375 })
];
