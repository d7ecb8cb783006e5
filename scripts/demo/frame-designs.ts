import type { DemoDesign } from './design.ts';

/** What stands on frames of the studio's own: bent, cut and joined once, used again and again. */
export const frameDesigns: readonly DemoDesign[] = [
	{
		id: 'signal-mast',
		name: 'Signal mast',
		tags: ['regatta', 'frame'],
		colourway: 'regatta',
		slots: { red: 'flags', white: 'mast' },
		lines: [
			'frame mast',
			'cross 8 ft tree 5 ft at 6 ft',
			'of white tube, inch',
			'on plywood plate with flange 24 in',
			'glued',
			'used 30 times',
			'run shrouds',
			'along mast',
			'4 5 at 4½ pennant red / gull white'
		]
	},
	{
		id: 'bent-foot-column',
		name: 'Column on a bent foot',
		tags: ['regatta', 'frame', 'column'],
		colourway: 'harbour',
		slots: { blue: 'sea', white: 'foam' },
		lines: [
			'frame foot',
			'bent 10 ft at 13 in, 13 in, 13 in, 9 in',
			'of thin conduit',
			'tube ½ in',
			'used 60 times',
			'section column over foot',
			'4 11 at 9½ spiral left harbour blue / gull white x9',
			'no pole',
			'1 16 at 14 gull white'
		]
	},
	{
		id: 'orbit-hoop',
		name: 'Orbit hoop',
		tags: ['observatory', 'frame', 'hoop'],
		colourway: 'planet night',
		slots: { navy: 'sky', shallows: 'glow' },
		lines: [
			'frame orbit',
			'hoop 5 ft foot 2 ft',
			'of white tube, inch',
			'on plywood plate with flange 30 in',
			'used 30 times',
			'run ring',
			'along orbit',
			'4 11 at 6½ lamp-out navy / shallows'
		]
	},
	{
		id: 'plywood-stand',
		name: 'Plywood stand',
		tags: ['workshop', 'frame'],
		colourway: 'bare',
		slots: {},
		lines: [
			'frame stand',
			'post 5 ft',
			'of white tube, inch',
			'on plywood sheet 24 in',
			'for grass on plywood sheet 30 in',
			'for stage no base',
			'screwed',
			'used 40 times',
			'size low 3 ft',
			'size high 7 ft'
		]
	},
	{
		id: 'regatta-letter',
		name: 'Letter frame',
		tags: ['regatta', 'frame', 'letters'],
		colourway: 'harbour',
		slots: { blue: 'sea', white: 'foam' },
		lines: [
			'frame letter',
			'letter T 5 ft',
			'of white tube, inch',
			'on plywood plate with flange 24 in',
			'used 20 times',
			'run rope',
			'along letter',
			'4 5 at 4½ harbour blue / gull white'
		]
	},
	{
		id: 'bun-box',
		name: 'Bun on a stick',
		tags: ['bakery', 'frame', 'table'],
		colourway: 'crust and cream',
		slots: { crust: 'bun', cream: 'icing' },
		lines: [
			'frame box',
			'box 1 stick 2 ft',
			'of stick, 3 ft dowel',
			'on card box with lid 10 in',
			'tube ½ in',
			'covered in tissue',
			'section bun over box',
			'4 5 at 4 crust brown / foam cream x5',
			'no pole',
			'1 11 at 9 crust brown',
			'2 water weight'
		]
	}
];
