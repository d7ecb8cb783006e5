import type { FormPiece } from '../../../../core/structures/form/document.ts';
import type { PumpProfile } from '../../../../core/sizing/strokes.ts';
import { nestingOf, strokeWords } from '../../../../core/structures/form/count.ts';
import { formatQuarters } from '../../../../core/units/length.ts';

/** What follows from a piece of a form: strokes of each pump that was measured, and how a set of bands lies. */
export function pieceWords(piece: FormPiece, pumps: readonly PumpProfile[]): string {
	const nested = nestingOf(piece);
	const short = nested && Math.max(...nested.steps.map((s) => s.short));
	const lies = !nested
		? []
		: nested.flat
			? ['lie flat']
			: [
					`fan out: each needs ${formatQuarters(nested.steps[0]!.needs)} in more than the one inside, ${formatQuarters(short!)} short`
				];
	return [...strokeWords(piece, pumps), ...lies].join(' · ');
}
