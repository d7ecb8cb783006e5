import { plainTask } from '../../labour/task.ts';
import { inflateSteps } from '../kit/step-kit.ts';
import { FIXING_TOOL, FIXING_WAIT, hostOf } from '../../plan/step-words.ts';
import type { Applied } from './document.ts';
import type { PlanFacet } from '../facets/plan.ts';
import { saidWait } from '../kit/said-wait.ts';
import type { StepKit } from '../kit/step-kit.ts';
import type { AppliedPiece, Fixing } from './document.ts';
import type { MadeStep, StepLine } from '../../plan/made-step.ts';
import { formatInches } from '../../units/length.ts';
import { countOfPiece, fixingsOf, rangeOfPiece } from './count.ts';
import { manyWords } from '../../document/count-range.ts';
import { FOIL_TOOL } from '../../plan/step-words.ts';
import { LOOKS } from '../../document/foil-look.ts';

/** Foils among the pieces of a face, told by their look. */
function pieceFoils(kit: StepKit, pieces: readonly AppliedPiece[]): MadeStep[] {
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

export const plan: PlanFacet<Applied> = {
	last: false,
	steps: ({ pieces }, kit) => [
		...inflateSteps(kit),
		...pieceFoils(kit, pieces),
		...pieces.map((p) => pieceStep(p, kit))
	]
};

/** How it is fixed, with how much, and what is looked at before it is for good. */
function methodOf(piece: AppliedPiece): string {
	if (piece.then !== undefined)
		return `on trial with ${piece.fixing}; looked at from where the guests stand, then for good with ${amountOf(piece)}${piece.then}`;
	return TAKES_NOTHING[piece.fixing] ?? `with ${amountOf(piece)}${piece.fixing}`;
}
const TAKES_NOTHING: Readonly<Partial<Record<Fixing, string>>> = {
	tucked: 'tucked in',
	'own tail': 'by its own tail, tied short',
	'neck rolled in': 'its neck rolled in with a scrap and tucked behind'
};
const amountOf = ({ each }: AppliedPiece): string => (each === '1' ? '' : `${each} × `);

/** Glue waits as long as its maker says, where the Stockroom knows. */
function waitOf(fixing: Fixing, kit: StepKit): number {
	const usual = FIXING_WAIT[fixing] ?? 0;
	return fixing === 'glue' ? saidWait(kit, { of: ['dab of glue'], fact: 'setMinutes', usual }) : usual;
}

function pieceStep(piece: AppliedPiece, kit: StepKit): MadeStep {
	const count = countOfPiece(piece) * kit.all;
	const range = rangeOfPiece(piece);
	const many = range ? `${range.low * kit.all} to ${range.high * kit.all}` : String(count);
	const where = piece.on.map((tier) => {
		const { host, count: own } = tier;
		const share = piece.on.length > 1 ? `${kit.all > 1 ? own * kit.all : manyWords(tier)} ` : '';
		return `${share}${hostOf(host, kit.recipe)}`;
	});
	const fixings = fixingsOf(piece);
	return kit.made(
		'piece',
		`Fix ${many} × ${piece.name}${piece.on.length > 1 ? ':' : ''} ${where.join('; ')}.`,
		{
			method: methodOf(piece),
			tool: fixings.flatMap((f) => FIXING_TOOL[f] ?? []).join(', '),
			wait: waitOf(fixings.at(-1)!, kit),
			check: 'it holds when it is pulled lightly',
			work: [plainTask('fix', count * fixings.length)]
		},
		piece.id
	);
}
