import { JOININGS, type Joining } from '../../document/cluster.ts';
import { feet, inches, um } from '../../units/length.ts';
import { rational, rationalText } from '../../units/rational.ts';
import { handForm, type HandForm } from '../facets/by-hand.ts';
import { COLOUR, saidBalloon } from '../kit/by-hand.ts';
import { long, run } from './by-hand-along.ts';
import { fitPitch } from './count.ts';
import type { Run, Seen, Thicker, Way } from './document.ts';

const looks = handForm({
	id: 'looks',
	title: 'how full, and how it is seen',
	fields: {
		seen: {
			kind: 'choice',
			label: 'It is seen',
			options: [
				['all round', 'all round'],
				['wall', 'against a wall'],
				['table', 'on a table']
			],
			start: 'all round'
		},
		full: { kind: 'count', label: 'How full, per cent of usual', min: 30, max: 300, start: 100 },
		thicker: {
			kind: 'choice',
			label: 'It is thicker',
			options: [
				['even', 'nowhere'],
				['middle', 'in the middle'],
				['start', 'at the start'],
				['end', 'at the end']
			],
			start: 'even'
		}
	},
	now: ({ organic: { seen, fullness, thicker } }: Run) => ({
		seen,
		full: Math.round(rational(fullness).valueOf() * 100),
		thicker
	}),
	said: ({ seen, full, thicker }) => [
		run({
			set: 'organic',
			organic: {
				seen: seen as Seen,
				fullness: rationalText(rational(full).div(100)),
				thicker: thicker as Thicker
			}
		})
	]
});

const spine = handForm({
	id: 'spine',
	title: 'what it is tied to',
	fields: {
		line: {
			kind: 'thing',
			label: 'Line or strip',
			kinds: ['ribbon', 'tie', 'accent', 'pipe'],
			none: 'not chosen yet'
		},
		tails: { kind: 'length', label: 'Left over at each end', min: inches(1), max: feet(20), start: feet(2) },
		loops: { kind: 'count', label: 'Loops to hang it by', min: 0, max: 2, start: 2 },
		ties: { kind: 'count', label: 'Ties a metre', min: 0, max: 60, start: 4 },
		round: {
			kind: 'count',
			label: 'Round every balloon, so many inches of it',
			hint: '0 where it is not wound',
			min: 0,
			max: 24,
			start: 0
		}
	},
	now: ({ spine: own }: Run) =>
		own
			? {
					line: own.material,
					tails: own.tails || inches(1),
					loops: own.loops,
					ties: Math.round(rational(own.ties).valueOf()),
					round: Math.round((own.round ?? 0) / inches(1))
				}
			: undefined,
	said: ({ line, tails, loops, ties, round }) => [
		run({
			set: 'spine',
			spine: {
				material: line,
				tails,
				loops: loops as 0 | 1 | 2,
				ties: String(ties),
				...(round > 0 && { round: inches(round) })
			}
		})
	]
});

const corner = handForm({
	id: 'corner',
	title: 'a pair in each corner',
	fields: {
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(5), size: inches(3) } },
		colours: COLOUR
	},
	said: ({ balloon }, kit) => [
		run({ set: 'corner', balloon: { kind: 'balloon', balloon: saidBalloon(balloon), colour: kit.colour(0) } })
	]
});

const arm = handForm({
	id: 'arm',
	title: 'an arm',
	fields: {
		kind: {
			kind: 'choice',
			label: 'It leaves',
			options: [
				['tee', 'to one side'],
				['cross', 'to both sides']
			],
			start: 'tee'
		},
		at: { ...long('So far along', 3), label: 'So far along' },
		way: {
			kind: 'choice',
			label: 'It goes',
			options: [
				['up', 'up'],
				['down', 'down'],
				['left', 'to the left'],
				['right', 'to the right']
			],
			start: 'up'
		},
		length: long('How long', 2)
	},
	said: ({ kind, at, way, length }) => [
		run({ set: 'branch', branch: { kind: kind as 'tee', at, way: way as Way, length, pitch: null } })
	]
});

const built = handForm({
	id: 'built',
	title: 'what a built leg took',
	fields: {
		length: { kind: 'length', label: 'A leg of', min: inches(3), max: feet(100), start: feet(3) },
		clusters: { kind: 'count', label: 'took clusters', min: 1, max: 2000, start: 10 }
	},
	said: ({ length, clusters }) => [
		run({ set: 'fitted', pitch: um(Math.max(1, Math.round(fitPitch({ length, clusters })))) })
	]
});

const kept = handForm({
	id: 'kept',
	title: 'clusters kept aside',
	fields: { spare: { kind: 'count', label: 'How many', min: 0, max: 200, start: 2 } },
	now: ({ spare }: Run) => ({ spare }),
	said: ({ spare }) => [run({ set: 'spare', spare })]
});

const joined = handForm({
	id: 'joined',
	title: 'how clusters are joined',
	fields: {
		by: { kind: 'choice', label: 'Joined by', options: JOININGS.map((j) => [j, j] as const), start: 'line' }
	},
	now: ({ joining }: Run) => ({ by: joining }),
	said: ({ by }) => [run({ set: 'joining', joining: by as Joining })]
});

/** What is said of all of it. */
export const settings: readonly HandForm<Run>[] = [looks, spine, corner, arm, built, kept, joined];
