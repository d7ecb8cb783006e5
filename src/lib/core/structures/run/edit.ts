import type { RecipeDraft } from '../../recipe/draft.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { Id } from '../../document/id.ts';
import { rational } from '../../units/rational.ts';
import type { Run } from './document.ts';

export function changeRun(recipe: RecipeDraft, section: Id, work: (run: Mutable<Run>) => void) {
	const own = recipe.sections.find((s) => s.id === section)?.structure;
	if (own?.kind === 'run') work(own as Mutable<Run>);
}

/**
 * Shares of a mix that add up: the part that was said keeps its share, the others have the rest in the proportion they
 * had, in whole per cent (largest remainder), none of them nothing.
 */
export function balanceShares({ mix }: Pick<Mutable<Run>, 'mix'>, said: Id): void {
	const shared = mix.filter((p) => p.each === undefined);
	const others = shared.filter((p) => p.id !== said);
	const own = shared.find((p) => p.id === said);
	if (!own) return;
	const share = Math.max(1, Math.min(100 - others.length, Math.round(rational(own.share).valueOf())));
	own.share = String(others.length === 0 ? 100 : share);
	const before = others.map((p) => Math.max(0.001, rational(p.share).valueOf()));
	const all = before.reduce((a, b) => a + b, 0);
	// Each has one; the rest is shared out.
	const left = 100 - share - others.length;
	const exact = before.map((b) => (b * left) / all);
	const whole = exact.map(Math.floor);
	const order = exact.map((_, i) => i).sort((a, b) => exact[b]! - whole[b]! - (exact[a]! - whole[a]!));
	const short = left - whole.reduce((a, b) => a + b, 0);
	for (const i of order.slice(0, short)) whole[i]!++;
	others.forEach((p, i) => (p.share = String(whole[i]! + 1)));
}
