import { feet, inches } from '../../units/length.ts';
import { MIX, MIXES, ofRun, run, thing } from '../say.ts';
import {
	cluster,
	coloursOfMix,
	HANGS,
	hangs,
	HOLDS,
	PATTERN,
	patterned,
	saidBalloon
} from '../../structures/kit/by-hand.ts';
import { startingShape, type StartEntry } from '../shape.ts';
import type { HandKit } from '../../structures/kit/by-hand.ts';

const COLOURS = { kind: 'colours', label: 'Colours', most: 8, start: 3 } as const;
const FULL = {
	kind: 'choice',
	label: 'How full',
	options: [
		['4/5', 'airy'],
		['1', 'usual'],
		['5/4', 'full']
	],
	start: '1'
} as const;
const mixed = (mix: string, kit: HandKit): readonly StartEntry[] =>
	(MIXES[mix] ?? []).map(([nominal, size, share]) =>
		ofRun({
			set: 'mix',
			balloon: saidBalloon({ nominal: inches(nominal), size: inches(size) }),
			share: String(share),
			colours: coloursOfMix(kit)
		})
	);

/** Clusters over half an ellipse, its feet on the floor. */
export const arch = startingShape({
	id: 'arch',
	title: 'Arch',
	says: 'clusters over an arch on a frame',
	fields: {
		colours: { ...COLOURS, start: 2 },

		width: {
			kind: 'length',
			label: 'How wide',
			hint: 'from foot to foot',
			min: feet(2),
			max: feet(60),
			start: feet(8)
		},
		height: {
			kind: 'length',
			label: 'How high',
			hint: 'inside, to the middle of the clusters',
			min: feet(2),
			max: feet(40),
			start: feet(7)
		},
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(11), size: inches(9) } },
		each: { kind: 'count', label: 'Balloons in a cluster', min: 2, max: 12, start: 4 },
		pattern: PATTERN,
		hangs: { ...HANGS, label: 'It is tied to', start: 'stand' },
		holds: { ...HOLDS, label: 'Frame' }
	},
	entries: ({ width, height, balloon, each, pattern, hangs: by, holds }, kit) => [
		run('arch', { path: { kind: 'arch', span: width, rise: height, curve: 'ellipse' }, height: 0 }),
		ofRun({
			set: 'row',
			cluster: cluster(each, balloon, patterned(kit, pattern)),
			row: { repeat: 1, pitch: null, joining: null }
		}),
		ofRun({ set: 'hung', hung: hangs(by, holds) })
	]
});

/** All sizes along a line, hung up. */
export const garland = startingShape({
	id: 'garland',
	title: 'Organic garland',
	says: 'all sizes along a line, on a wall or a backdrop',
	fields: {
		colours: COLOURS,
		length: { kind: 'length', label: 'How long', min: feet(1), max: feet(200), start: feet(10) },
		mix: MIX,
		full: FULL,
		seen: {
			kind: 'choice',
			label: 'It is seen',
			options: [
				['wall', 'from the front, against a wall'],
				['all round', 'from all sides']
			],
			start: 'wall'
		},
		height: {
			kind: 'length',
			label: 'How high it hangs',
			hint: 'over the floor',
			min: feet(0.5),
			max: feet(40),
			start: feet(7)
		},
		hangs: HANGS,
		holds: HOLDS
	},
	entries: ({ length, mix, full, seen, height, hangs: by, holds }, kit) => [
		run('garland', { path: { kind: 'line', length }, height }),
		...mixed(mix, kit),
		ofRun({ set: 'organic', organic: { fullness: full, seen: seen as 'wall' } }),
		ofRun({ set: 'hung', hung: hangs(by, holds) })
	]
});

/** The same along a table. */
export const runner = startingShape({
	id: 'runner',
	title: 'Table runner',
	says: 'small sizes along the middle of a table',
	fields: {
		colours: COLOURS,
		length: { kind: 'length', label: 'How long', min: feet(1), max: feet(100), start: feet(6) },
		mix: { ...MIX, start: 'two' },
		full: FULL,
		table: { kind: 'length', label: 'Height of the table', min: feet(0.5), max: feet(6), start: feet(2.5) },
		line: {
			kind: 'thing',
			label: 'Tied to',
			kinds: ['tie', 'accent', 'ribbon'],
			none: 'a line, not chosen yet'
		},
		extra: { kind: 'thing', label: 'Among them', kinds: ['accent'], none: 'nothing else' }
	},
	entries: ({ length, mix, full, table, line, extra }, kit) => [
		run('runner', { path: { kind: 'line', length }, height: table }),
		...mixed(mix, kit),
		ofRun({ set: 'organic', organic: { fullness: full, seen: 'table' } }),
		ofRun({ set: 'spine', spine: { material: line, tails: feet(1), loops: 0, ties: '4' } }),
		...thing(extra)
	]
});
