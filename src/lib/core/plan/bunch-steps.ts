import type { TaskCount } from '../labour/task.ts';
import { countOfPiece } from '../structures/applied/count.ts';
import type { AppliedPiece } from '../structures/applied/document.ts';
import type { Bunch } from '../structures/bunch/document.ts';
import type { Form, FormPiece } from '../structures/form/document.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Structure } from '../structures/kinds.ts';
import { inflatedIn, letterCounts, LOOKS, ON_SPOT, ribbonsOf } from '../structures/bunch/count.ts';
import { bubbleWords, pieceTasks, strokeWords } from '../structures/form/count.ts';
import { formatFeet, formatInches, toMillimetres } from '../units/length.ts';
import type { MadeStep, StepContext, StepKind, StepLine } from './made-step.ts';
import { FOIL_TOOL, hostOf, PAINT_WAIT } from './step-words.ts';

/** What the steps of a section are made with. */
export interface StepKit {
	readonly name: string;
	readonly recipe: Recipe;
	readonly context: StepContext;
	/** Copies to build. */
	readonly all: number;
	made(
		kind: StepKind,
		text: string,
		draft: Partial<Omit<MadeStep, 'key' | 'about' | 'text' | 'work'>> & { work?: readonly TaskCount[] },
		about?: Id
	): MadeStep;
	/** Tasks of a kind, for all copies. */
	share(task: string): TaskCount[];
	/** Tasks of a kind that its structure has itself, without its being attached to another section. */
	own(task: string): TaskCount[];
	/** The balloons to inflate, sized and tied. */
	inflate(): MadeStep[];
	/** Name of a slot's colour, and the colour. */
	colour(slot: Id): { readonly name: string; readonly id: string | null };
}

/** The balloons of a section: what goes into them first, then inflated, sized and tied, then painted. */
export function inflateSteps(kit: StepKit): MadeStep[] {
	const nested = kit.share('put inside');
	const filled = kit.share('fill weight');
	const paint = kit.share('paint');
	const when = (some: readonly TaskCount[], text: string): string[] => (some.length > 0 ? [text] : []);
	const inside = [...nested, ...filled];
	return [
		...(inside.length === 0
			? []
			: [
					kit.made('inside', `Put what goes inside into the balloons of ${kit.name} while they are empty.`, {
						tool: [...when(nested, 'a rod to push the balloon in'), ...when(filled, 'funnel')].join(', '),
						check: [
							...when(nested, 'the inner one hangs free'),
							...when(filled, 'no grain at the neck')
						].join('; '),
						work: inside
					})
				]),
		...kit.inflate(),
		...(paint.length === 0
			? []
			: [
					kit.made('paint', `Paint the balloons of ${kit.name} that are painted.`, {
						wait: PAINT_WAIT,
						check: 'dry to a light touch',
						work: paint
					})
				])
	];
}

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

/** A bunch: balloons and foils, what hangs on them, ribbons. */
export function bunchSteps(kit: StepKit, bunch: Bunch): MadeStep[] {
	const { catalogue } = kit.context;
	const foils = bunch.items.flatMap(({ what, count, gas, name }): StepLine[] => {
		const of = gas === 'helium' ? ', helium' : '';
		if (what.kind === 'letters') {
			const colour = kit.colour(what.slot);
			return [...letterCounts(what.text)].map(([letter, each]) => ({
				count: each * count * kit.all,
				text: `letter ${letter}, ${formatInches(what.height)} in, ${colour.name}${of}`,
				colours: colour.id === null ? [] : [colour.id]
			}));
		}
		if (what.kind !== 'material' || what.flat === null) return [];
		const found = catalogue.materials.get(what.material ?? '');
		const chambers = what.chambers > 1 ? `, ${what.chambers} chambers, each by itself` : '';
		const text = `${found?.name ?? `${name}, not chosen yet`}, ${formatInches(what.flat)} in flat${chambers}${of}`;
		return [{ count: count * kit.all, text, colours: found?.colour ? [found.colour] : [] }];
	});
	const firm = bunch.items.some(({ what }) => what.kind !== 'balloon' && what.look === 'firm');
	const ribbons = bunch.items.flatMap((item): StepLine[] => {
		if (!item.ribbon) return [];
		const { material, length } = item.ribbon;
		const found = catalogue.materials.get(material ?? '');
		const long =
			length === null
				? `measured on the spot, about ${formatFeet(toMillimetres(ON_SPOT.usual))}`
				: formatFeet(toMillimetres(length));
		return [
			{
				count: ribbonsOf(item) * kit.all,
				text: `${found?.name ?? 'ribbon, not chosen yet'}, ${long}, on ${item.name}`,
				colours: found?.colour ? [found.colour] : []
			}
		];
	});
	const hung = bunch.items.filter((i) => inflatedIn(i) === 0);
	return [
		...inflateSteps(kit),
		...(foils.length === 0
			? []
			: [
					kit.made('foils', `Fill the foils of ${kit.name}.`, {
						lines: foils,
						tool: FOIL_TOOL,
						check: firm ? `${LOOKS.creased}; those said to be firm without creases` : LOOKS.creased,
						work: kit.share('foil')
					})
				]),
		...(ribbons.length === 0
			? []
			: [
					kit.made(
						'ribbons',
						`Cut the ribbons of ${kit.name} and tie them on; one tie closes the balloon and holds it.`,
						{
							lines: ribbons,
							check: 'each hangs as long as it is said, no knot slips',
							work: kit.share('ribbon')
						}
					)
				]),
		...(hung.length === 0
			? []
			: [
					kit.made('hang', `Hang on ${hung.map((i) => `${i.count * kit.all} × ${i.name}`).join(', ')}.`, {
						check: 'it still floats as high as before',
						work: kit.own('attach')
					})
				])
	];
}

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

/** A form: modelling balloons filled, then piece by piece. */
export function formSteps(kit: StepKit, form: Form): MadeStep[] {
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

/** Pieces and items of a structure, for what speaks of them by id. */
export const partsOf = (
	s: Structure
): readonly { readonly id: Id; readonly name: string; readonly count: number }[] => {
	if (s.kind === 'bunch') return s.items;
	return s.kind === 'form' ? s.pieces : [];
};
