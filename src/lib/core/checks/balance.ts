import type { Assembly } from '../assembly/assemble.ts';
import type { Bill } from '../bom/bill.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { balanceOf, knownFoot, type Balance } from '../stability/standing-up.ts';
import { footprintIn } from '../structures/registry/picture.ts';
import type { Finding } from './finding.ts';

/** Lower than this a piece is none that tips, mm; leaned less than so many degrees it falls at a push. House rules. */
const [LOW, PUSHED] = [600, 6];

/**
 * Whether a piece stands over what its frames stand on, or over the one base whose size the Stockroom knows, everything on
 * them weighed: of what has neither its foot is not known. A frame that is too narrow by itself says so itself.
 */
export function checkBalance(
	recipe: Recipe,
	assembly: Assembly,
	bill: Bill,
	{ quantity, catalogue }: { readonly quantity: number; readonly catalogue: Pick<Catalogue, 'materials'> }
): Finding[] {
	const isFramed = recipe.sections.some((s) => footprintIn(s.structure).length > 0);
	if (!isFramed && !knownFoot({ built: recipe, bill, quantity })) return [];
	const { toEdge, tipsAt, centre, footprint, kg } = balanceOf({
		built: recipe,
		assembly,
		bill,
		quantity,
		catalogue
	});
	if (kg <= 0 || assembly.overall.usual < LOW || tipsAt >= PUSHED) return [];
	return [
		{
			code: 'falls-over',
			level: toEdge <= 0 ? 'bad' : 'watch',
			say:
				toEdge <= 0
					? `It falls over by itself: with everything on it its weight lies beyond its foot, to the ${sideOf(centre, footprint)}. Widen the base there, or put weight on the other side.`
					: `With everything on it, it falls once it leans ${Math.max(1, Math.round(tipsAt))}°. Widen the base, or put weight on it.`,
			why: 'What hangs on one side moves the weight of the whole; a foot that holds the bare frame need not hold that. The venue and local rules go first.'
		}
	];
}

/** To which side of the middle of its foot a point lies most, as the audience sees it. */
function sideOf({ x, y }: Balance['centre'], footprint: Balance['footprint']): string {
	const middle = (k: 0 | 1) => footprint.reduce((a, p) => a + p[k], 0) / footprint.length;
	const [right, back] = [x - middle(0), y - middle(1)];
	if (Math.abs(right) >= Math.abs(back)) return right > 0 ? 'right' : 'left';
	return back > 0 ? 'back' : 'front';
}
