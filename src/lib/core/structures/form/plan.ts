import type { PlanFacet } from '../facets/plan.ts';
import type { FormPiece, Form } from './document.ts';
import type { StepKit } from '../kit/step-kit.ts';
import type { MadeStep, StepLine } from '../../plan/made-step.ts';
import { bubbleWords, inARow, isBlown, pieceTasks, sharesOf, strokeWords, turnsOf } from './count.ts';
import { hostOf } from '../../plan/step-words.ts';

const turnWords = (piece: FormPiece): string => {
	const turns = turnsOf(piece);
	return turns === 1 ? 'once' : turns === 2 ? 'twice' : `${turns} times`;
};

/** How a piece is made, in the order it is done. */
function shapingWords(piece: FormPiece): string {
	return [
		piece.take.kind === 'cut' ? `cut one in ${piece.take.pieces}` : '',
		piece.take.kind === 'scrap' ? 'of left-over ends' : '',
		piece.take.kind === 'part' ? 'the rest is kept to tie with' : '',
		piece.take.kind === 'trimmed' ? 'the rest is cut off and thrown away: no scrap is left lying' : '',
		inARow(piece) > 1 ? `${inARow(piece)} tied end to end, neck to tail` : '',
		piece.neckOff ? 'neck cut off' : '',
		piece.softened ? 'squeezed soft before it is twisted' : '',
		piece.bubbles.length > 1 ? `twisted in ${piece.bubbles.length === 2 ? 'two' : piece.bubbles.length}` : '',
		piece.strands > 1 ? `${piece.strands} spiralled together` : '',
		piece.shaping === 'wound' ? 'filled and wound on a rod, emptied, then filled a second time' : '',
		piece.shaping === 'trained' ? 'bent by hand until it stays' : '',
		piece.shaping === 'bent' ? `bent over ${piece.angle}°` : '',
		piece.shaping === 'folded' ? 'folded in the middle, both ends tied' : '',
		piece.shaping === 'belt' ? 'laid round and tied to itself where nobody sees it' : '',
		piece.shaping === 'twined'
			? `wound round ${turnWords(piece)}, untwisted as it goes so that it lies smooth`
			: '',
		piece.shaping === 'sleeve' ? 'drawn over the stick before anything is fixed to that' : ''
	]
		.filter(Boolean)
		.join(', ');
}

export const plan: PlanFacet<Form> = { last: false, steps: formSteps };

/** Modelling balloons filled, then piece by piece. */
function formSteps(form: Form, kit: StepKit): MadeStep[] {
	const lines = form.pieces.flatMap((piece): StepLine[] => {
		if (!isBlown(piece)) return [];
		const pumped = strokeWords(piece, kit.context.pumps);
		const all = piece.count * piece.strands * inARow(piece) * kit.all;
		return [...sharesOf(piece)].map(([slot, share]) => {
			const colour = kit.colour(slot);
			return {
				count: share.mul(all).valueOf(),
				text: [`${piece.model}, ${bubbleWords(piece)}`, colour.name, ...pumped].join(', '),
				colours: colour.id === null ? [] : [colour.id]
			};
		});
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
		const over = piece.to ? `, over to where it is tied ${hostOf(piece.to, kit.recipe)}` : '';
		const where = piece.at === null ? '' : ` ${hostOf(piece.at, kit.recipe)}${over}`;
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
