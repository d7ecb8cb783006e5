import type { VariantFacet } from '../facets/variant.ts';
import type { Applied } from './document.ts';
import type { Scale } from '../facets/variant.ts';
import { NO_STROKES, NO_WAY, NOT_LEADING } from '../kit/variant.ts';
import type { AppliedPiece } from './document.ts';
import type { Id } from '../../document/id.ts';
import { hollow } from '../kit/without.ts';
import { alongHost, scaleHost, scaleBalloon } from '../kit/scale.ts';

export const variant: VariantFacet<Applied> = {
	...NOT_LEADING,
	...NO_WAY,
	...NO_STROKES,
	scaled: (s, scale) => ({ ...s, pieces: s.pieces.map((piece) => scalePiece(piece, scale)) }),
	lengthened: (s, { factor }) => ({
		...s,
		pieces: s.pieces.map((p) => ({ ...p, on: p.on.map((o) => ({ ...o, host: alongHost(o.host, factor) })) }))
	}),
	without: (s, out) => ({ ...s, pieces: s.pieces.flatMap((p) => pieceWithout(p, out)) }),
	unhosted(s, isThere) {
		const pieces = s.pieces.flatMap((piece) => {
			const on = piece.on.filter(({ host }) => isThere(host));
			return on.length === 0 ? [] : on.length === piece.on.length ? [piece] : [{ ...piece, on }];
		});
		return { ...s, pieces };
	},
	swappables: ({ pieces }) =>
		pieces.flatMap(({ id, swappable, name, what }) =>
			swappable && what.kind === 'material' && what.material !== null
				? [{ element: id, name, now: what.material, what: 'material' as const }]
				: []
		),
	exchange: (s, element, to) => ({
		...s,
		pieces: s.pieces.map((p) =>
			p.id === element && p.what.kind === 'material' ? { ...p, what: { ...p.what, material: to } } : p
		)
	})
};

function scalePiece(piece: AppliedPiece, scale: Scale): AppliedPiece {
	const on = piece.on.map((o) => ({ ...o, host: scaleHost(o.host, scale.factor) }));
	if (piece.what.kind === 'balloon') {
		const { balloon } = piece.what;
		return {
			...piece,
			on,
			what: { ...piece.what, balloon: { ...balloon, ...scaleBalloon(balloon, scale) } }
		};
	}
	if (piece.what.flat !== null) scale.note(`${piece.name}: a foil comes in its own size and stays as it is.`);
	return { ...piece, on };
}

/** A piece goes with its own colour; a balloon inside it with its. */
function pieceWithout(piece: AppliedPiece, out: ReadonlySet<Id>): AppliedPiece[] {
	const { what } = piece;
	if (what.kind !== 'balloon') return [piece];
	if (out.has(what.balloon.slot)) return [];
	return [{ ...piece, what: { ...what, balloon: hollow(what.balloon, out) } }];
}
