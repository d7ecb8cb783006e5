import { GONE } from '../../document/names.ts';
import { plainTask } from '../../labour/task.ts';
import { ON_SITE, PAINT_WAIT } from '../../plan/step-words.ts';
import type { MadeStep } from '../../plan/made-step.ts';
import type { PlanFacet } from '../facets/plan.ts';
import type { StepKit } from '../kit/step-kit.ts';
import { countedLines } from './count.ts';
import type { ExtraLine, Extras } from './document.ts';

export const plan: PlanFacet<Extras> = {
	last: true,
	steps: ({ lines }, kit) => countedLines(lines).flatMap((line) => lineSteps(line, kit))
};

function lineSteps(line: ExtraLine, kit: StepKit): MadeStep[] {
	if (line.role === 'by-product') return [];
	const material = kit.context.catalogue.materials.get(line.material);
	const name = material?.name ?? `something that is ${GONE.material}`;
	const count = line.range ? `${line.range.low} to ${line.range.high}` : line.quantity;
	if (line.role === 'taken along')
		return [kit.made('line', `Take along ${count} × ${name}.`, { place: 'site' }, line.id)];
	const work = [plainTask('place extras', kit.all)];
	const paint = material?.kind === 'paint';
	return [
		kit.made(
			'line',
			`${paint ? 'Paint with' : 'Add'} ${count} × ${name}${line.onSpot ? ', measured on the spot' : ''}.`,
			{
				place: material && ON_SITE.has(material.kind) ? 'site' : 'bench',
				wait: paint ? PAINT_WAIT : 0,
				check: paint ? 'dry to a light touch' : '',
				work
			},
			line.id
		)
	];
}
