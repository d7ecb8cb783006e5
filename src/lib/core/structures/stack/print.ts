import { manyWords } from '../../document/count-range.ts';
import type { Stack, Layer } from './document.ts';
import { followWords } from './follow.ts';
import { likeWords } from './like.ts';
import { formatFeet, formatInches, formatLength, toMillimetres } from '../../units/length.ts';
import type { Slot } from '../../document/slot.ts';
import type { MaterialOf, PrintContext, PrintedLine, PrintFacet } from '../facets/print.ts';
import { printCluster } from '../kit/print-balloon.ts';
import { nameIn, printPlaces } from '../kit/print-words.ts';

/** A row by itself: one layer of it, hanging on no other. */
export const alone = (layer: Layer): Layer => ({
	...layer,
	repeat: 1,
	range: undefined,
	follows: undefined,
	like: undefined
});

/** `×3`, `×3 to 4`. */
const layersWords = ({ repeat, range }: Pick<Layer, 'repeat' | 'range'>): string =>
	range || repeat > 1 ? `×${manyWords({ count: repeat, range })}` : '';

/** A layer as the entry line would be given it: parsing it back gives the same layer. */
export function printLayer(
	layer: Layer,
	slots: readonly Slot[],
	rows: readonly Layer[] = [],
	sections: PrintContext['sections'] = []
): string {
	const tail = [
		layersWords(layer),
		layer.turn === 'none' ? 'straight' : '',
		layer.joining ? `joined ${layer.joining}` : '',
		layer.follows ? followWords(layer.follows, rows) : '',
		layer.like ? likeWords(layer.like, rows, sections) : ''
	];
	return [layer.clusters.map((c) => printCluster(c, slots)).join(' + '), ...tail].filter(Boolean).join(' ');
}

/** What a stack stands on and is held up by, a line each; what is as it usually is says nothing. */
function printStack(stack: Stack, nameOf: (id: string) => string): string[] {
	const { upright, onFloor, on = 'table', joining, squash } = stack;
	const held = upright.material === null ? '' : `, ${nameOf(upright.material)}`;
	const length = upright.length === null ? '' : ` ${formatFeet(toMillimetres(upright.length))}`;
	return [
		upright.kind === 'none'
			? ''
			: `${upright.kind}${length}${held}, tied ${formatInches(upright.tie)} in over the top`,
		onFloor ? '' : `stands on a ${on}`,
		joining === 'twisted on' ? '' : `joined ${joining}`,
		squash === 0.8 ? '' : `rises by ${squash}`
	].filter(Boolean);
}

/** What a pole is of, as it is typed; nothing where it is not chosen, or not there any more. */
function ofThing(material: string | null, materialOf: MaterialOf): string {
	const thing = material === null ? undefined : materialOf(material);
	return thing ? ` of ${thing.name}` : '';
}

const more = (text: string): PrintedLine => ({ id: null, about: 'more', text, slot: null });

export const print: PrintFacet<Stack> = {
	lines: ({ layers, upright, onFloor, on = 'table' }, { slots, materialOf, sections }) => [
		...layers.map((l) => ({
			id: l.id,
			about: 'row' as const,
			text: printLayer(l, slots, layers, sections),
			slot: null
		})),
		...(upright.kind === 'none' || upright.length === null
			? []
			: [
					more(
						`${upright.kind} ${formatLength({ um: upright.length, unit: 'ft' })}${ofThing(upright.material, materialOf)}`
					)
				]),
		...(onFloor ? [] : [more(`stands on a ${on}`)])
	],
	said(stack, { text, lone }, { slots, materialOf, sections }) {
		const nameOf = nameIn(materialOf);
		const places = (layer: Layer) => layer.clusters.map((c) => printPlaces(c.places, nameOf)).join('');
		return [
			...(lone ? [] : [text]),
			...stack.layers.map((layer) => `${printLayer(layer, slots, stack.layers, sections)}${places(layer)}`),
			...printStack(stack, nameOf)
		];
	},
	part({ layers }, id, section, { slots }) {
		const at = layers.findIndex((l) => l.id === id);
		return at < 0 ? undefined : `${section}, row ${at + 1}: ${printLayer(layers[at]!, slots, layers)}`;
	}
};
