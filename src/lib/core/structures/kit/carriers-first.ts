import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';

/** Pieces in the order in which they can be seated: what carries another comes before it, else as they are. */
export function carriersFirst<P extends { readonly id: Id }>(
	pieces: readonly P[],
	hostsOf: (piece: P) => readonly Host[]
): P[] {
	const depth = (piece: P, seen = 0): number => {
		const under = hostsOf(piece).flatMap((host) => (host.on === 'piece' ? [host.piece] : []));
		const below = pieces.filter((p) => p.id !== piece.id && under.includes(p.id));
		// Pieces on each other, which no schema lets through, end here.
		return seen > pieces.length || below.length === 0
			? seen
			: Math.max(...below.map((p) => depth(p, seen + 1)));
	};
	return [...pieces].sort((a, b) => depth(a) - depth(b));
}
