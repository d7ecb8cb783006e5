import type { FormPiece } from '../../core/recipe/recipe.ts';
import type { PumpProfile } from '../../core/sizing/strokes.ts';
import { nestingOf, strokeWords } from '../../core/structures/form.ts';
import { formatInches, um } from '../../core/units/length.ts';

const inch = (mm: number): string => formatInches(um(Math.round((mm / 25.4) * 4) * 6350));

/** What follows from a piece of a form: strokes of each pump that was measured, and how a set of bands lies. */
export function pieceWords(piece: FormPiece, pumps: readonly PumpProfile[]): string {
	const nested = nestingOf(piece);
	const short = nested && Math.max(...nested.steps.map((s) => s.short));
	const lies = !nested
		? []
		: nested.flat
			? ['lie flat']
			: [
					`fan out: each needs ${inch(nested.steps[0]!.needs)} in more than the one inside, ${inch(short!)} short`
				];
	return [...strokeWords(piece, pumps), ...lies].join(' · ');
}
