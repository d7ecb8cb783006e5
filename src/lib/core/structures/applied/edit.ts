import { ofKind } from '../kinds.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import type { Applied, AppliedPiece } from './document.ts';
import type { Home } from '../facets/language.ts';
import type { Id } from '../../document/id.ts';
import type { RecipeDraft } from '../../recipe/draft.ts';
import { ON_THE_FLOOR } from '../../document/stand.ts';
import type { Mutable } from '../../document/mutable.ts';

/** Every applied piece of a design with the section that carries it, which its section stands by. */
export const piecesIn = ({
	sections
}: Pick<Recipe, 'sections'>): { piece: AppliedPiece; section: Id; host: Id | null }[] =>
	ofKind(sections, 'applied').flatMap(({ section: { id, stand }, structure }) =>
		structure.pieces.map((piece) => ({ piece, section: id, host: stand.by }))
	);

/** The section of the pieces of a host, or the one to make for them; a host of null is a wall. */
export function sectionFor(sections: Recipe['sections'], host: Id | null): Home<Applied> {
	const own = sections.find((s) => s.structure.kind === 'applied' && s.stand.by === host);
	if (own) return { section: own.id };
	const name = sections.find((s) => s.id === host)?.name;
	return {
		name: name === undefined ? 'on the wall' : `on ${name}`,
		structure: { kind: 'applied', pieces: [] },
		stand: { ...ON_THE_FLOOR, by: host }
	};
}

export function changePiece(recipe: RecipeDraft, id: Id, work: (piece: Mutable<AppliedPiece>) => void) {
	for (const { structure } of recipe.sections) {
		if (structure.kind !== 'applied') continue;
		const piece = structure.pieces.find((p) => p.id === id);
		if (piece) work(piece);
	}
}
