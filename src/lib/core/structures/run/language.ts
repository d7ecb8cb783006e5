import type { Mutable } from '../../document/mutable.ts';
import type { Id } from '../../document/id.ts';
import { inHand, type EditKit, type LanguageFacet } from '../facets/language.ts';
import { buildLayer } from '../kit/build-layer.ts';
import { put } from '../kit/put.ts';
import type { Infill, MixPart, Run, RunRow } from './document.ts';
import { emptyRun } from './empty.ts';
import { usualOf } from './open.ts';
import { lengthOfRun } from './path.ts';
import { runLine } from './read.ts';
import type { RunSaid, SaidRun } from './said.ts';

/** Does one thing that is said of a run. @param editing a row, size or arm it takes the place of */
type Set<K extends SaidRun['set']> = (
	run: Mutable<Run>,
	said: Extract<SaidRun, { set: K }>,
	editing: Id | null | undefined,
	kit: EditKit
) => void;

/** What is not said is not there: a recipe prints and compares alike however it came about. */
function setOrDrop<K extends 'open' | 'taper' | 'clusters'>(run: Mutable<Run>, key: K, value: Run[K]) {
	if (value === undefined) delete run[key];
	else run[key] = value as Mutable<Run>[K];
}

const STANDING: ReadonlySet<Run['path']['kind']> = new Set(['arch', 'corners', 'helix'] as const);

const SETS: { readonly [K in SaidRun['set']]: Set<K> } = {
	path(run, { path, height, open }) {
		const before = run.path.kind;
		// A length that is said is known; where it is only lifted, nothing of it is.
		if (open || height === null || JSON.stringify(path) !== JSON.stringify(run.path))
			setOrDrop(run, 'open', open);
		run.path = path as Mutable<Run['path']>;
		if (height !== null) run.height = height;
		// Arches and frames stand on their feet until they are said to be lifted.
		else if (STANDING.has(path.kind) && !STANDING.has(before)) run.height = 0;
	},
	branch: (run, { branch }, editing, { newId }) => put(run.branches, { ...branch, id: newId() }, editing),
	row(run, { cluster, row: said }, editing, kit) {
		const layer = { clusters: [cluster], repeat: 1, toHeight: null, turn: 'half', joining: null } as const;
		const built = buildLayer(layer, run.squash, kit.newId);
		kit.addSlots(built);
		const row: RunRow = { id: kit.newId(), cluster: built.layer.clusters[0]!, ...said };
		put(run.rows as RunRow[], row, editing);
	},
	corner: (run, { balloon }, _editing, kit) =>
		void (run.corner = balloon && (kit.own(balloon).balloon as Mutable<Run['corner']>)),
	mix(run, { balloon: { kind, nominal, size, method }, share, each, colours: said }, editing, kit) {
		const colours = said.map(({ ref, parts }) => ({ slot: kit.slot(ref), parts }));
		const part: MixPart = {
			id: kit.newId(),
			share,
			kind,
			nominal,
			size,
			method,
			colours,
			...(each && { each })
		};
		put(run.mix as MixPart[], part, editing);
	},
	organic: (run, { organic }) =>
		void (run.organic = { ...run.organic, ...organic } as Mutable<Run['organic']>),
	infill(run, { balloon: { kind, nominal, size, method }, colour, a }, editing, kit) {
		const slot = colour === null ? null : kit.slot(colour);
		put(run.infill as Infill[], { id: kit.newId(), ...a, kind, nominal, size, method, slot }, editing);
	},
	fitted(run, { pitch }) {
		for (const row of run.rows) row.pitch = pitch;
	},
	spine: (run, { spine }) => void (run.spine = spine && { ...spine }),
	hung: (run, { hung }) => void (run.hung = hung && { ...hung }),
	joining: (run, { joining }) => void (run.joining = joining),
	spare: (run, { spare }) => void (run.spare = spare),
	clusters: (run, { clusters }) => setOrDrop(run, 'clusters', clusters ?? undefined),
	free: (run, { free }, editing, { newId }) => put((run.free ??= []), { ...free, id: newId() }, editing),
	taper: (run, { taper }) => setOrDrop(run, 'taper', taper ?? undefined),
	change(run, { change }, editing, { newId }) {
		put((run.changes ??= []), { ...change, id: newId() }, editing);
		run.changes!.sort((a, b) => a.at - b.at);
	},
	open(run, { open }) {
		setOrDrop(run, 'open', open ?? undefined);
		const now = Math.round(lengthOfRun(run as Run) * 1000);
		// A line outside its own ends is as long as they are half-way.
		if (open && run.path.kind === 'line' && (now < open.low || now > open.high))
			run.path = { kind: 'line', length: usualOf(open) };
	}
};

export const language: LanguageFacet<Run, RunSaid> = {
	starts: { word: 'run', empty: emptyRun },
	examples: ['4 5 at 4 white', 'arch 20 ft by 8 ft', '60 % 5 at 4½ of 2 blue / 1 white', 'spare 2 clusters'],
	phrases: [
		'12 ft garland along the wall',
		'arch 8 ft wide 7 ft high',
		'60 % white 11s at 9 and 40 % pink 5s at 4',
		'half fives at 4, half elevens at 9, in pink',
		'hang it from hooks, one every two feet',
		'fatter in the middle',
		'infill with 3 pink 5s at 3 a foot',
		'leave 2 ft bare at 6 ft',
		'between 8 and 12 ft long',
		'thinner at both ends, down to 3 and a half inches over 3 clusters'
	],
	shown: true,
	read: runLine,
	readAnywhere: () => undefined,
	home: (sections, _said, place) => inHand(sections, place, 'run'),
	partOf: ({ said: { set } }) =>
		set === 'free' || set === 'change'
			? 'branch'
			: set === 'row' || set === 'mix' || set === 'infill' || set === 'branch'
				? set
				: undefined,
	take: {
		run: ({ structure }, { said }, { editing }, kit) =>
			(SETS[said.set] as Set<typeof said.set>)(structure, said as never, editing, kit)
	}
};
