import { inHand, type Home, type LanguageFacet, type Take } from '../facets/language.ts';
import { buildLayer } from '../kit/build-layer.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { Layer, Stack } from './document.ts';
import { keepUnsaid } from './edit.ts';
import { emptyStack } from './empty.ts';
import { layer as readLayer, stands as readStands, upright as readUpright } from './read.ts';
import type { StackSaid } from './said.ts';

const layer: Take<Stack, Extract<StackSaid, { kind: 'layer' }>> = (
	{ structure: { layers, squash } },
	{ layer: said },
	{ index, editing },
	kit
) => {
	const built = buildLayer(said, squash, kit.newId);
	const { follows, range, like } = said;
	const next = {
		...built.layer,
		...(follows && { follows }),
		...(range && { range }),
		...(like && { like })
	} as Mutable<Layer>;
	const at = editing ? layers.findIndex((l) => l.id === editing) : -1;
	kit.addSlots(built);
	if (at >= 0) layers[at] = { ...keepUnsaid(next, layers[at]!), id: editing! };
	else layers.splice(index ?? layers.length, 0, next);
};

/** The stack in hand; else the newest where none is, and the first where something else is. */
const home: LanguageFacet<Stack, StackSaid>['home'] = (sections, _said, place): Home<Stack> => {
	const stacks = sections.filter((s) => s.structure.kind === 'stack');
	const nearest = place.section === undefined ? stacks.at(-1) : stacks[0];
	return inHand(sections, place, 'stack') ?? (nearest && { section: nearest.id });
};

export const language: LanguageFacet<Stack, StackSaid> = {
	starts: { word: 'section', empty: emptyStack },
	examples: ['4 11 at 9 white', '4 16 at 13 grey ×3', 'pole 7 ft', 'stands on a table'],
	phrases: [
		'four white elevens at nine, six layers',
		'a quad of red 11s sized to 9½, twice',
		'red and white spiral, quads of 11s at 9, up to 6 ft',
		'4 11s at 9, three white, one red',
		'four grey 16s at 13, then six layers of white quads, 11s at 9, then a gold 16 at 14',
		'half an inch smaller',
		'same again in red',
		'row 1 again, twice',
		'bottom row in black',
		'six of them',
		'make it 6 ft tall',
		'take row 1 out',
		'four white 11s, half an inch bigger than the row below',
		'on a 7 ft pole',
		'stands on a box'
	],
	shown: true,
	read: (r) => readStands(r) ?? readUpright(r),
	readAnywhere: readLayer,
	home,
	partOf: ({ kind }) => (kind === 'layer' ? 'row' : undefined),
	take: {
		layer,
		upright: ({ structure }, { upright }) => void Object.assign(structure.upright, upright),
		stands({ structure }, { onFloor, on }) {
			structure.onFloor = onFloor;
			if (on) structure.on = on;
			else delete structure.on;
		}
	}
};
