import { feet, inches } from '../../units/length.ts';
import { layer, poleFor, stackOn, thing, upTo } from '../say.ts';
import { cluster, PATTERN, patterned, plain } from '../../structures/kit/by-hand.ts';
import { startingShape } from '../shape.ts';

const HEIGHT = {
	kind: 'length',
	label: 'How tall',
	hint: 'to the top of the clusters',
	comes: 'over all',
	min: feet(1),
	max: feet(30),
	start: feet(6)
} as const;
const EACH = { kind: 'count', label: 'Balloons in a cluster', min: 2, max: 12, start: 4 } as const;
const STAND = {
	kind: 'thing',
	label: 'Stand',
	kinds: ['base', 'pipe'],
	takes: 'base',
	none: 'a stand, not chosen yet'
} as const;

/** Clusters up a pole. */
export const column = startingShape({
	id: 'column',
	title: 'Column',
	says: 'clusters up a pole, the same from bottom to top',
	fields: {
		colours: { kind: 'colours', label: 'Colours', most: 6, start: 2 },
		height: HEIGHT,
		pattern: PATTERN,
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(11), size: inches(9.5) } },
		each: EACH,
		topper: {
			kind: 'balloon or none',
			label: 'One on top',
			none: 'nothing on top',
			start: { nominal: inches(16), size: inches(14) }
		},
		stand: STAND
	},
	entries: ({ height, balloon, each, pattern, topper, stand }, kit) => [
		stackOn('column', stand),
		layer(cluster(each, balloon, patterned(kit, pattern)), { toHeight: height }),
		...(topper ? [layer(cluster(1, topper, plain(kit, 0)))] : []),
		poleFor
	]
});

/** A column on a foot of larger balloons, with a collar that a large topper rests on. */
export const pillar = startingShape({
	id: 'pillar',
	title: 'Pillar with topper',
	says: 'a wide foot, a column, a collar and something large on top',
	fields: {
		colours: { kind: 'colours', label: 'Colours', most: 6, start: 2 },
		pattern: { ...PATTERN, start: 'checker' },
		height: { ...HEIGHT, hint: 'foot and column; collar and topper stand on it', start: feet(5) },
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(11), size: inches(9) } },
		foot: { kind: 'balloon', label: 'Foot', start: { nominal: inches(16), size: inches(12) } },
		collar: { kind: 'balloon', label: 'Collar', start: { nominal: inches(5), size: inches(4) } },
		topper: { kind: 'balloon', label: 'Topper', start: { nominal: inches(36), size: inches(26) } },
		stand: STAND
	},
	entries: ({ height, balloon, foot, collar, topper, pattern, stand }, kit) => [
		stackOn('pillar', stand),
		layer(cluster(4, foot, plain(kit, 0))),
		(recipe) => layer(cluster(4, balloon, patterned(kit, pattern)), { toHeight: upTo(height, recipe) }),
		layer(cluster(6, collar, plain(kit, 1))),
		layer(cluster(1, topper, plain(kit, 0))),
		poleFor
	]
});

/** Low, for the middle of a table: a foot, a collar, one on top. */
export const centrepiece = startingShape({
	id: 'centrepiece',
	title: 'Centrepiece',
	says: 'low and round, for the middle of a table',
	fields: {
		colours: { kind: 'colours', label: 'Colours', most: 4, start: 3 },
		foot: { kind: 'balloon', label: 'Foot', start: { nominal: inches(11), size: inches(8) } },
		each: { ...EACH, label: 'Balloons in the foot' },
		collar: {
			kind: 'balloon or none',
			label: 'Collar of small ones',
			none: 'no collar',
			start: { nominal: inches(5), size: inches(4) }
		},
		topper: { kind: 'balloon', label: 'On top', start: { nominal: inches(11), size: inches(10) } },
		weight: {
			kind: 'thing',
			label: 'Weight',
			kinds: ['weight'],
			takes: 'weight',
			none: 'none, or not chosen yet'
		}
	},
	entries: ({ foot, each, collar, topper, weight }, kit) => [
		stackOn('centrepiece', null, false),
		{ kind: 'stands', onFloor: false },
		layer(cluster(each, foot, plain(kit, 0))),
		...(collar ? [layer(cluster(each, collar, plain(kit, 1)))] : []),
		layer(cluster(1, topper, plain(kit, 2))),
		...thing(weight)
	]
});
