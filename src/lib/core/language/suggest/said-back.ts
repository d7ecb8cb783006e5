import { weighingWords } from '../../document/inside.ts';
import type { ColourRef, SaidCluster, SaidPattern } from '../said.ts';
import { printSize } from '../../sizing/size.ts';
import { formatFeet, formatInches, toMillimetres } from '../../units/length.ts';
import type { EntryContext } from '../context.ts';
import type { Entry } from '../entry.ts';
import type { LineRead } from '../plain/read-line.ts';
import { nameHeld } from './used.ts';
import { partsInHand } from '../sentences/parts.ts';

const PATTERN: Readonly<Record<SaidPattern['kind'], string>> = {
	same: '',
	list: '',
	rings: 'rows of ',
	spiral: 'a spiral of ',
	checker: 'a checker of ',
	blocks: 'blocks of ',
	gradient: 'a gradient from '
};
const TIMES: Readonly<Record<number, string>> = { 2: 'twice', 3: 'three times', 4: 'four times' };

const isUnseen = (ref: ColourRef, { slots }: EntryContext): boolean =>
	'slot' in ref ? slots.some((s) => s.id === ref.slot && s.any) : 'any' in ref;

/** A colour as it is known in the Stockroom. */
function colourName(ref: ColourRef, context: EntryContext): string {
	const id = 'slot' in ref ? context.colourway?.fills[ref.slot] : ref.colour;
	const colour = context.colours.find((c) => c.id === id);
	return (
		(!colour && isUnseen(ref, context) ? 'any colour, nobody sees it' : undefined) ??
		nameHeld(colour) ??
		('slot' in ref ? (context.slots.find((s) => s.id === ref.slot)?.name ?? 'a colour') : ref.name)
	);
}

function clusterWords(cluster: SaidCluster, context: EntryContext): string {
	const { count, nominal, kind, size, method, pattern, others, inside, painted, neckOff, twin, side, or } =
		cluster;
	const other = or === undefined ? '' : ` or ${formatInches(or)}`;
	const bag = `${formatInches(nominal)}${other}-inch${kind === 'latex-heart' ? ' hearts' : ''}`;
	const colours = pattern.colours.map((c) => colourName(c.ref, context));
	const joined = colours.join(pattern.kind === 'gradient' ? ' to ' : ' and ');
	const sized = size.kind === 'unknown' ? '' : ` at ${printSize(size)}${method === 'eye' ? ' by eye' : ''}`;
	const more = others.map((o) => {
		const own = o.colour ? ` ${colourName(o.colour, context)}` : '';
		return ` with ${o.count} × ${formatInches(o.nominal)}-inch${own}${o.size.kind === 'unknown' ? '' : ` at ${printSize(o.size)}`}`;
	});
	const filled = !inside
		? ''
		: 'of' in inside
			? `, ${weighingWords(inside)}`
			: `, a ${formatInches(inside.balloon.nominal)}-inch ${colourName(inside.colour, context)} inside${inside.holds ? ` that is ${weighingWords(inside.holds)}` : ''}`;
	const treated = [
		painted ? `, painted${painted === true ? '' : ` ${painted}`}` : '',
		neckOff ? ', necks cut off' : '',
		twin ? ', two bubbles of each balloon' : ''
	].join('');
	const looks = side === 'all' ? '' : `, ${side}`;
	return `${twin ? count / 2 : count} × ${bag} ${PATTERN[pattern.kind]}${joined}${sized}${more.join('')}${filled}${treated}${looks}`;
}

/** How often, how high. */
function oftenWords({ repeat, toHeight }: { repeat: number; toHeight?: number | null }): string {
	if (toHeight != null) return `, as many layers as reach ${formatFeet(toMillimetres(toHeight as never))}`;
	return repeat > 1 ? `, ${TIMES[repeat] ?? `${repeat} times`}` : '';
}

function entryWords(entry: Entry, line: string, context: EntryContext): string {
	switch (entry.kind) {
		case 'layer': {
			const { clusters, repeat, toHeight, turn } = entry.layer;
			const words = clusters.map((c) => clusterWords(c, context)).join(' and ');
			return `${words}${oftenWords({ repeat, toHeight })}${turn === 'none' ? ', not turned' : ''}`;
		}
		case 'becomes': {
			const part = partsInHand(context).find((p) => p.id === entry.part);
			return `${part?.called ?? 'it'} becomes ${entryWords(entry.entry, line.replace(/^.*? becomes /, ''), context)}`;
		}
		case 'recolour': {
			const to = context.colours.find((c) => c.id === entry.to)?.name ?? 'another colour';
			return `all ${context.slots.find((s) => s.id === entry.slot)?.name ?? ''} in ${to}`;
		}
		case 'step':
			return `a step of the plan: ${entry.text}`;
		default:
			return line;
	}
}

/**
 * What was understood, as one sentence: `6 × 11-inch gull white at 10½, twice, on top`.
 * @param place where it goes, in words @returns nothing where the line was not understood
 */
export function saidBack({ lines, parsed }: LineRead, context: EntryContext, place: string): string {
	if (!parsed.ok) return '';
	const first = entryWords(parsed.value, lines[0]!, context);
	const where = parsed.value.kind === 'layer' ? `, ${place}` : '';
	const more = lines.slice(1);
	return more.length === 0 ? `${first}${where}` : `${first}; then ${more.join('; then ')}`;
}
