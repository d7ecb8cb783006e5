import type { DemoDesign } from './design.ts';
import { figureDesigns } from './figure-designs.ts';
import { frameDesigns } from './frame-designs.ts';
import { longDesigns } from './long-designs.ts';

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
			'step at site fill the base with water, then stand the column on it',
			'1 lamp light optional',
			'1 sandbag or 4 ground stakes',
			'1 transport bag taken along',
			'size 5 ft',
			'size 6 ft'
		],
		roles: { rock: 'base', main: 'main', band: 'second', lamp: 'topper' },
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
		also: {
			dusk: { hive: 'crust', door: 'mussel', comb: 'hive-gold' },
			'white comb': { hive: 'foam', door: 'crust', comb: 'gull-white' },
			'kelp honey': { hive: 'kelp', door: 'mussel', comb: 'hive-gold' }
		},
		roles: { hive: 'main', comb: 'second', door: 'pop' }
	},
	{
		id: 'kelp-column',
		name: 'Kelp column',
		tags: ['deep sea', 'column'],
		colourway: 'low tide',
		slots: { green: 'frond', eelgrass: 'blade', shallows: 'light' },
		lines: [
			'frame foot',
			'post 9 ft',
			'of white tube, inch',
			'on plywood sheet 30 in',
			'used 40 times',
			'section kelp over foot',
			'4 11 at 10 spiral left kelp / kelp / eelgrass / shallows x14',
			'4 5 at 4½ checker kelp / eelgrass x2',
			'no pole',
			'2 to 4 dried reeds',
			'1 ribbon harbour left over'
		],
		roles: { frond: 'main', blade: 'second', light: 'pop' }
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
			'1 24 at 18 pennant red',
			'put 5 5 at 3 gull white as spots on row 4 round, 3 on row 5 front, 2 on top row front with glue',
			'1 moss mat',
			'1 water weight',
			'size small 2½ ft scaled',
			'size large 5 ft scaled'
		],
		also: { 'autumn, without grass': { cap: 'crust', stalk: 'foam', spots: 'gull-white' } },
		without: { 'autumn, without grass': ['grass'] },
		roles: { cap: 'main', stalk: 'second', spots: 'pop', grass: 'base' },
		credit: 'after the studio’s own garden figures, changed in the cap'
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
			'stick 7 ft',
			'2 water weight'
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
		id: 'octopus-arm',
		name: 'Octopus arm',
		tags: ['deep sea', 'part'],
		colourway: 'reef',
		slots: { pink: 'skin', white: 'suckers' },
		lines: [
			'1 11 at 9 thrift pink',
			'1 11 at 8 thrift pink',
			'1 11 at 6½ thrift pink',
			'put 1 5 at 2½ gull white as sucker on row 1 front, 1 on row 2 front with glue'
		],
		also: { lagoon: { skin: 'shallows' } }
	},
	{
		id: 'octopus-figure',
		name: 'Octopus figure',
		tags: ['deep sea', 'figure'],
		colourway: 'reef',
		slots: { pink: 'skin', white: 'eyes', black: 'pupils' },
		lines: [
			'8 11 at 10 thrift pink',
			'6 11 at 9 thrift pink',
			'5 11 at 8 thrift pink',
			'1 36 at 26 thrift pink',
			'use octopus arm x8 round column',
			'put 2 5 at 4½ gull white as eyes on top row front with patch and strip',
			'put 2 5 at 2 mussel black as pupils on eyes with glue',
			'each dab of glue takes 2 glue dab',
			'step lay the eight arms out in pairs on the floor before the first one is set',
			'form curls on column',
			'6 260 thrift pink 48 wound as curl on row 2 round'
		],
		also: { lagoon: { skin: 'shallows' } },
		roles: { skin: 'main', eyes: 'pop', pupils: 'accent' }
	},
	{
		id: 'bee-figure',
		name: 'Bee figure',
		tags: ['beekeepers', 'figure'],
		colourway: 'worker',
		slots: { gold: 'stripe', black: 'band', white: 'wing' },
		lines: [
			'4 11 at 8 hive gold',
			'5 11 at 9 mussel black',
			'5 11 at 10 hive gold',
			'5 11 at 9½ mussel black',
			'4 11 at 8½ hive gold',
			'1 16 at 13 hive gold',
			'put 2 5 at 3½ gull white as eyes on top row front with strip',
			'put 2 5 at 2½ mussel black as feelers on top row round with glue',
			'section wing x2 mirrored left of column at row 4',
			'1 16 at 13 gull white',
			'1 11 at 9 gull white',
			'form limbs on column',
			'6 260 mussel black 24 wound softened as leg on column row 2 round',
			'1 160 mussel black 9 trained part used as feeler on column top row left',
			'1 160 mussel black 9 trained part used as feeler on column top row right'
		],
		roles: { stripe: 'main', band: 'second', wing: 'pop' }
	},
	{
		id: 'ringed-planet',
		name: 'Ringed planet',
		tags: ['observatory', 'topper'],
		colourway: 'planet night',
		slots: { blue: 'planet', gold: 'ring' },
		lines: ['1 16 at 14 harbour blue', 'put 14 5 at 3½ hive gold as ring on row 1 round with glue'],
		also: { ember: { planet: 'pennant-red', ring: 'foam' } },
		roles: { planet: 'main', ring: 'pop' }
	},
	{
		id: 'comet',
		name: 'Comet',
		tags: ['observatory', 'topper'],
		colourway: 'planet night',
		slots: { gold: 'head' },
		lines: ['1 11 at 10 hive gold', 'put 1 foil star as tail star on row 1 place 1 up right with tie']
	},
	{
		id: 'observatory-column',
		name: 'Observatory column',
		tags: ['observatory', 'column'],
		colourway: 'planet night',
		slots: { navy: 'sky', shallows: 'glow' },
		lines: [
			'4 16 at 12½ limpet grey',
			'4 11 at 10 spiral left lamp-out navy / lamp-out navy / lamp-out navy / shallows x7',
			'6 5 at 4½ limpet grey',
			'pole 8 ft',
			'use ringed planet on column swappable'
		],
		stand: 'stand-8',
		roles: { sky: 'main', glow: 'pop' }
	},
	{
		id: 'orbit-plinth',
		name: 'Orbit plinth',
		tags: ['observatory', 'plinth'],
		colourway: 'planet night',
		slots: { navy: 'sky', blue: 'edge' },
		lines: [
			'8 11 at 10 lamp-out navy',
			'6 11 at 9 harbour blue',
			'3 11 at 9 harbour blue with 2 11 at 6½ lamp-out navy',
			'use ringed planet on column swappable'
		]
	},
	{
		id: 'planet-gate',
		name: 'Planet gate',
		tags: ['observatory', 'gate'],
		colourway: 'planet night',
		slots: { navy: 'sky', shallows: 'glow' },
		stand: 'stand-8',
		lines: [
			'section post x2 mirrored gap 6 ft',
			'4 16 at 12 limpet grey',
			'4 11 at 9½ checker lamp-out navy / shallows x9',
			'pole 7 ft',
			'use ringed planet on post swappable'
		]
	},
	{
		id: 'regatta-gate',
		name: 'Regatta gate',
		tags: ['regatta', 'gate'],
		colourway: 'as its columns',
		slots: {},
		lines: ['use lighthouse column x2 mirrored gap 5 ft', 'size 6 ft', 'size 5 ft'],
		parts: {
			'6 ft': { 'Lighthouse column': '6 ft' },
			'5 ft': { 'Lighthouse column': '5 ft' }
		}
	},
	{
		id: 'jellyfish-bunch',
		name: 'Jellyfish bunch',
		tags: ['deep sea', 'bunch'],
		colourway: 'lagoon',
		slots: { tide: 'bell', pink: 'heart', white: 'foot' },
		lines: [
			'bunch jellyfish',
			'weight 5 at 4 gull white filled with sand',
			'1 24 at 22 clear tide filled with 11 at 7 thrift pink in helium on 7 ft ribbon harbour as bell',
			'form tentacles on jellyfish',
			'6 260 thrift pink 40 trained as tentacle on bell'
		],
		roles: { bell: 'main', heart: 'second' }
	},
	{
		id: 'buoy-bunch',
		name: 'Buoy bunch',
		tags: ['regatta', 'bunch'],
		colourway: 'fairway',
		slots: { orange: 'buoy', white: 'foam' },
		lines: [
			'bunch buoy',
			'weight sandbag',
			'3 11 at full buoy orange in helium on 5 ft ribbon harbour as marks',
			'2 11 at full gull white in helium on 5½ ft ribbon harbour as spray',
			'1 foil buoy in helium on 6 ft ribbon harbour as buoy swappable'
		],
		roles: { buoy: 'main', foam: 'second' }
	},
	{
		id: 'planets-bunch',
		name: 'Planets bunch',
		tags: ['observatory', 'bunch'],
		colourway: 'planet night',
		slots: { navy: 'sky', gold: 'sun' },
		lines: [
			'bunch planets',
			'weight sandbag',
			'1 16 at 15½ hive gold in helium on 4 ft ribbon gold as sun',
			'3 11 at full lamp-out navy in helium on 5 ft ribbon gold as sky',
			'2 foil planet harbour in helium on 6 ft ribbon gold as blue planet swappable',
			'1 foil moon in helium on 7 ft ribbon gold as moon',
			'1 card comet'
		],
		roles: { sun: 'pop', sky: 'main' }
	},
	...longDesigns,
	...frameDesigns,
	...figureDesigns,
	{
		id: 'tidewick-letters',
		name: 'Tidewick letters',
		tags: ['regatta', 'letters'],
		colourway: 'harbour day',
		slots: { blue: 'letters' },
		lines: ['letters TIDEWICK at 34 of harbour blue'],
		roles: { letters: 'main' }
	},
	{
		id: 'toadstool-family',
		name: 'Toadstool family',
		tags: ['garden', 'group'],
		colourway: 'as its toadstools',
		slots: {},
		lines: [
			'use toadstool figure',
			'use toadstool figure left of toadstool figure',
			'use toadstool figure right of toadstool figure'
		]
	}
];

/** Designs that were photographed, and what is said under the photo. */
export const PHOTOGRAPHED = [
	{ design: 'lighthouse-column', caption: 'By the slipway, before the guests came' },
	{ design: 'octopus-figure', caption: 'In the reading room' },
	{ design: 'bee-figure', caption: 'At the honey stall' }
] as const;
