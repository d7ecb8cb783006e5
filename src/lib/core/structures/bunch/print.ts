import { manyWords } from '../../document/count-range.ts';
import type { Bunch, BunchItem, BunchWeight } from './document.ts';
import type { MaterialOf, PrintFacet } from '../facets/print.ts';
import { countedPart } from '../kit/print-lines.ts';
import type { Slot } from '../../document/slot.ts';
import { nameIn, printFoil, printOwn, printPlaces, printLong } from '../kit/print-words.ts';
import { slotName } from '../../document/names.ts';
import { formatInches } from '../../units/length.ts';

/** An item of a bunch as the entry line would be given it: parsing it back gives the same item. */
function printItem(item: BunchItem, slots: readonly Slot[], materialOf: MaterialOf): string {
	const { what, count, gas, ribbon, name, swappable } = item;
	const many = `${manyWords(item)}${item.range ? '' : ' ×'}`;
	const nameOf = (id: string | null, none: string) => (id === null ? none : nameIn(materialOf)(id));
	const thing =
		what.kind === 'balloon'
			? `${many} ${printOwn(what.balloon, slots)}`
			: what.kind === 'letters'
				? `${count > 1 ? `${count} ` : ''}letters ${what.text} at ${formatInches(what.height)} of ${slotName(what.slot, slots)}`
				: `${many} ${plain(nameOf(what.material, 'not chosen yet'))}`;
	const usual =
		what.kind === 'balloon'
			? slotName(what.balloon.slot, slots)
			: what.kind === 'letters'
				? what.text.toLowerCase()
				: nameOf(what.material, '');
	return [
		thing,
		what.kind !== 'balloon' && what.look === 'firm' ? 'firm' : '',
		gas === 'helium' ? 'in helium' : '',
		ribbon
			? `on ${ribbon.length === null ? '' : `${printLong(ribbon.length)} `}${ribbon.material === null ? (ribbon.length === null ? 'ribbon' : '') : plain(nameOf(ribbon.material, ''))}`.trimEnd()
			: '',
		name.toLowerCase() === usual.toLowerCase() ? '' : `as ${name}`,
		swappable ? 'swappable' : ''
	]
		.filter(Boolean)
		.join(' ');
}

/** A name without the marks that the entry line reads as its own. */
const plain = (name: string): string => name.replace(/,/g, '');

function printWeight(weight: BunchWeight, slots: readonly Slot[], materialOf: MaterialOf): string {
	if (weight.kind === 'balloon') return `weight ${printOwn(weight.balloon, slots)}`;
	const name = weight.material === null ? 'not chosen yet' : nameIn(materialOf)(weight.material);
	return `weight ${weight.count > 1 ? `${weight.count} ` : ''}${plain(name)}`;
}

const slotOf = ({ what }: BunchItem) =>
	what.kind === 'balloon' ? what.balloon.slot : what.kind === 'letters' ? what.slot : null;

export const print: PrintFacet<Bunch> = {
	lines: ({ items, weight }, { slots, materialOf }) => [
		...items.map((item) => ({
			id: item.id,
			about: 'row' as const,
			text: printItem(item, slots, materialOf),
			slot: slotOf(item)
		})),
		...(weight
			? [
					{
						id: null,
						about: 'more' as const,
						text: printWeight(weight, slots, materialOf),
						slot: weight.kind === 'balloon' ? weight.balloon.slot : null
					}
				]
			: [])
	],
	said({ items, weight }, { text }, { slots, materialOf }) {
		const more = ({ what }: BunchItem) =>
			what.kind === 'balloon' ? printPlaces([what.balloon], nameIn(materialOf)) : printFoil(what);
		return [
			text,
			...(weight ? [printWeight(weight, slots, materialOf)] : []),
			...items.map((item) => `${printItem(item, slots, materialOf)}${more(item)}`)
		];
	},
	part: ({ items }, id, section) => countedPart(items, id, section)
};
