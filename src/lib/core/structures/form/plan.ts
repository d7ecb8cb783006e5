import type { PlanFacet } from '../facets/plan.ts';
import type { FormPiece, Form } from './document.ts';
import type { StepKit } from '../kit/step-kit.ts';
import type { MadeStep, StepLine } from '../../plan/made-step.ts';
import { strokeWords, bubbleWords, pieceTasks } from './count.ts';
import { hostOf } from '../../plan/step-words.ts';

/** How a piece is made, in the order it is done. */
function shapingWords(piece: FormPiece): string {
	return [
		piece.take.kind === 'cut' ? `cut one in ${piece.take.pieces}` : '',
		piece.take.kind === 'scrap' ? 'of left-over ends' : '',
		piece.take.kind === 'part' ? 'the rest is kept to tie with' : '',
		piece.neckOff ? 'neck cut off' : '',
		piece.softened ? 'squeezed soft before it is twisted' : '',
		piece.bubbles.length > 1 ? `twisted in ${piece.bubbles.length === 2 ? 'two' : piece.bubbles.length}` : '',
		piece.strands > 1 ? `${piece.strands} spiralled together` : '',
		piece.shaping === 'wound' ? 'wound on a rod and filled a second time' : '',
		piece.shaping === 'trained' ? 'bent by hand until it stays' : '',
		piece.shaping === 'bent' ? `bent over ${piece.angle}°` : ''
	]
		.filter(Boolean)
		.join(', ');
}

export const plan: PlanFacet<Form> = { last: false, steps: formSteps };

/** Modelling balloons filled, then piece by piece. */
function formSteps(form: Form, kit: StepKit): MadeStep[] {
	const lines = form.pieces.flatMap((piece): StepLine[] => {
		if (piece.bubbles.length === 0) return [];
		const colour = kit.colour(piece.slot);
		const pumped = strokeWords(piece, kit.context.pumps);
		return [
			{
				count: piece.count * piece.strands * kit.all,
				text: [`${piece.model}, ${bubbleWords(piece)}`, colour.name, ...pumped].join(', '),
				colours: colour.id === null ? [] : [colour.id]
			}
		];
	});
	const steps: MadeStep[] = [];
	if (lines.length > 0)
		steps.push(
			kit.made('inflate', `Inflate and tie the modelling balloons of ${kit.name}.`, {
				lines,
				tool: 'hand pump',
				check: 'a tail is left for every twist',
				work: [...kit.share('inflate modelling'), ...kit.share('tie')]
			})
		);
	for (const piece of form.pieces) {
		const work = pieceTasks(piece)
			.filter(({ task }) => task !== 'inflate modelling' && task !== 'tie')
			.map((t) => ({ ...t, count: t.count * kit.all }));
		const where = piece.at === null ? '' : ` ${hostOf(piece.at, kit.recipe)}`;
		steps.push(
			kit.made(
				'piece',
				`${piece.at === null ? 'Make' : 'Fix'} ${piece.count * kit.all} × ${piece.name}${where}.`,
				{ method: shapingWords(piece), check: 'it keeps its shape when it is let go', work },
				piece.id
			)
		);
	}
	return steps;
}
