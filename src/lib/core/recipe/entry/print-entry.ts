import { printSize } from '../../sizing/size.ts';
import { formatInches } from '../../units/length.ts';
import type { Pattern } from '../pattern.ts';
import type { Cluster, Layer, Slot } from '../recipe.ts';

/** A layer as the entry line would be given it: parsing it back gives the same layer. Clusters of unlike places print their first. */
export function printLayer(layer: Layer, slots: readonly Slot[]): string {
	const clusters = layer.clusters.map((cluster) => `${printCluster(cluster)} ${printPlace(cluster, slots)}`);
	const tail = [
		layer.repeat > 1 ? `×${layer.repeat}` : '',
		layer.turn === 'none' ? 'straight' : '',
		layer.joining ? `joined ${layer.joining}` : ''
	];
	return [clusters.join(' + '), ...tail].filter(Boolean).join(' ');
}

/** `4 × 11 at 9½`; a size nobody said is left out. */
export function printCluster({ places }: Cluster): string {
	const [first] = places;
	if (!first) return '';
	const size = first.size.kind === 'unknown' ? '' : ` at ${printSize(first.size)}`;
	return `${places.length} × ${formatInches(first.nominal)}${size}`;
}

function printPlace(cluster: Cluster, slots: readonly Slot[]): string {
	const side = cluster.side === 'all' ? '' : ` ${cluster.side}`;
	return `${printPattern(cluster.pattern, slots)}${side}${cluster.tier > 0 ? ` tier ${cluster.tier}` : ''}`;
}

/** `spiral left main / pop`, in slot names. */
export function printPattern(pattern: Pattern, slots: readonly Slot[]): string {
	const name = (id: string) => slots.find((s) => s.id === id)?.name ?? 'no slot';
	switch (pattern.kind) {
		case 'same':
			return name(pattern.slot);
		case 'list':
			return pattern.slots.map(name).join(' / ');
		case 'spiral':
			return `spiral ${pattern.hand} ${pattern.slots.map(name).join(' / ')}`;
		case 'rings':
		case 'checker':
			return `${pattern.kind} ${pattern.slots.map(name).join(' / ')}`;
		case 'blocks':
			return `blocks ${pattern.blocks.map((b) => `${b.rings} ${name(b.slot)}`).join(' / ')}`;
	}
}
