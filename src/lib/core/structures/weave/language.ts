import type { Mutable } from '../../document/mutable.ts';
import type { Id } from '../../document/id.ts';
import { inHand, type EditKit, type LanguageFacet } from '../facets/language.ts';
import { put } from '../kit/put.ts';
import { inRows, type Weave, type WeaveRow } from './document.ts';
import { emptyWeave } from './empty.ts';
import { weaveLine } from './read.ts';
import type { SaidWeave, WeaveSaid } from './said.ts';

/** Does one thing that is said of a weave. @param editing a row it takes the place of */
type Set<K extends SaidWeave['set']> = (
	weave: Mutable<Weave>,
	said: Extract<SaidWeave, { set: K }>,
	editing: Id | null | undefined,
	kit: EditKit
) => void;

const SETS: { readonly [K in SaidWeave['set']]: Set<K> } = {
	shape(weave, { shape, woven, base, cage }) {
		weave.shape = shape;
		weave.woven = woven as Mutable<Weave['woven']>;
		weave.base = base && { ...base };
		if (cage) weave.cage = { ...cage };
		else delete weave.cage;
		// Every corner of a honeycomb is held; along a boundary every second joint is.
		if (!inRows(shape)) [weave.take, weave.of] = [1, 1];
	},
	row(weave, { repeat, blocks: said }, editing, kit) {
		const blocks = said.map(({ ref, count }) => ({ slot: ref === null ? null : kit.slot(ref), count }));
		put(weave.rows as WeaveRow[], { id: kit.newId(), repeat, blocks }, editing);
	},
	filler(weave, { balloon }, _editing, kit) {
		if (balloon) weave.filler = kit.own(balloon).balloon as Mutable<NonNullable<Weave['filler']>>;
		else delete weave.filler;
	},
	joiner: (weave, { balloon }, _editing, kit) =>
		void (weave.joiner = balloon && (kit.own(balloon).balloon as Mutable<Weave['joiner']>)),
	joint: (weave, { joint, connector }) => void (weave.joints[joint] = connector),
	held: (weave, { take, of, stagger }) => void Object.assign(weave, { take, of, stagger }),
	ribbons(weave, { ribbons }) {
		if (ribbons === null) delete weave.ribbons;
		else weave.ribbons = ribbons;
	},
	chord: (weave, { chord }) => void (weave.chord = chord),
	handle(weave, { handle }, _editing, kit) {
		if (!handle) weave.handle = null;
		else {
			const { links, colour, chord, rise } = handle;
			weave.handle = { links, slot: kit.slot(colour), chord, rise };
		}
	},
	hung: (weave, { hung }) => void (weave.hung = hung && { ...hung })
};

export const language: LanguageFacet<Weave, WeaveSaid> = {
	starts: { word: 'weave', empty: emptyWeave },
	examples: [
		'3 rows 8 white',
		'cage of 10 links at 9, 4 by 3, 3 rings',
		'panel of 10 links at 9',
		'edge duplet',
		'held 1 of 2'
	],
	phrases: [
		'wall of 8 rows of 10 links at 9 red',
		'three rows of 10 red',
		'join them with 5s at 2 in red',
		'a cage of 10 inch links at 9, 4 by 3, three rings high',
		'fill the gaps with 5s at 3 in red',
		'make the strings first'
	],
	shown: true,
	read: weaveLine,
	readAnywhere: () => undefined,
	home: (sections, _said, place) => inHand(sections, place, 'weave'),
	partOf: ({ said: { set } }) => (set === 'row' ? set : undefined),
	take: {
		weave: ({ structure }, { said }, { editing }, kit) =>
			(SETS[said.set] as Set<typeof said.set>)(structure, said as never, editing, kit)
	}
};
