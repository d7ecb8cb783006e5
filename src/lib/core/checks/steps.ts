import { piecesIn } from '../structures/applied/edit.ts';
import { aboutOf } from '../plan/made-step.ts';
import { idsIn, isLost } from '../plan/lost-step.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Step } from '../document/step.ts';
import type { Finding } from './finding.ts';

/** What is wrong with what the owner said of the plan: steps of things that are gone, waits taken away. */
export function checkSteps(recipe: Recipe): Finding[] {
	if (recipe.steps.length === 0) return [];
	const ids = idsIn(recipe);
	return recipe.steps.flatMap((step) =>
		[...lost(step, ids), ...hasty(step, recipe)].map((f) => ({ ...f, about: step.id }))
	);
}

function lost(step: Step, ids: ReadonlySet<string>): Finding[] {
	const { own, says } = step;
	if (!isLost(step, ids) || (!own && Object.keys(says).length === 0)) return [];
	const what = says.text ? `“${says.text.slice(0, 60)}”` : 'One you changed';
	return [
		{
			code: 'step-lost',
			level: 'watch',
			say: `Step of the plan ${what}: what it is about is not in the recipe any more. Tie it to something else on the plan, or take it out.`,
			why: 'Crew would look for a piece that is not there.'
		}
	];
}

function hasty({ id, own, says }: Step, { sections }: Recipe): Finding[] {
	if (
		!own &&
		id.startsWith('foils:') &&
		/inflator|blower/i.test(says.tool ?? '') &&
		!/cool/i.test(says.tool ?? '')
	)
		return [
			{
				code: 'warm-inflator',
				level: 'watch',
				say: 'Foils: a warm inflator melts self-sealing valves. Take a hand pump, or a cool inflator.',
				why: 'The valve sticks shut or leaks, and the foil is soft by the evening.'
			}
		];
	if (!own && says.wait === 0 && id.startsWith('paint:'))
		return [
			{
				code: 'no-wait',
				level: 'watch',
				say: 'Paint: the plan leaves no wait for it to dry. Give it an hour, or what the tin says.',
				why: 'Wet paint comes off on the balloon beside it and on every hand.'
			}
		];
	if (own || says.wait !== 0 || !id.startsWith('piece:')) return [];
	const piece = piecesIn({ sections }).find(({ piece: p }) => p.id === aboutOf(id))?.piece;
	if (piece?.fixing !== 'glue') return [];
	return [
		{
			code: 'no-wait',
			level: 'watch',
			say: `${piece.name}: the plan leaves no wait after the glue. Give it a minute before the next step.`,
			why: 'Glue that has not set lets go when the piece is moved.'
		}
	];
}
