import { slotName } from '../../document/names.ts';
import { printSize } from '../../sizing/size.ts';
import { weighingWords } from '../../document/inside.ts';
import { runsOf, type PlaceRun } from './alike.ts';
import { formatInches } from '../../units/length.ts';
import type { Pattern } from '../../document/pattern.ts';
import type { Cluster, Place } from '../../document/cluster.ts';
import type { Slot } from '../../document/slot.ts';

/** `3 × 11 at 9½ main with 1 × 11 at 7 pop`; a size nobody said is left out. */
export function printCluster(cluster: Cluster, slots: readonly Slot[]): string {
	const [first, ...others] = runsOf(cluster);
	if (!first) return '';
	const own = first.place.slot;
	const colours = own === null ? printPattern(cluster.pattern, slots) : nameOf(own, slots);
	const rest = others.map(({ place, count }) => {
		const colour = place.slot === null ? '' : ` ${nameOf(place.slot, slots)}`;
		return ` with ${count} × ${printBalloon(place)}${colour}`;
	});
	const side = cluster.side === 'all' ? '' : ` ${cluster.side}`;
	return `${countAndBalloon(first)} ${colours}${printFill(first.place, slots)}${rest.join('')}${side}${cluster.tier > 0 ? ` tier ${cluster.tier}` : ''}`;
}

/** ` filled with water`, ` filled with 5 at 4 gold`, ` painted dots`, ` neck cut`, ` twisted in two`. */
export function printFill(
	{ inside, painted, neckOff, twin }: Pick<Place, 'inside' | 'painted' | 'neckOff' | 'twin'>,
	slots: readonly Slot[]
): string {
	const tails = [
		painted === undefined ? '' : painted === true ? ' painted' : ` painted ${painted}`,
		neckOff ? ' neck cut' : '',
		twin ? ' twisted in two' : ''
	].join('');
	if (!inside) return tails;
	if (inside.kind === 'filling') return ` ${weighingWords(inside)}${tails}`;
	const { nominal, size, slot, holds } = inside;
	const inner = `${printBalloon({ nominal, size, method: null, kind: 'latex-round' })} ${nameOf(slot, slots)}`;
	return ` filled with ${inner}${holds ? ` ${weighingWords(holds)}` : ''}${tails}`;
}

/** Of what is twisted in two the balloons are counted. */
const countAndBalloon = ({ place, count }: PlaceRun): string =>
	`${place.twin ? Math.ceil(count / 2) : count} × ${printBalloon(place)}`;

/** `11 at 9½`, `6 hearts at 5 by eye`. */
export function printBalloon({
	nominal,
	size,
	method,
	kind,
	or
}: Pick<Place, 'nominal' | 'size' | 'method' | 'kind' | 'or'>): string {
	const heart = kind === 'latex-heart' ? ' hearts' : '';
	const at = size.kind === 'unknown' ? '' : ` at ${printSize(size)}`;
	const other = or === undefined ? '' : ` or ${formatInches(or)}`;
	return `${formatInches(nominal)}${heart}${other}${at}${method === 'eye' ? ' by eye' : ''}`;
}

/** What a row says first: its first cluster, without colours. */
export function printShort(cluster: Cluster): string {
	const runs = runsOf(cluster);
	return runs.map(countAndBalloon).join(' with ');
}

const nameOf = (id: string, slots: readonly Slot[]): string => slotName(id, slots);

/** `spiral left main / pop`, in slot names. */
export function printPattern(pattern: Pattern, slots: readonly Slot[]): string {
	const name = (id: string) => nameOf(id, slots);
	switch (pattern.kind) {
		case 'same':
			return name(pattern.slot);
		case 'list':
			return pattern.slots.map(name).join(' / ');
		case 'spiral':
			return `spiral ${pattern.hand} ${pattern.slots.map(name).join(' / ')}`;
		case 'rings':
		case 'gradient':
		case 'checker':
			return `${pattern.kind} ${pattern.slots.map(name).join(' / ')}`;
		case 'blocks':
			return `blocks ${pattern.blocks.map((b) => `${b.rings} ${name(b.slot)}`).join(' / ')}`;
	}
}
