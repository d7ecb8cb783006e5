import { JOININGS, type Joining } from '../../document/cluster.ts';
import { MOST_OF_A_LINE, MOST_ON_PATH } from '../../document/limits.ts';
import { feet, inches } from '../../units/length.ts';
import { handForm, type HandForm } from '../facets/by-hand.ts';
import { coloursOfMix, saidBalloon } from '../kit/by-hand.ts';
import { balloonAnswer } from '../kit/own-answers.ts';
import type { Run, Taper } from './document.ts';
import type { RunSaid, SaidRun } from './said.ts';

/** One thing said of a run. */
export const run = (said: SaidRun): RunSaid => ({ kind: 'run', said });
/** A length along a run, feet. */
export const long = (label: string, start: number) =>
	({ kind: 'length', label, min: inches(1), max: feet(650), start: feet(start) }) as const;

const byCount = handForm({
	id: 'by count',
	title: 'so many of each colour',
	fields: {
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(5), size: inches(4) } },
		each: { kind: 'count', label: 'About so many of each colour', min: 1, max: MOST_OF_A_LINE, start: 10 },
		colours: { kind: 'colours', label: 'Colours', most: 8, start: 1 }
	},
	said: ({ balloon, each }, kit) => [
		run({ set: 'mix', balloon: saidBalloon(balloon), share: '1', each, colours: coloursOfMix(kit) })
	],
	of({ mix }: Run, id) {
		const part = mix.find((p) => p.id === id);
		const balloon = part && balloonAnswer(part);
		return balloon && part.each !== undefined
			? { balloon, each: part.each, colours: part.colours.map((c) => c.slot) }
			: undefined;
	}
});

const many = handForm({
	id: 'many',
	title: 'how many clusters in all',
	fields: {
		clusters: {
			kind: 'count',
			label: 'Clusters in all',
			hint: '0 is as many as fit',
			min: 0,
			max: MOST_ON_PATH,
			start: 0
		}
	},
	now: ({ clusters }: Run) => ({ clusters: clusters ?? 0 }),
	said: ({ clusters }) => [run({ set: 'clusters', clusters: clusters === 0 ? null : clusters })]
});

const free = handForm({
	id: 'free',
	title: 'a stretch that stays free',
	fields: {
		at: { ...long('So far along', 4), hint: 'from where it begins' },
		length: long('How long', 1)
	},
	said: ({ at, length }) => [run({ set: 'free', free: { at, length } })],
	of({ free: all }: Run, id) {
		const own = all?.find((f) => f.id === id);
		return own && own.at !== 0 ? { at: own.at, length: own.length } : undefined;
	}
});

const AT = [
	['both', 'at both ends'],
	['start', 'at the start'],
	['end', 'at the end'],
	['none', 'nowhere']
] as const;

const thinner = handForm({
	id: 'thinner',
	title: 'smaller clusters towards the ends',
	fields: {
		at: { kind: 'choice', label: 'They get smaller', options: AT, start: 'both' },
		size: {
			kind: 'length',
			label: 'The outermost are, in',
			min: inches(1),
			max: inches(60),
			start: inches(3)
		},
		clusters: { kind: 'count', label: 'Over so many clusters', min: 1, max: 100, start: 3 }
	},
	now: ({ taper }: Run) => taper && { ...taper },
	said: ({ at, size, clusters }) => [
		run({ set: 'taper', taper: at === 'none' ? null : { at: at as Taper['at'], size, clusters } })
	]
});

const otherwise = handForm({
	id: 'otherwise',
	title: 'another way from here on',
	fields: {
		at: long('From so far along', 4),
		to: {
			kind: 'choice',
			label: 'From there on it is',
			options: [['spine', 'tied to'], ...JOININGS.map((j) => [j, `joined ${j}`] as const)],
			start: 'line'
		},
		line: {
			kind: 'thing',
			label: 'Tied to',
			kinds: ['ribbon', 'tie', 'accent', 'pipe'],
			none: 'not chosen yet'
		}
	},
	conflicts: ({ to, line }): { line?: string } =>
		to === 'spine' && line === null ? { line: 'Choose what it is tied to from there on.' } : {},
	said({ at, to, line }) {
		if (to !== 'spine') {
			const joining = to as Joining;
			return [run({ set: 'change', change: { id: '', to: 'joining', at, joining } })];
		}
		return line === null ? [] : [run({ set: 'change', change: { id: '', to: 'spine', at, material: line } })];
	},
	of({ changes }: Run, id) {
		const own = changes?.find((c) => c.id === id);
		if (!own) return undefined;
		return own.to === 'spine'
			? { at: own.at, to: 'spine', line: own.material }
			: { at: own.at, to: own.joining, line: null };
	}
});

const open = handForm({
	id: 'open',
	title: 'a length not known yet',
	fields: {
		known: {
			kind: 'choice',
			label: 'How long it becomes',
			options: [
				['open', 'is seen when it is built'],
				['known', 'is known']
			],
			start: 'open'
		},
		low: long('At least', 8),
		high: long('At most', 12)
	},
	conflicts: ({ known, low, high }): { high?: string } =>
		known === 'open' && high <= low ? { high: 'The longest has to be longer than the shortest.' } : {},
	now: ({ open: own }: Run) => own && { known: 'open', ...own },
	said({ known, low, high }) {
		if (known !== 'open') return [run({ set: 'open', open: null })];
		return low < high ? [run({ set: 'open', open: { low, high } })] : [];
	}
});

/** What is otherwise somewhere along a run, and what of it is not known before it is built. */
export const alongForms: readonly HandForm<Run>[] = [many, free, thinner, otherwise, open];
/** Another way to say a size of a mix. */
export const countForm: HandForm<Run> = byCount;
