import type { Colour } from '../../src/lib/core/materials/material.ts';

/** Colours of the house, by names of the house. */
const colour = (id: string, name: string, hex: string, finish: Colour['finish'] = 'matte'): Colour => ({
	id,
	name,
	finish,
	hex
});

/** What is in the assorted bag: as much of each. */
const REGATTA = [
	['pennant-red', '#c63d2f'],
	['harbour-blue', '#2c6e91'],
	['hive-gold', '#e5a92f'],
	['gull-white', '#f2f0ea'],
	['kelp', '#3f6b3a']
] as const;

export const colours: Colour[] = [
	colour('gull-white', 'gull white', '#f2f0ea'),
	colour('foam', 'foam cream', '#efe3c8'),
	colour('limpet-grey', 'limpet grey', '#6b747d'),
	colour('harbour-blue', 'harbour blue', '#2c6e91'),
	colour('shallows', 'shallows', '#8fc9d3'),
	colour('midnight', 'lamp-out navy', '#232c4c'),
	colour('buoy-orange', 'buoy orange', '#e8702a'),
	colour('pennant-red', 'pennant red', '#c63d2f'),
	colour('hive-gold', 'hive gold', '#e5a92f'),
	colour('hive-gold-mirror', 'hive gold', '#d29a2b', 'mirror'),
	colour('lamp-amber', 'lamp amber', '#f3b530', 'see-through'),
	colour('kelp', 'kelp green', '#3f6b3a'),
	colour('eelgrass', 'eelgrass', '#8aa84b'),
	colour('crust', 'crust brown', '#9a6a3c'),
	colour('slate-pearl', 'wet slate', '#4c5560', 'pearl'),
	colour('mussel', 'mussel black', '#22242a'),
	colour('thrift', 'thrift pink', '#e39bb0'),
	colour('clear-tide', 'clear tide', '#d3e9ea', 'see-through'),
	{
		...colour('regatta', 'regatta assorted', '#c63d2f'),
		of: REGATTA.map(([id, hex]) => ({ colour: id, parts: 1, hex }))
	}
];
