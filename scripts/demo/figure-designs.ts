import type { DemoDesign } from './design.ts';

/** Figures with limbs that go round something, over to something, or carry something at their ends. */
export const figureDesigns: DemoDesign[] = [
	{
		id: 'deep-sea-diver',
		name: 'Deep-sea diver',
		tags: ['deep sea', 'figure'],
		colourway: 'harbour bed',
		slots: { orange: 'suit', grey: 'boots', gold: 'helmet', tide: 'window', black: 'hose' },
		lines: [
			'4 11 at 8 limpet grey',
			'4 11 at 9 buoy orange',
			'4 11 at 9½ buoy orange',
			'4 11 at 9½ buoy orange',
			'4 11 at 8½ buoy orange',
			'1 16 at 14 hive gold',
			'put 1 11 at 7 shallows as window on top row front with glue',
			'put 1 5 at 3½ mussel black as valve on top row back with glue',
			'form limbs on column',
			'1 260 mussel black belt as belt on row 3 round',
			'1 360 buoy orange 20 as left arm on row 5 left',
			'1 360 buoy orange 20 as right arm on row 5 right',
			'put 1 5 at 4½ limpet grey as left glove on left arm with tie',
			'put 1 5 at 4½ limpet grey as right glove on right arm with tie',
			'form hose on column',
			'1 260 mussel black twined 2 as air hose on row 2 back',
			'put 3 5 at 3 limpet grey as weights on row 3 front with glue'
		],
		roles: { suit: 'main', helmet: 'pop', hose: 'accent' }
	},
	{
		id: 'mooring-bollard',
		name: 'Mooring bollard',
		tags: ['regatta', 'plinth'],
		colourway: 'harbour day',
		slots: { grey: 'iron', black: 'cap', white: 'rope' },
		lines: [
			'6 11 at 9 limpet grey',
			'5 11 at 9 limpet grey',
			'5 11 at 9 limpet grey',
			'1 16 at 15 mussel black',
			'form rope on column',
			'1 260 gull white belt as rope on row 2 round',
			'1 260 gull white / harbour blue belt as rope end on row 1 round',
			'1 260 gull white 30 folded as bight on row 2 front'
		],
		roles: { iron: 'main', cap: 'second', rope: 'accent' }
	},
	{
		id: 'bee-skep',
		name: 'Bee skep',
		tags: ['beekeepers', 'plinth'],
		colourway: 'honey',
		slots: { gold: 'straw', brown: 'bands', black: 'door' },
		lines: [
			'8 11 at 9½ hive gold',
			'7 11 at 9½ hive gold',
			'6 11 at 9 hive gold',
			'4 11 at 8½ hive gold',
			'1 16 at 12 hive gold',
			'put 1 11 at 7 mussel black as door on row 1 front with glue',
			'form bands on column',
			'1 260 crust brown belt as lower band on row 2 round',
			'1 260 crust brown belt as upper band on row 3 round',
			'form loop on column',
			'1 260 crust brown 14 trained as loop on row 5 place 1 up left to row 5 place 1 up right'
		],
		roles: { straw: 'main', bands: 'accent' }
	},
	{
		id: 'lantern-fish',
		name: 'Lantern fish',
		tags: ['deep sea', 'figure'],
		colourway: 'harbour bed',
		slots: { navy: 'skin', blue: 'face', gold: 'lamp', white: 'eyes', black: 'pupils' },
		lines: [
			'4 11 at 8 lamp-out navy',
			'6 11 at 10 lamp-out navy',
			'5 11 at 10 lamp-out navy',
			'1 16 at 14 harbour blue',
			'put 2 5 at 4½ gull white as eyes on top row front with patch and strip',
			'put 2 5 at 2 mussel black as pupils on eyes with glue',
			'form fins on column',
			'1 260 mussel black 20 trained as rod on row 4 place 1 up',
			'2 260 harbour blue 30 folded as left fin on row 3 left',
			'2 260 harbour blue 30 folded as right fin on row 3 right',
			'put 1 5 at 4 hive gold as lamp on rod with tie'
		],
		roles: { skin: 'main', lamp: 'pop', eyes: 'accent' }
	},
	{
		id: 'regatta-mast',
		name: 'Regatta mast',
		tags: ['regatta', 'column'],
		colourway: 'harbour day',
		slots: { grey: 'deck', white: 'mast', blue: 'ribbon', red: 'pennant' },
		lines: [
			'4 16 at 12 limpet grey',
			'4 11 at 9 gull white x10',
			'1 11 at 10 pennant red',
			'pole 8 ft',
			'form ribbons on column',
			'2 260 harbour blue / gull white twined 3 as ribbon on row 2 front',
			'section pennant right of column at 5 ft',
			'3 5 at 4 pennant red',
			'2 5 at 4 pennant red',
			'1 5 at 4 pennant red',
			'pennant optional when there is no wind',
			'ribbons made 1 days before'
		],
		stand: 'stand-8',
		roles: { mast: 'main', ribbon: 'second', pennant: 'pop' }
	},
	{
		id: 'gull-on-a-post',
		name: 'Gull on a post',
		tags: ['regatta', 'figure'],
		colourway: 'harbour day',
		slots: { brown: 'post', white: 'gull', black: 'eyes' },
		lines: [
			'2 11 at 5 crust brown filled with 200 g sand twisted in two',
			'2 11 at 5 crust brown twisted in two',
			'2 11 at 5 crust brown twisted in two',
			'1 16 at 11 gull white',
			'1 11 at 7 gull white',
			'put 2 5 at 2 mussel black as eyes on top row front with glue',
			'form limbs on column',
			'1 260 gull white 20 folded as left wing on row 4 left',
			'1 260 gull white 20 folded as right wing on row 4 right',
			'1 260 crust brown belt as rope on row 2 round'
		],
		roles: { post: 'second', gull: 'main' }
	},
	{
		id: 'lobster-pot',
		name: 'Lobster pot',
		tags: ['regatta', 'weave'],
		colourway: 'harbour day',
		slots: { brown: 'lath', white: 'knots', red: 'floats' },
		lines: [
			'weave pot',
			'cage of 10 links at 9, 4 by 3 with 1 cross pieces, 3 rings posts 1 every 2 over 1',
			'rows 14 crust brown',
			'joined with 5 at 2 gull white',
			'bays of 11 at 7 pennant red',
			'strings first',
			'2 sandbag'
		],
		roles: { lath: 'main', floats: 'pop' }
	},
	{
		id: 'regatta-net',
		name: 'Net of all pennants',
		tags: ['regatta', 'weave'],
		colourway: 'all pennants',
		slots: { assorted: 'pennants', white: 'knots' },
		lines: [
			'weave net',
			'panel of 10 links at 9',
			'6 rows 9 regatta assorted',
			'joined with 5 at 2 gull white',
			'ribbons of 2 first',
			'bent over 5 ft',
			'hung on hooks every 2 ft with wall hook'
		],
		roles: { pennants: 'main', knots: 'accent' }
	},
	{
		id: 'bell-buoy',
		name: 'Bell buoy',
		tags: ['regatta', 'figure'],
		colourway: 'harbour day',
		slots: { red: 'hull', white: 'stripe', gold: 'bells', black: 'arms' },
		lines: [
			'6 16 at 12 pennant red',
			'5 11 at 10 gull white',
			'4 11 pennant red as below − ½',
			'4 11 gull white as below − 1',
			'1 11 at 9 hive gold',
			'form arms on column',
			'1 260 mussel black 14 as left arm on row 4 left',
			'1 260 mussel black 14 as right arm on row 4 right',
			'section left bell on left arm down',
			'1 5 at 2 mussel black',
			'1 11 at 6 hive gold',
			'section right bell on right arm down',
			'1 5 at 2 mussel black',
			'1 11 at 6 hive gold',
			'put 1 5 at 4 hive gold as lamp on column row 5 place 1 up with trial loop then glue'
		],
		roles: { hull: 'main', stripe: 'second', bells: 'pop' }
	},
	{
		id: 'comet-between-bells',
		name: 'Comet between two bells',
		tags: ['observatory', 'figure'],
		colourway: 'planet night',
		slots: { gold: 'bells', black: 'clappers', white: 'tail' },
		lines: [
			'8 11 at 9 hive gold',
			'6 11 at 9½ hive gold',
			'5 11 at 9 hive gold',
			'4 11 at 8 hive gold',
			'1 11 at 9 hive gold',
			'1 sandbag serving column row 1',
			'section right bell right of column gap 34 in',
			'8 11 at 9 hive gold like column row 1',
			'6 11 at 9½ hive gold like column row 2',
			'5 11 at 9 hive gold like column row 3',
			'4 11 at 8 hive gold like column row 4',
			'1 11 at 9 hive gold like column row 5',
			'put 1 5 at 4 mussel black as left clapper on column row 1 front',
			'put 1 5 at 4 mussel black as right clapper on right bell row 1 front',
			'put 1 16 at 12 gull white as comet on column row 5 place 1 up right',
			'form tail on column',
			'1 260 gull white 52 as high tail on comet right to right bell row 5 left',
			'1 260 hive gold 56 as middle tail on comet front to right bell row 4 left',
			'1 260 gull white 59 as low tail on comet down right to right bell row 3 left'
		],
		roles: { bells: 'main', tail: 'second', clappers: 'accent' }
	}
];
