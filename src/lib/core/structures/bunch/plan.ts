import type { PlanFacet } from '../facets/plan.ts';
import { type StepKit, inflateSteps } from '../kit/step-kit.ts';
import type { Bunch, BunchItem } from './document.ts';
import type { MadeStep, StepLine } from '../../plan/made-step.ts';
import { letterCounts, ON_SPOT, ribbonsOf, inflatedIn } from './count.ts';
import { LOOKS } from '../../document/foil-look.ts';
import { formatInches, formatFeet, toMillimetres } from '../../units/length.ts';
import { FOIL_TOOL } from '../../plan/step-words.ts';

/** Balloons and foils, what hangs on them, ribbons. */
const bunchSteps = (bunch: Bunch, kit: StepKit): MadeStep[] => [
	...inflateSteps(kit),
	...foilsStep(bunch, kit),
	...ribbonsStep(bunch, kit),
	...hungStep(bunch, kit)
];
export const plan: PlanFacet<Bunch> = { last: false, steps: bunchSteps };

function foilsStep({ items }: Bunch, kit: StepKit): MadeStep[] {
	const lines = items.flatMap((item) => foilLines(item, kit));
	if (lines.length === 0) return [];
	const firm = items.some(({ what }) => what.kind !== 'balloon' && what.look === 'firm');
	return [
		kit.made('foils', `Fill the foils of ${kit.name}.`, {
			lines,
			tool: FOIL_TOOL,
			check: firm ? `${LOOKS.creased}; those said to be firm without creases` : LOOKS.creased,
			work: kit.share('foil')
		})
	];
}

function foilLines({ what, count, gas, name }: BunchItem, kit: StepKit): StepLine[] {
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
	const found = kit.context.catalogue.materials.get(what.material ?? '');
	const chambers = what.chambers > 1 ? `, ${what.chambers} chambers, each by itself` : '';
	const text = `${found?.name ?? `${name}, not chosen yet`}, ${formatInches(what.flat)} in flat${chambers}${of}`;
	return [{ count: count * kit.all, text, colours: found?.colour ? [found.colour] : [] }];
}

function ribbonsStep({ items }: Bunch, kit: StepKit): MadeStep[] {
	const lines = items.flatMap((item): StepLine[] => {
		if (!item.ribbon) return [];
		const { material, length } = item.ribbon;
		const found = kit.context.catalogue.materials.get(material ?? '');
		const long =
			length === null
				? `measured on the spot, about ${formatFeet(toMillimetres(ON_SPOT.usual))}`
				: formatFeet(toMillimetres(length));
		const text = `${found?.name ?? 'ribbon, not chosen yet'}, ${long}, on ${item.name}`;
		return [{ count: ribbonsOf(item) * kit.all, text, colours: found?.colour ? [found.colour] : [] }];
	});
	if (lines.length === 0) return [];
	return [
		kit.made(
			'ribbons',
			`Cut the ribbons of ${kit.name} and tie them on; one tie closes the balloon and holds it.`,
			{ lines, check: 'each hangs as long as it is said, no knot slips', work: kit.share('ribbon') }
		)
	];
}

function hungStep({ items }: Bunch, kit: StepKit): MadeStep[] {
	const hung = items.filter((i) => inflatedIn(i) === 0);
	if (hung.length === 0) return [];
	return [
		kit.made('hang', `Hang on ${hung.map((i) => `${i.count * kit.all} × ${i.name}`).join(', ')}.`, {
			check: 'it still floats as high as before',
			work: kit.own('attach')
		})
	];
}
