import type { Mutable } from '../../document/mutable.ts';
import { inHand, type EditKit, type LanguageFacet } from '../facets/language.ts';
import { put } from '../kit/put.ts';
import type { Bunch, BunchItem, BunchThing } from './document.ts';
import { emptyBunch } from './empty.ts';
import { item } from './read.ts';
import type { BunchSaid, SaidItem } from './said.ts';

export const language: LanguageFacet<Bunch, BunchSaid> = {
	starts: { word: 'bunch', empty: emptyBunch },
	examples: [
		'3 11 at full white',
		'1 11 at 10 gold in helium on 4 ft ribbon',
		'letters TIDEWICK at 34 of gold',
		'no weight'
	],
	phrases: [
		'three white 11s in helium on 5 ft ribbons',
		'a moon foil filled with helium on 4 ft of ribbon',
		'the word TIDE in gold 34 inch letters',
		'hold it down with a sack'
	],
	shown: true,
	read: item,
	readAnywhere: () => undefined,
	/** A wording said elsewhere makes a row of its own. */
	home: (sections, said, place) =>
		inHand(sections, place, 'bunch') ??
		(said.kind === 'item'
			? { name: said.item.name, structure: { ...emptyBunch(), arrangement: 'row' } }
			: undefined),
	partOf: ({ kind }) => (kind === 'item' ? 'row' : undefined),
	take: {
		item({ structure }, { item: { what, ...said } }, { editing }, kit) {
			const made: BunchItem = { ...said, id: kit.newId(), what: thingOf(what, kit) };
			put(structure.items, made as Mutable<BunchItem>, editing);
		},
		weight({ structure }, { weight }, _place, kit) {
			structure.weight = (weight?.kind === 'balloon' ? kit.own(weight) : weight) as Mutable<Bunch>['weight'];
		}
	}
};

function thingOf(what: SaidItem['what'], kit: EditKit): BunchThing {
	if (what.kind === 'material') return what;
	if (what.kind === 'balloon') return kit.own(what);
	const { colour, ...rest } = what;
	return { ...rest, slot: kit.slot(colour) };
}
