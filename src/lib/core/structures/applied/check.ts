import type { CheckContext, CheckFacet } from '../facets/check.ts';
import { foilSail, foilSize } from '../kit/foil-size.ts';
import type { Applied, AppliedPiece, Fixing } from './document.ts';
import { piecesIn } from './edit.ts';
import { inches } from '../../units/length.ts';
import type { Finding } from '../../checks/finding.ts';
import { hostLost } from '../kit/over-safe.ts';

/** Fixings that stick straight on what they hold. */
const STICKS: ReadonlySet<Fixing> = new Set<Fixing>(['strip', 'dash', 'glue']);

export const check: CheckFacet<Applied> = {
	held: () => false,
	check: ({ pieces }, context) =>
		pieces.flatMap((piece) =>
			[...checkPiece(piece, context), ...checkFoil(piece, context)].map((f) => ({ ...f, about: piece.id }))
		)
};

/** A foil whose size nobody said. */
function checkFoil({ what, name }: AppliedPiece, { catalogue }: CheckContext): Finding[] {
	const found = what.kind === 'material' ? catalogue.materials.get(what.material ?? '') : undefined;
	if (!found?.kind.startsWith('foil')) return [];
	const flat = what.kind === 'material' ? what.flat : null;
	return [...foilSize(found), ...(flat === null ? [] : foilSail(name, flat))];
}

function checkPiece(piece: AppliedPiece, { recipe, lost, catalogue }: CheckContext): Finding[] {
	const findings: Finding[] = [];
	if (lost.includes(piece.id)) findings.push(hostLost(piece.name));
	const printed = (material: string | null) => {
		const found = material === null ? undefined : catalogue.materials.get(material);
		return (
			found !== undefined &&
			found.kind.startsWith('foil') &&
			catalogue.colours.get(found.colour ?? '')?.finish === 'printed'
		);
	};
	const onPrinted =
		(piece.what.kind === 'material' && printed(piece.what.material)) ||
		piece.on.some(({ host }) => {
			const under =
				host.on === 'piece' ? piecesIn(recipe).find((p) => p.piece.id === host.piece)?.piece : undefined;
			return under?.what.kind === 'material' && printed(under.what.material);
		});
	if (onPrinted && STICKS.has(piece.fixing)) {
		findings.push({
			code: 'printed-foil',
			level: 'watch',
			say: `${piece.name}: adhesive straight on printed foil lifts the print. Put a tape patch first, then the strip.`,
			why: 'The print comes off with the strip, and the piece with it.',
			remedy: {
				label: 'Patch first',
				act: { kind: 'fixing', piece: piece.id, fixing: 'patch and strip' }
			}
		});
	}
	// A five weighs next to nothing.
	const heavy = piece.what.kind === 'material' || piece.what.balloon.nominal > inches(5);
	const hangs = heavy && piece.on.some(({ host }) => 'way' in host && host.way === 'down');
	if (STICKS.has(piece.fixing) && piece.fixing !== 'glue' && hangs)
		findings.push({
			code: 'peels',
			level: 'watch',
			say: `${piece.name}: what hangs under a ball peels off its ${piece.fixing}. Glue it, or tie it as well.`,
			why: 'Adhesive holds against sliding. Weight that pulls straight off it peels it from one edge.',
			remedy: { label: 'Glue it', act: { kind: 'fixing', piece: piece.id, fixing: 'glue' } }
		});
	return findings;
}
