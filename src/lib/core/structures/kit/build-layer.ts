import { layersForHeight, ownPitch } from '../../geometry/antiprism.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { ColourRef, SaidCluster } from '../../language/said.ts';
import type { SaidLayer } from '../stack/said.ts';
import { MOST_REPEATS } from '../../document/limits.ts';
import type { Cluster } from '../../document/cluster.ts';
import type { Slot } from '../../document/slot.ts';
import type { Layer } from '../stack/document.ts';
import type { NewId } from '../../document/id.ts';
import { newSlot } from './new-slot.ts';
import { sameBalloons, filled, buildPattern } from './build-cluster.ts';

/** A layer made from what was said, with the slots it still needs. */
export interface BuiltLayer {
	readonly layer: Layer;
	readonly newSlots: readonly { readonly slot: Slot; readonly colour: string | null }[];
}

export function buildLayer(said: SaidLayer, squash: number, newId: NewId): BuiltLayer {
	const made = new Map<string | null, { slot: Slot; colour: string | null }>();
	const slotId = (ref: ColourRef): string => {
		if ('slot' in ref) return ref.slot;
		const own = made.get(ref.colour) ?? {
			slot: newSlot(ref, newId),
			colour: ref.colour
		};
		made.set(ref.colour, own);
		return own.slot.id;
	};
	const clusters = said.clusters.map((cluster): Cluster => ({
		id: newId(),
		places: [
			...sameBalloons(cluster, null, cluster.count, newId).map((p) => ({ ...p, ...filled(cluster, slotId) })),
			...cluster.others.flatMap((other) =>
				sameBalloons(other, other.colour && slotId(other.colour), other.count, newId)
			)
		],
		side: cluster.side,
		tier: cluster.tier,
		pattern: buildPattern(cluster.pattern, slotId)
	}));
	const repeat =
		said.toHeight === null ? said.repeat : repeatsFor(said.clusters[0]!, said.toHeight / 1000, squash);
	return {
		layer: { id: newId(), clusters, repeat, turn: said.turn, joining: said.joining },
		newSlots: [...made.values()]
	};
}

function repeatsFor({ count, nominal, size }: SaidCluster, height: number, squash: number): number {
	const { assumed } = resolveSize(size, nominal);
	return Math.min(MOST_REPEATS, layersForHeight(height, ownPitch(count, assumed, squash)));
}
