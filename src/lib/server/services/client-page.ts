import { duesOf } from '../../core/papers/dues.ts';
import { paperName, PAPER_WORDS } from '../../core/papers/paper.ts';
import { formatMoney, money } from '../../core/money/money.ts';
import type { ClientChoice } from '../../core/quote/choices.ts';
import { asShown, chosenOf, isLevelOpen, type ChosenQuote } from '../../core/quote/chosen.ts';
import type { FrozenQuote } from '../../core/quote/frozen.ts';
import { readChoice, type ManyFields } from '../../core/quote/read-choice.ts';
import { stateOn } from '../../core/quote/states.ts';
import type { Repos } from '../repos/index.ts';
import { todayIn } from './orders.ts';

/** What stands on the tape of what was chosen, in words. */
export function chosenWords(chosen: ChosenQuote) {
	return {
		lines: chosen.lines.map(({ at, amount }) => ({ at, amount: formatMoney(amount) })),
		subtotal: formatMoney(chosen.subtotal),
		tax: formatMoney(chosen.tax),
		total: formatMoney(chosen.total),
		deposit: chosen.deposit.minor > 0 ? formatMoney(chosen.deposit) : ''
	};
}

/** A choice that can be added up: a level that is still open is looked at as its first. */
export const shownChoice = (frozen: FrozenQuote, choice: ClientChoice): ClientChoice =>
	isLevelOpen(frozen, choice) ? { ...choice, level: frozen.offers?.[0]?.level ?? null } : choice;

/** All that the client's page shows: what was frozen, what was chosen, paid and said. Costs are never read here. */
export async function clientPage(repos: Repos, token: string, asked: ManyFields) {
	const found = await repos.sentQuotes.byToken(token);
	if (!found) return undefined;
	const { frozen, state, isOld, yes, talk, quoteId } = found;
	const said = yes?.choice ?? readChoice(asked, frozen);
	const choice = shownChoice(frozen, said);
	const chosen = chosenOf(frozen, choice);
	const shown = 'refused' in chosen ? asShown(frozen) : chosen;
	const accepted = state === 'accepted' && yes !== null;
	const payments = accepted ? await repos.payments.of(quoteId) : [];
	const own = accepted ? await repos.papers.of(quoteId) : [];
	const { currency } = frozen.total;
	const dues = accepted ? duesOf(shown, payments) : null;
	return {
		frozen,
		state: stateOn(state, todayIn(frozen.zone), frozen.validUntil),
		isOld,
		yes: yes && { name: yes.name ?? '', at: yes.at.toISOString().slice(0, 10) },
		talk: talk.map((t) => ({ event: t.event, text: t.text, at: t.at.toISOString().slice(0, 10) })),
		choice: said,
		isLevelOpen: isLevelOpen(frozen, said),
		refused: 'refused' in chosen ? chosen.refused : '',
		chosen: shown,
		due: dues?.next ? { ...dues.next, amount: formatMoney(money(dues.next.minor, currency)) } : null,
		money: dues && {
			paid: dues.paid > 0 ? formatMoney(money(dues.paid, currency)) : '',
			late: dues.late > 0 ? formatMoney(money(dues.late, currency)) : '',
			left: formatMoney(money(dues.left, currency)),
			isPaid: dues.left === 0,
			failed: payments.at(-1)?.state === 'failed'
		},
		papers: own.map(({ id, frozen: paper }) => ({
			id,
			name: `${PAPER_WORDS[paper.kind].title} ${paperName(paper)}`
		}))
	};
}
