import type { PlanFacet } from '../facets/plan.ts';
import { type StepKit, inflateSteps } from '../kit/step-kit.ts';
import type { Bunch } from './document.ts';
import type { MadeStep, StepLine } from '../../plan/made-step.ts';
import { letterCounts, ON_SPOT, ribbonsOf, inflatedIn } from './count.ts';
import { LOOKS } from '../../document/foil-look.ts';
import { formatInches, formatFeet, toMillimetres } from '../../units/length.ts';
import { FOIL_TOOL } from '../../plan/step-words.ts';

export const plan: PlanFacet<Bunch> = { last: false, steps: bunchSteps };

/** Balloons and foils, what hangs on them, ribbons. */
function bunchSteps(bunch: Bunch, kit: StepKit): MadeStep[] {
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
