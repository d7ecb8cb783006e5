/** The demo's designs, keyed as an owner would key them: one line of the entry line a layer, floor first. */
export interface DemoDesign {
	readonly id: string;
	readonly name: string;
	readonly tags: readonly string[];
	readonly colourway: string;
	/** Names for the slots in place of the colours they were made from. */
	readonly slots: Readonly<Record<string, string>>;
	readonly lines: readonly string[];
	readonly stand?: string;
	/** More colourways: slot name to colour id. */
	readonly also?: Readonly<Record<string, Readonly<Record<string, string>>>>;
	/** A change made after the last keep, for “since last kept”. */
	readonly later?: string;
}

export const demoDesigns: DemoDesign[] = [
	{
		id: 'lighthouse-column',
		name: 'Lighthouse column',
		tags: ['regatta', 'column'],
		colourway: 'harbour day',
		slots: { grey: 'rock', blue: 'sea', white: 'main', red: 'band', amber: 'lamp' },
		lines: [
			'4 16 at 13 limpet grey',
			'4 16 at 12 limpet grey / harbour blue',
			'4 11 at 10½ gull white x2',
			'4 11 at 10 pennant red x2',
			'4 11 at 9½ gull white x2',
			'4 11 at 9 pennant red x2',
			'4 11 at 8½ gull white x2',
			'6 5 at 4½ limpet grey',
			'1 11 at 10 lamp amber',
			'pole 8 ft',
			'1 lamp light'
		],
		stand: 'stand-8',
		also: {
			'evening swim': {
				rock: 'midnight',
				sea: 'shallows',
				main: 'foam',
				band: 'harbour-blue',
				lamp: 'lamp-amber'
			}
		}
	},
	{
		id: 'hive-column',
		name: 'Hive column',
		tags: ['beekeepers', 'column'],
		colourway: 'honey',
		slots: { gold: 'hive', brown: 'door', cream: 'comb' },
		lines: [
			'4 16 at 12 hive gold',
			'4 11 at 10½ blocks 2 hive gold / 1 foam cream x6',
			'4 11 at 9½ blocks 1 hive gold / 1 crust brown x2',
			'4 11 at 8½ hive gold x2',
			'3 11 at 7 hive gold',
			'1 5 at 4½ crust brown',
			'pole 8 ft',
			'4 card bee'
		],
		stand: 'stand-8',
		also: { dusk: { hive: 'crust', door: 'mussel', comb: 'hive-gold' } }
	},
	{
		id: 'kelp-column',
		name: 'Kelp column',
		tags: ['deep sea', 'column'],
		colourway: 'low tide',
		slots: { green: 'frond', eelgrass: 'blade', shallows: 'light' },
		lines: [
			'4 11 at 10 spiral left kelp / kelp / eelgrass / shallows x14',
			'4 5 at 4½ checker kelp / eelgrass x2',
			'pole 9 ft',
			'2 dried reeds'
		],
		stand: 'stand-9'
	},
	{
		id: 'toadstool-figure',
		name: 'Toadstool figure',
		tags: ['garden', 'figure'],
		colourway: 'wet wood',
		slots: { cream: 'stalk', red: 'cap', white: 'spots', eelgrass: 'grass' },
		lines: [
			'6 5 at 4 eelgrass',
			'4 11 at 9 foam cream x2',
			'4 11 at 8 foam cream x2',
			'8 11 at 10½ pennant red + 4 11 at 8 pennant red tier 1',
			'6 11 at 9½ pennant red',
			'4 5 at 4½ gull white',
			'1 24 at 18 pennant red',
			'1 moss mat'
		]
	},
	{
		id: 'watering-can-column',
		name: 'Watering-can column',
		tags: ['garden', 'column'],
		colourway: 'rain barrel',
		slots: { grey: 'can', blue: 'water', eelgrass: 'leaf' },
		lines: [
			'5 16 at 12½ limpet grey',
			'5 11 at 10½ limpet grey x3',
			'5 11 at 10 rings harbour blue / limpet grey x4',
			'4 11 at 9 eelgrass + 4 5 at 4 harbour blue tier 1',
			'2 11 at 8 to 9 eelgrass',
			'stick 7 ft'
		],
		stand: 'stick-7'
	},
	{
		id: 'tide-gauge-pole',
		name: 'Tide-gauge pole',
		tags: ['regatta', 'pole'],
		colourway: 'gauge',
		slots: { white: 'board', black: 'marks', orange: 'float' },
		lines: [
			'4 9 at 8 gull white / mussel black / gull white / mussel black',
			'2 11 at 8½ checker gull white / mussel black x16',
			'4 11 at 9 buoy orange',
			'1 11 at full gull white',
			'pole 9 ft',
			'1 gauge numerals'
		],
		stand: 'stand-9',
		later: '1 5 at 4½ buoy orange'
	},
	{
		id: 'octopus-figure',
		name: 'Octopus figure',
		tags: ['deep sea', 'figure'],
		colourway: 'reef',
		slots: { pink: 'skin', white: 'eyes' },
		lines: [
			'8 11 at 10 thrift pink',
			'6 11 at 9 thrift pink',
			'5 11 at 8 thrift pink',
			'1 36 at 26 thrift pink',
			'section arm x2 mirrored left of column',
			'1 11 at 9 thrift pink',
			'1 11 at 8 thrift pink',
			'1 5 at 4½ gull white',
			'section fore arm x2 mirrored front of column',
			'1 11 at 8 thrift pink',
			'1 11 at 7 thrift pink'
		],
		also: { lagoon: { skin: 'shallows' } }
	},
	{
		id: 'regatta-gate',
		name: 'Regatta gate',
		tags: ['regatta', 'gate'],
		colourway: 'as its columns',
		slots: {},
		lines: ['use lighthouse column x2 mirrored gap 5 ft']
	}
];
