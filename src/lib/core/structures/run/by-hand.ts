import type { Mutable } from '../../document/mutable.ts';
import { MOST_IN_CLUSTER, MOST_REPEATS } from '../../document/limits.ts';
import { inches } from '../../units/length.ts';
import { handForm, type HandFacet } from '../facets/by-hand.ts';
import { cluster, coloursOfMix, PATTERN, patterned, saidBalloon } from '../kit/by-hand.ts';
import { hangingForm } from '../kit/hanging-form.ts';
import { balloonAnswer, patternAnswer } from '../kit/own-answers.ts';
import type { Run } from './document.ts';
import { alongForms, countForm } from './by-hand-along.ts';
import { settings } from './by-hand-settings.ts';
import { balanceShares } from './edit.ts';
import type { RunSaid, SaidRun } from './said.ts';

const run = (said: SaidRun): RunSaid => ({ kind: 'run', said });
const COLOURS = { kind: 'colours', label: 'Colours', most: 8, start: 1 } as const;

const clusters = handForm({
	id: 'clusters',
	title: 'clusters',
	fields: {
		each: { kind: 'count', label: 'Balloons in a cluster', min: 1, max: MOST_IN_CLUSTER, start: 4 },
		repeat: { kind: 'count', label: 'So many, one after the other', min: 1, max: MOST_REPEATS, start: 1 },
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(5), size: inches(4) } },
		colours: COLOURS,
		pattern: { ...PATTERN, start: 'list' }
	},
	said: ({ each, repeat, balloon, pattern }, kit) => [
		run({
			set: 'row',
			cluster: cluster(each, balloon, patterned(kit, pattern)),
			row: { repeat, pitch: null, joining: null }
		})
	],
	of({ rows }: Run, id) {
		const row = rows.find((r) => r.id === id);
		const [first, ...others] = row?.cluster.places ?? [];
		const balloon = first && balloonAnswer(first);
		const colours = row && patternAnswer(row.cluster.pattern);
		const alike = others.every((p) => p.nominal === first!.nominal && JSON.stringify(p.size) === JSON.stringify(first!.size)); // prettier-ignore
		if (!row || !balloon || !colours || !alike || row.pitch !== null || row.joining !== null)
			return undefined;
		return { each: others.length + 1, repeat: row.repeat, balloon, ...colours };
	}
});

const size = handForm({
	id: 'size',
	title: 'a size of the mix',
	fields: {
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(11), size: inches(9) } },
		share: {
			kind: 'count',
			label: 'Of all balloons, %',
			hint: 'the others make room',
			min: 1,
			max: 100,
			start: 50
		},
		colours: COLOURS
	},
	said: ({ balloon, share }, kit) => [
		run({ set: 'mix', balloon: saidBalloon(balloon), share: String(share), colours: coloursOfMix(kit) })
	],
	of({ mix }: Run, id) {
		const part = mix.find((p) => p.id === id);
		const balloon = part && balloonAnswer(part);
		if (!balloon || part.each !== undefined || !/^\d+$/.test(part.share)) return undefined;
		return { balloon, share: Number(part.share), colours: part.colours.map((c) => c.slot) };
	},
	after: (structure: Mutable<Run>, id) => balanceShares(structure, id ?? structure.mix.at(-1)?.id ?? '')
});

const infill = handForm({
	id: 'infill',
	title: 'infill',
	fields: {
		balloon: { kind: 'balloon', label: 'Small ones', start: { nominal: inches(5), size: inches(3) } },
		low: { kind: 'count', label: 'At least, a foot', min: 0, max: 100, start: 2 },
		high: { kind: 'count', label: 'At most, a foot', min: 1, max: 100, start: 4 },
		each: {
			kind: 'count',
			label: 'Tied together, each of',
			hint: '1 is single ones',
			min: 1,
			max: MOST_IN_CLUSTER,
			start: 1
		},
		colours: { ...COLOURS, label: 'Colour', most: 1 }
	},
	said: ({ balloon, low, high, each }, kit) => {
		const a = { low: String(Math.min(low, high)), high: String(high), ...(each > 1 && { each }) };
		return [run({ set: 'infill', balloon: saidBalloon(balloon), colour: kit.colour(0), a })];
	},
	of({ infill: all }: Run, id) {
		const own = all.find((i) => i.id === id);
		const balloon = own && balloonAnswer(own);
		const [low, high] = [Number(own?.low), Number(own?.high)];
		if (!balloon || own.slot === null || !Number.isInteger(low) || !Number.isInteger(high) || high < 1)
			return undefined;
		return { balloon, low, high, each: own.each ?? 1, colours: [own.slot] };
	}
});

const hanging = hangingForm((hung) => run({ set: 'hung', hung }));

export const byHand: HandFacet<Run> = {
	forms: [clusters, size, countForm, infill, hanging, ...settings, ...alongForms]
};
