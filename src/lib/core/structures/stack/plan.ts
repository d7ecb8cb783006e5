import { plainTask } from '../../labour/task.ts';
import { manyWords } from '../../document/count-range.ts';
import { alone, printLayer } from './print.ts';
import type { MadeStep } from '../../plan/made-step.ts';
import { coloursOf, JOINED } from '../../plan/step-words.ts';
import { formatFeet, type Millimetres } from '../../units/length.ts';
import type { PlanFacet } from '../facets/plan.ts';
import { inflateSteps, type StepKit } from '../kit/step-kit.ts';
import type { Layer, Stack } from './document.ts';
import { placeStack } from './place.ts';

export const plan: PlanFacet<Stack> = {
	last: false,
	steps: (stack, kit) => (stack.layers.length === 0 ? uprightSteps(stack, kit) : stackSteps(stack, kit))
};

function stackSteps(stack: Stack, kit: StepKit): MadeStep[] {
	const { name } = kit;
	const words = (layer: Layer) => printLayer({ ...alone(layer), joining: null, turn: 'half' }, kit.slots);
	const tied = stack.layers.filter((l) => l.clusters.some((c) => c.places.length > 1));
	const clusters = kit.share('cluster');
	const steps = inflateSteps(kit);
	if (clusters.length > 0)
		steps.push(
			kit.made('clusters', `Tie the clusters of ${name}.`, {
				lines: tied.map((l) => ({
					count: l.repeat * kit.all,
					text: words(l),
					colours: coloursOf(l, kit.colourway)
				})),
				method: 'two and two tied neck to neck, then twisted together',
				check: 'no balloon turns in its cluster',
				work: clusters
			})
		);
	steps.push(...uprightSteps(stack, kit));
	const placed = placeStack(stack, kit.context.pumps);
	stack.layers.forEach((layer, row) => {
		const last = placed.rings.findLastIndex((r) => r.layer.id === layer.id);
		const top = placed.overall.known ? placed.layers[last]?.top : undefined;
		const alike = layer.range
			? `, ${manyWords({ count: layer.repeat, range: layer.range })} layers alike, as it needs`
			: layer.repeat > 1
				? `, ${layer.repeat} layers alike`
				: '';
		const turn = layer.turn === 'none' ? 'straight over' : 'turned half a place over';
		const many = layer.clusters.some((c) => c.places.length > 1);
		const each = layer.repeat > 1 ? 'each ' : '';
		const how = !many || (row === 0 && layer.repeat === 1) ? '' : `; ${each}${turn} the one below`;
		const attached = (layer.repeat * layer.clusters.length - (row === 0 ? 1 : 0)) * kit.all;
		steps.push(
			kit.made(
				'row',
				`${row === 0 ? `${name}, from the floor up. ` : ''}Row ${row + 1}${alike}: ${words(layer)}${how}.`,
				{
					lines: [],
					method: attached > 0 ? JOINED[layer.joining ?? stack.joining] : '',
					check: [
						top === undefined ? '' : `its top stands at about ${formatFeet(top as Millimetres)}`,
						asFull(stack, row)
					]
						.filter(Boolean)
						.join('; '),
					work: attached > 0 ? [plainTask('attach', attached)] : []
				},
				layer.id
			)
		);
	});
	return steps;
}

/** A row of the same size is held against the one below it. */
function asFull({ layers }: Stack, row: number): string {
	const size = (at: number) =>
		JSON.stringify(layers[at]?.clusters.map((c) => c.places.map((p) => [p.nominal, p.size])));
	return row > 0 && size(row) === size(row - 1) ? 'as full as the row below it' : '';
}

function uprightSteps(stack: Stack, kit: StepKit): MadeStep[] {
	const { kind, length, material } = stack.upright;
	if (kind === 'none') return [];
	const named = material === null ? undefined : kit.context.catalogue.materials.get(material)?.name;
	const long = length === null ? '' : ` of ${formatFeet((length / 1000) as Millimetres)}`;
	const several = kit.all > 1 ? ` (${kit.all} times)` : '';
	return [
		kit.made('upright', `Make the ${kind}${long} ready${named ? `: ${named}` : ''}${several}.`, {
			check: 'it stands by itself and does not wobble',
			work: kit.share('upright')
		})
	];
}
