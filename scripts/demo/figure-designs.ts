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
	}
];
