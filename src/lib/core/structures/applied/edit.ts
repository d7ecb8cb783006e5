import type { Recipe } from '../../recipe/recipe.ts';
import type { AppliedPiece } from './document.ts';
import type { Id } from '../../document/id.ts';
import { type RecipeDraft, addSection, dropUnusedSlots } from '../../recipe/edit.ts';
import { type NewId, newSection } from '../../recipe/build.ts';
import { ON_THE_FLOOR } from '../../document/stand.ts';
import type { Mutable } from '../../document/mutable.ts';

/** Every applied piece of a design with the section that carries it, which its section stands by. */
export const piecesIn = (recipe: Recipe): { piece: AppliedPiece; section: Id; host: Id | null }[] =>
	recipe.sections.flatMap(({ id, structure, stand }) =>
		structure.kind === 'applied'
			? structure.pieces.map((piece) => ({ piece, section: id, host: stand.by }))
			: []
	);

/** Adds a piece to the pieces of its host, making the section for them where it is the first. */
export function addPiece(recipe: RecipeDraft, piece: AppliedPiece, host: Id | null, newId: NewId) {
	let own = recipe.sections.find((s) => s.structure.kind === 'applied' && s.stand.by === host);
	if (!own) {
		const name = recipe.sections.find((s) => s.id === host)?.name;
		const section = newSection(newId(), name === undefined ? 'on the wall' : `on ${name}`, {
			kind: 'applied',
			pieces: []
		});
		addSection(recipe, { ...section, stand: { ...ON_THE_FLOOR, by: host } });
		own = recipe.sections.at(-1)!;
	}
	if (own.structure.kind === 'applied') own.structure.pieces.push(piece as Mutable<AppliedPiece>);
}

export function changePiece(recipe: RecipeDraft, id: Id, work: (piece: Mutable<AppliedPiece>) => void) {
	for (const { structure } of recipe.sections) {
		if (structure.kind !== 'applied') continue;
		const piece = structure.pieces.find((p) => p.id === id);
		if (piece) work(piece);
	}
}

/** Takes a piece out, with its section where it was the last in it. */
export function removePiece(recipe: RecipeDraft, id: Id) {
	for (const { structure } of recipe.sections)
		if (structure.kind === 'applied') structure.pieces = structure.pieces.filter((p) => p.id !== id);
	const empty = (s: (typeof recipe.sections)[number]) =>
		s.structure.kind === 'applied' && s.structure.pieces.length === 0;
	if (recipe.sections.some((s) => !empty(s))) recipe.sections = recipe.sections.filter((s) => !empty(s));
	dropUnusedSlots(recipe);
}
