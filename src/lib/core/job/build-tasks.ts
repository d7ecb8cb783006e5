import type { Recipe, Section } from '../recipe/recipe.ts';
import { activitiesOf } from '../plan/elapsed.ts';
import { secondsOf, type PlanPart } from '../plan/plan.ts';
import type { Standards } from '../labour/standards.ts';
import { needsOf } from '../structures/registry/count.ts';
import { partsOf } from '../structures/registry/refs.ts';
import type { BuildTask } from './build-plan.ts';
import { EARLIEST_BUILD } from './job.ts';

/** Days before the event from which things may be made: frames and paint keep, foils hold a week, floating balloons a day. Common practice. */
export const KEEPS = { frame: 14, foils: 7, air: EARLIEST_BUILD, helium: 0 } as const;

/** What is made before any balloon, and keeps. */
const LASTS = /^(frame|upright|paint|spine|necks|inside)/;

/** Days before which the balloons of a section are not blown up. */
function keeps({ ahead, structure }: Section): number {
	if (ahead !== undefined) return ahead;
	const balloons = needsOf(structure, undefined).flatMap((n) => (n.what === 'balloon' ? [n] : []));
	if (balloons.some((b) => b.gas === 'helium')) return KEEPS.helium;
	return balloons.length > 0 && balloons.every((b) => b.kind.startsWith('foil')) ? KEEPS.foils : KEEPS.air;
}

/**
 * What is to be built of a piece at the bench, in the order its plan has it: what is done where it stands is left to that day.
 * @param parts as `planOf` gives them, the piece first @param piece as it is told apart on the plan
 */
export function buildTasks(
	parts: readonly PlanPart[],
	{ recipe, library, piece, key }: { readonly recipe: Recipe; readonly library: (id: string) => Recipe | undefined; readonly piece: string; readonly key: string },
	standards: Standards
): BuildTask[] {
	return parts.flatMap((part, at) => {
		const own = part.design === undefined ? recipe : (library(part.design) ?? recipe);
		const sectionOf = new Map(own.sections.flatMap((s) => [[s.id, s] as const, ...partsOf(s.structure, s.name).map((p) => [p.id, s] as const)]));
		const first = Math.min(KEEPS.air, ...own.sections.map(keeps));
		const minutes = (i: number) => secondsOf(part.steps[i]!.work, standards) / 60;
		const steps = new Map(part.steps.map((s, i) => [s.id, { step: s, minutes: minutes(i) }]));
		const bench = activitiesOf(part.steps, own, (i) => minutes(i) * 60).filter((a) => steps.get(a.id)!.step.place === 'bench');
		const id = (step: string) => `${key}/${at}/${step}`;
		return bench.map((a): BuildTask => {
			const { step, minutes: takes } = steps.get(a.id)!;
			const section = step.uses.map((u) => sectionOf.get(u)).find((s) => s !== undefined);
			const ahead = LASTS.test(step.id) ? KEEPS.frame : section ? keeps(section) : first;
			const gas = section !== undefined && step.id.startsWith('inflate') && keeps(section) === KEEPS.helium;
			return { id: id(a.id), piece, text: step.text, minutes: Math.max(1, takes), wait: Math.round(step.wait / 60), after: a.after.map(id), ahead, needs: gas ? ['cylinder'] : [] };
		});
	});
} // prettier-ignore
