import type { StepKit } from '../kit/step-kit.ts';
import type { AppliedPiece } from './document.ts';
import type { MadeStep, StepLine } from '../../plan/made-step.ts';
import { formatInches } from '../../units/length.ts';
import { countOfPiece } from './count.ts';
import { FOIL_TOOL } from '../../plan/step-words.ts';
import { LOOKS } from '../bunch/count.ts';

/** Foils among the pieces of a face, told by their look. */
export function pieceFoils(kit: StepKit, pieces: readonly AppliedPiece[]): MadeStep[] {
	const lines = pieces.flatMap((piece): StepLine[] => {
		const { what } = piece;
		if (what.kind !== 'material' || what.flat === null) return [];
		const found = kit.context.catalogue.materials.get(what.material ?? '');
		const text = `${found?.name ?? `${piece.name}, not chosen yet`}, ${formatInches(what.flat)} in flat`;
		return [{ count: countOfPiece(piece) * kit.all, text, colours: found?.colour ? [found.colour] : [] }];
	});
	if (lines.length === 0) return [];
	const work = kit.share('foil');
	return [
		kit.made('foils', `Fill the foils with air.`, { lines, tool: FOIL_TOOL, check: LOOKS.creased, work })
	];
}
