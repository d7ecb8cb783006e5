import type { DemoDesign } from './design.ts';

/** Garlands, arches, runners, walls: what goes along a path or is woven. */
export const longDesigns: DemoDesign[] = [
	{
		id: 'comet-tail-garland',
		name: 'Comet-tail garland',
		tags: ['observatory', 'garland'],
		colourway: 'planet night',
		slots: { gold: 'head', cream: 'tail', white: 'dust' },
		lines: [
			'run tail',
			'curve 0 by 0, 4 by 2½, 8 by 3½, 12 by 3 ft lifted 4 ft',
			'12 % 16 at 14 of hive gold',
			'40 % 11 at 9 of 2 hive gold / 1 foam cream',
			'48 % 5 at 4½ of 2 foam cream / 1 gull white',
			'against a wall',
			'thicker at the start',
			'7 ft took 70 5 + 30 11 + 6 16',
			'counted by packing',
			'infill 1 to 3 a foot 5 at 3 gull white',
			'spine decorating strip tails 2 ft 2 loops 4 ties a metre',
			'hung on hooks every 2 ft with wall hook',
			'use comet left of tail at 5 ft'
		],
		roles: { head: 'main', tail: 'second', dust: 'accent' }
	},
	{
		id: 'shop-window-swag',
		name: 'Shop-window swag',
		tags: ['bakery', 'garland'],
		colourway: 'tenth birthday',
		slots: { brown: 'crust', cream: 'crumb', gold: 'honey' },
		lines: [
			'run swag',
			'line 9 to 11 ft lifted 6 ft',
			'4 5 at 4½ crust brown x3',
			'4 5 at 4½ foam cream',
			'ends thinner to 3 in over 3 clusters',
			'free 1 ft at 4½ ft',
			'infill 1 to 2 a foot clusters of 3 5 at 2 hive gold',
			'spine soft line tails 1 ft 2 loops round each balloon 2 in',
			'from 5½ ft joined line',
			'hung on hooks every 3 ft with wall hook'
		],
		roles: { crust: 'main', crumb: 'second', honey: 'pop' }
	},
	{
		id: 'loaf-arch',
		name: 'Loaf arch',
		tags: ['bakery', 'arch'],
		colourway: 'tenth birthday',
		slots: { brown: 'crust', cream: 'crumb' },
		lines: [
			'run loaf',
			'arch 8 ft by 7 ft',
			'4 11 at 9 gradient crust brown / foam cream / crust brown x2',
			'3 11 at 9 foam cream with 1 11 at 9 crust brown',
			'spine soft line tails 1 ft',
			'hung on stand with arch frame',
			'spare 2 clusters'
		],
		roles: { crust: 'main', crumb: 'second' }
	},
	{
		id: 'orbit-arch',
		name: 'Orbit arch',
		tags: ['observatory', 'arch'],
		colourway: 'planet night',
		slots: { navy: 'sky', shallows: 'orbit', blue: 'planet' },
		lines: [
			'frame tube',
			'arc 9 ft by 8 ft',
			'of white tube, inch',
			'on plywood plate with flange 24 in',
			'used 30 times',
			'run orbit',
			'along tube',
			'4 11 at 9½ spiral left lamp-out navy / lamp-out navy / lamp-out navy / shallows',
			'spine soft line tails 1 ft',
			'put 1 16 at 13 harbour blue as planet on orbit at 6 ft with tie',
			'put 1 foil moon as moon on orbit at 14 ft with tie',
			'2 sandbag'
		],
		roles: { sky: 'main', orbit: 'pop' }
	},
	{
		id: 'bakery-frame',
		name: 'Bakery door frame',
		tags: ['bakery', 'framed pipe'],
		colourway: 'tenth birthday',
		slots: { brown: 'crust', cream: 'crumb' },
		lines: [
			'run frame',
			'corners up 7 ft, right 6 ft, down 7 ft',
			'4 5 at 4 crust brown / foam cream',
			'corner 5 at 3 foam cream',
			'hung on stand with arch frame'
		],
		roles: { crust: 'main', crumb: 'second' }
	},
	{
		id: 'whisk-and-bun-runner',
		name: 'Whisk and bun table runner',
		tags: ['bakery', 'table runner'],
		colourway: 'tenth birthday',
		slots: { brown: 'bun', cream: 'cream', white: 'flour' },
		lines: [
			'run runner',
			'line 6 ft lifted 2½ ft',
			'25 % 11 at 8 of crust brown',
			'75 % 5 at 4 of 2 foam cream / 1 gull white / 1 crust brown',
			'on a table',
			'thicker in the middle',
			'counted by packing',
			'spine decorating strip tails 1 ft'
		],
		roles: { bun: 'main', cream: 'second' }
	},
	{
		id: 'honeycomb-panel',
		name: 'Honeycomb panel',
		tags: ['beekeepers', 'panel'],
		colourway: 'honey',
		slots: { gold: 'cell', brown: 'wax' },
		lines: [
			'frame feet',
			'back 4 ft by 5 ft feet 3 ft bars 1',
			'of white tube, inch',
			'no base',
			'used 30 times',
			'weave comb front of feet at 2 ft',
			'honeycomb of 10 links at 6',
			'row 4 hive gold',
			'row 4 hive gold',
			'row 4 hive gold',
			'joined with 5 at 2 crust brown',
			'inner single',
			'edge single',
			'hung on ties every 2 ft with soft line'
		],
		roles: { cell: 'main', wax: 'accent' }
	},
	{
		id: 'signal-flag-wall',
		name: 'Signal-flag wall',
		tags: ['regatta', 'wall'],
		colourway: 'harbour day',
		slots: { red: 'port', blue: 'sea', white: 'foam', gold: 'sun' },
		lines: [
			'weave flags',
			'panel of 10 links at 9',
			'2 rows 4 pennant red / 3 harbour blue / 3 harbour blue',
			'2 rows 4 pennant red / 3 gull white / 3 harbour blue',
			'2 rows 4 hive gold / 3 gull white / 3 harbour blue',
			'2 rows 4 hive gold / 3 harbour blue / 3 harbour blue',
			'joined with 5 at 2 gull white',
			'hung on backdrop with backdrop frame'
		],
		roles: { sea: 'main', foam: 'second', port: 'pop' }
	},
	{
		id: 'lobster-trap-wall',
		name: 'Lobster-trap tunnel wall',
		tags: ['regatta', 'tunnel'],
		colourway: 'harbour day',
		slots: { brown: 'lath', red: 'claw' },
		lines: [
			'weave trap x2 mirrored gap 4 ft',
			'panel of 10 links at 9',
			'row 10 hidden',
			'5 rows 10 crust brown',
			'row 3 crust brown / 4 pennant red / 3 crust brown',
			'joined with 5 at 2 pennant red',
			'bent over 8 ft',
			'handle of 8 pennant red over 6 ft to 1½ ft',
			'4 sandbag'
		],
		roles: { lath: 'main', claw: 'pop' }
	}
];
