import { feet, inches } from '../../units/length.ts';
import { COLOUR } from '../kit/by-hand.ts';
import { handForm, type HandForm } from '../facets/by-hand.ts';
import {
	MOST_IN_RIBBON,
	MOST_RINGS,
	WEAVES,
	type Weave,
	type WeaveShape,
	type WovenKind
} from './document.ts';
import type { SaidWeave, WeaveSaid } from './said.ts';

const weave = (said: SaidWeave): WeaveSaid => ({ kind: 'weave', said });
const SHAPE_WORDS: Readonly<Record<WeaveShape, string>> = {
	panel: 'flat: a wall, a panel',
	ring: 'closed: a ring, a basket',
	honeycomb: 'honeycomb',
	base: 'a rectangle to stand on',
	cage: 'a cage: rings over each other, posts between'
};

/** What is woven of: fields of a wall that is begun, too. */
export const WOVEN = {
	kind: {
		kind: 'choice',
		label: 'Made of',
		options: [
			['latex-link', 'links, a tail at both ends'],
			['latex-round', 'rounds']
		],
		start: 'latex-link'
	},
	balloon: {
		kind: 'balloon',
		label: 'Balloons',
		of: ['latex-link', 'latex-round'],
		start: { nominal: inches(10), size: inches(9) }
	}
} as const;

const shape = handForm({
	id: 'shape',
	title: 'what is woven',
	fields: {
		shape: {
			kind: 'choice',
			label: 'It is',
			options: WEAVES.map((w) => [w, SHAPE_WORDS[w]] as const),
			start: 'panel'
		},
		kind: { ...WOVEN.kind, label: 'Of' },
		balloon: WOVEN.balloon,
		along: { kind: 'count', label: 'A rectangle: balloons along', min: 1, max: 200, start: 8 },
		across: { kind: 'count', label: 'and across', min: 1, max: 200, start: 4 },
		cross: { kind: 'count', label: 'with cross pieces', min: 0, max: 60, start: 0 },
		rings: { kind: 'count', label: 'A cage: rings over each other', min: 1, max: MOST_RINGS, start: 3 },
		post: { kind: 'count', label: 'balloons in a post', min: 1, max: MOST_RINGS, start: 1 },
		every: { kind: 'count', label: 'a post every so many, 0 at the corners', min: 0, max: 200, start: 0 },
		over: { kind: 'count', label: 'cross pieces over its top', min: 0, max: 60, start: 0 }
	},
	now({ shape: as, woven, base, cage }: Weave) {
		const size = woven.size.kind === 'value' ? woven.size.um : woven.nominal;
		return {
			shape: as,
			kind: woven.kind,
			balloon: { nominal: woven.nominal, size },
			along: base?.along ?? 8,
			across: base?.across ?? 4,
			cross: base?.cross ?? 0,
			rings: cage?.rings ?? 3,
			post: cage?.post ?? 1,
			every: cage?.every ?? 0,
			over: cage?.over ?? 0
		};
	},
	said: ({ shape: as, kind, balloon: { nominal, size }, along, across, cross, rings, post, every, over }) => [
		weave({
			set: 'shape',
			shape: as as WeaveShape,
			woven: {
				kind: kind as WovenKind,
				nominal,
				size: { kind: 'value', um: size, unit: 'in', origin: 'typed' },
				method: null
			},
			base: as === 'base' || as === 'cage' ? { along, across, cross } : null,
			cage: as === 'cage' ? { rings, post, every, over } : undefined
		})
	]
});

const held = handForm({
	id: 'held',
	title: 'which joints are held',
	fields: {
		take: { kind: 'count', label: 'Held', min: 1, max: 20, start: 1 },
		of: { kind: 'count', label: 'of so many', min: 1, max: 20, start: 1 },
		stagger: { kind: 'count', label: 'moved from row to row by', min: 0, max: 20, start: 0 }
	},
	now: ({ take, of, stagger }: Weave) => ({ take, of, stagger }),
	said: ({ take, of, stagger }) => [
		weave({ set: 'held', take: Math.min(take, of), of, stagger: Math.min(stagger, of - 1) })
	]
});

const bent = handForm({
	id: 'bent',
	title: 'bent or flat',
	fields: {
		as: {
			kind: 'choice',
			label: 'It is',
			options: [
				['bent', 'bent to a bow'],
				['flat', 'flat']
			],
			start: 'bent'
		},
		chord: {
			kind: 'length',
			label: 'The bow from foot to foot',
			min: feet(0.5),
			max: feet(60),
			start: feet(6)
		}
	},
	now: ({ chord }: Weave) => (chord === null ? { as: 'flat', chord: feet(6) } : { as: 'bent', chord }),
	said: ({ as, chord }) => [weave({ set: 'chord', chord: as === 'flat' ? null : chord })]
});

const ribbons = handForm({
	id: 'ribbons',
	title: 'what is made first',
	fields: {
		as: {
			kind: 'choice',
			label: 'It is made',
			options: [
				['strings', 'string by string, then joined'],
				['ribbons', 'in ribbons of some rows, then joined'],
				['rows', 'row on row']
			],
			start: 'strings'
		},
		rows: { kind: 'count', label: 'Rows in a ribbon', min: 2, max: MOST_IN_RIBBON, start: 2 }
	},
	now: ({ ribbons: first }: Weave) => ({
		as: first === undefined ? 'rows' : first === 1 ? 'strings' : 'ribbons',
		rows: Math.max(2, first ?? 2)
	}),
	said: ({ as, rows }) => [
		weave({ set: 'ribbons', ribbons: as === 'rows' ? null : as === 'strings' ? 1 : rows })
	]
});

const handle = handForm({
	id: 'handle',
	title: 'a handle',
	fields: {
		links: { kind: 'count', label: 'Balloons', min: 1, max: 200, start: 8 },
		colours: COLOUR,
		chord: { kind: 'length', label: 'From foot to foot', min: feet(0.5), max: feet(60), start: feet(3) }
	},
	said: ({ links, chord }, kit) => [
		weave({ set: 'handle', handle: { links, colour: kit.colour(0), chord, rise: null } })
	]
});

/** What is said of all of it. */
export const settings: readonly HandForm<Weave>[] = [shape, held, ribbons, bent, handle];
