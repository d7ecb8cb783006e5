import type { VariantFacet } from '../facets/variant.ts';
import type { Form } from './document.ts';
import type { Host } from '../../document/host.ts';
import { NO_WAY, NOT_LEADING, NOTHING_SWAPPED } from '../kit/variant.ts';
import { alongHost, scaleHost, sizesOfTheirOwn } from '../kit/scale.ts';
import type { FormPiece } from './document.ts';
import type { Id } from '../../document/id.ts';
import { isWhole, MODEL_SIZE, slotsOf } from './count.ts';
import { fitted } from './place.ts';
import { modellingLength } from '../../gas/volume.ts';
import { um } from '../../units/length.ts';

export const variant: VariantFacet<Form> = {
	...NOT_LEADING,
	...NOTHING_SWAPPED,
	...NO_WAY,
	scaled(s, scale) {
		sizesOfTheirOwn(scale);
		return onHosts(s, (host) => scaleHost(host, scale.factor));
	},
	lengthened: (s, { factor }) => onHosts(s, (host) => alongHost(host, factor)),
	without: (s, out) => ({ ...s, pieces: s.pieces.flatMap((p) => withoutSlots(p, out)) }),
	unhosted: (s, isThere) => ({
		...s,
		pieces: s.pieces.filter((p) => [p.at, p.to].every((host) => !host || isThere(host)))
	}),
	fits: ({ pieces }) => pieces.some((p) => p.fits),
	fitted,
	pumped: (s, stroke) => ({ ...s, pieces: s.pieces.map((p) => limbReached(p, stroke)) })
};

const onHosts = (s: Form, by: (host: Host) => Host): Form => ({
	...s,
	pieces: s.pieces.map((p) => ({ ...p, at: p.at && by(p.at), ...(p.to && { to: by(p.to) }) }))
});

/** What is of several colours keeps those that are left. */
function withoutSlots(piece: FormPiece, out: ReadonlySet<Id>): FormPiece[] {
	const [slot, ...more] = slotsOf(piece).filter((id) => !out.has(id));
	return slot === undefined ? [] : [{ ...piece, slot, ...(piece.more && { more }) }];
}

/** Strokes fill a modelling balloon to a length, at its own width; lengths that were said stay. */
function limbReached(piece: FormPiece, stroke: ReadonlyMap<string, number>): FormPiece {
	const { size, model } = piece;
	const k = size.kind === 'strokes' ? stroke.get(size.pump ?? '') : undefined;
	if (size.kind !== 'strokes' || k === undefined || !isWhole(piece)) return piece;
	const width = MODEL_SIZE[model].width / 1000;
	const filled = modellingLength(k * size.strokes, width);
	const most = piece.bubbles[0]!;
	return { ...piece, bubbles: [um(Math.min(most, Math.round(filled * 1000)))] };
}
