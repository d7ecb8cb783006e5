import { markInches } from '../../units/length.ts';
import type { MadeStep, StepLine } from '../../plan/made-step.ts';
import type { PlanFacet } from '../facets/plan.ts';
import { saidWait } from '../kit/said-wait.ts';
import type { StepKit } from '../kit/step-kit.ts';
import type { Cover, Frame } from './document.ts';
import { cutsOf, fittingsOf, platesOf } from './amounts.ts';
import { bendMarks } from './marks.ts';

export const plan: PlanFacet<Frame> = { last: false, steps: frameSteps };

const GEAR = 'goggles, gloves';
/** Until paint is dry to the touch, seconds. From memory: its tin says it better. */
const DRIES = 7200;
const COVERED: Readonly<Record<Cover, string>> = {
	tissue: 'wound in tissue, its end glued down',
	fabric: 'wound in fabric, its end pinned or glued',
	paint: 'painted, then left to dry',
	balloon: 'a balloon with its end cut off drawn over it, one after the other'
};
const plural = (count: number, word: string): string => `${count} ${word}${count === 1 ? '' : 's'}`;

/** Cut or bent, joined, set on what it stands on: before any balloon. */
function frameSteps(frame: Frame, kit: StepKit): MadeStep[] {
	const nameOf = (id: string | null, open: string) =>
		(id === null ? undefined : kit.context.catalogue.materials.get(id)?.name) ?? open;
	const tube = nameOf(frame.tube.material, 'tube, not chosen yet');
	const lines = (): StepLine[] =>
		cutsOf(frame).map(({ um: long, count }) => ({
			count: count * kit.all,
			text: `${markInches(long / 1000)} of ${tube}`,
			colours: []
		}));
	const once = frame.uses > 1 ? ` Made once for ${frame.uses} uses.` : '';
	const made: MadeStep[] = [];
	if (frame.shape.of === 'bent')
		made.push(
			kit.made('frame bent', `Mark ${tube} from one end and bend it: ${bendMarks(frame).map((m) => `${markInches(m.at)} ${m.goes}`).join(', ')}.${once}`, {
				tool: `tape, pencil, bender, ${GEAR}`,
				check: `each bend square; ${markInches(bendMarks(frame).at(-1)!.left)} stands up plumb`,
				work: kit.share('bend tube')
			})
		); // prettier-ignore
	else if (frame.shape.of === 'telescope')
		made.push(
			kit.made('frame joined', `Pull ${tube} out to ${markInches(frame.shape.height / 1000)} and clamp it${frame.shape.bar === 0 ? '' : `, two of them, with the bar of ${markInches(frame.shape.bar / 1000)} between`}.`, {
				tool: 'tape, level',
				place: 'site',
				check: 'every clamp holds when it is pushed down; plumb',
				work: kit.share('join tube')
			})
		); // prettier-ignore
	else
		made.push(
			kit.made('frame cut', `Cut the tube of ${kit.name}.${once}`, {
				lines: lines(),
				tool: `saw or cutter, file, ${GEAR}`,
				check: 'square ends, no burrs',
				work: [...kit.share('cut tube'), ...kit.share('bend tube')]
			})
		);
	if (frame.cover)
		made.push(
			kit.made('frame covered', `Cover the tube of ${kit.name}: ${COVERED[frame.cover]}.${once}`, {
				tool: frame.cover === 'paint' ? 'brush, sheet, gloves, fresh air' : 'scissors, glue',
				check: frame.cover === 'paint' ? 'dry to the touch before it is joined' : 'no tube in sight from the front',
				work: kit.share('cover tube'),
				...(frame.cover === 'paint' ? { wait: saidWait(kit, { of: ['foot painted'], fact: 'dryMinutes', usual: DRIES }) } : {})
			})
		); // prettier-ignore
	const fittings = [...fittingsOf(frame)];
	const how = { dry: 'pushed home, not glued', glued: 'glued and held until it sets', screwed: 'screwed' }[frame.joined]; // prettier-ignore
	if (fittings.length > 0)
		made.push(
			kit.made('frame joined', `Join ${kit.name}, ${how}: ${fittings.map(([kind, n]) => plural(n * kit.all, kind)).join(', ')}.`, {
				tool: frame.joined === 'screwed' ? `driver, level, ${GEAR}` : frame.joined === 'glued' ? `glue for that tube, level, ${GEAR}, fresh air` : 'level',
				check: 'square, plumb, flush; every tube pushed home',
				work: kit.share('join tube')
			})
		); // prettier-ignore
	if (frame.base && platesOf(frame) > 0)
		made.push(
			kit.made('frame base', `Set ${kit.name} on ${plural(platesOf(frame) * kit.all, 'base')}: ${nameOf(frame.base.material, 'a plate, not chosen yet')}.`, {
				place: 'site',
				check: 'it does not rock; weight on the base before anything is on the frame'
			})
		); // prettier-ignore
	if (frame.guys)
		made.push(
			kit.made('frame guyed', `Tie ${plural(frame.guys.count * kit.all, 'line')} to ${kit.name}, ${markInches(frame.guys.at / 1000)} up, and stake each ${markInches(frame.guys.reach / 1000)} out.`, {
				place: 'site',
				tool: 'mallet, flags for the lines',
				check: 'no pipe or cable is under a stake; lines are seen by whoever walks there',
				work: kit.share('stake a line')
			})
		); // prettier-ignore
	return made;
}
