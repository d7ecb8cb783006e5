import type { OwnBalloon } from '../../document/cluster.ts';
import type { Id, NewId } from '../../document/id.ts';
import type { ColourRef, OwnSaid } from '../../language/said.ts';
import { filled, saidPlace } from './build-cluster.ts';

/** A balloon that was said with a colour of its own, with what is in it and on it. @param slot finds or makes a slot */
export function ownBalloon(
	{ balloon, colour, ...fill }: OwnSaid,
	newId: NewId,
	slot: (ref: ColourRef) => Id
): { kind: 'balloon'; balloon: OwnBalloon } {
	const own = slot(colour);
	return { kind: 'balloon', balloon: { ...saidPlace(newId(), balloon), slot: own, ...filled(fill, slot) } };
}
