import { duesOf } from '../../core/papers/dues.ts';
import { paperName, PAPER_WORDS } from '../../core/papers/paper.ts';
import { formatMoney, money } from '../../core/money/money.ts';
import { asShown, atSomeLevel, chosenOf, isLevelOpen } from '../../core/quote/chosen.ts';
import { readChoice, type ManyFields } from '../../core/quote/read-choice.ts';
import { stateOn } from '../../core/quote/states.ts';
import type { Repos } from '../repos/index.ts';
import { dayIn } from './day-in.ts';

/** All that the client's page shows: what was frozen, what was chosen, paid and said. Costs are never read here. */
export async function clientPage(repos: Repos, token: string, asked: ManyFields, now = new Date()) {
	const found = await repos.sentQuotes.byToken(token);
	if (!found) return undefined;
	const { frozen, state, isOld, yes, talk, quoteId } = found;
	const said = yes?.choice ?? readChoice(asked, frozen);
	const chosen = chosenOf(frozen, atSomeLevel(frozen, said));
	const shown = 'refused' in chosen ? asShown(frozen) : chosen;
	const accepted = state === 'accepted' && yes !== null;
	const payments = accepted ? await repos.payments.of(quoteId) : [];
	const own = accepted ? await repos.papers.of(quoteId) : [];
	const { currency } = frozen.total;
	// Once the day is over it says thank you, with what the client is shown of it.
	const day = accepted && !isOld ? ((await repos.jobs.find(quoteId))?.day ?? null) : null;
	const isOver = day !== null && day < dayIn(frozen.zone, now);
	const pictures = isOver ? (await repos.jobPhotos.of(quoteId)).filter((p) => p.isShown) : [];
	const dues = accepted ? duesOf(shown, payments) : null;
	return {
		frozen,
		state: stateOn(state, dayIn(frozen.zone), frozen.validUntil),
		isOld,
		thanks: isOver
			? { pictures: pictures.map(({ id, caption, width, height }) => ({ id, caption, width, height })) }
			: null,
		yes: yes && { name: yes.name ?? '', at: yes.at.toISOString().slice(0, 10) },
		talk: talk.map((t) => ({ event: t.event, text: t.text, at: t.at.toISOString().slice(0, 10) })),
		choice: said,
		isLevelOpen: isLevelOpen(frozen, said),
		refused: 'refused' in chosen ? chosen.refused : '',
		chosen: shown,
		due: dues?.next
			? { ...dues.next, amount: formatMoney(money(dues.next.minor, currency), frozen.formats) }
			: null,
		money: dues && {
			paid: dues.paid > 0 ? formatMoney(money(dues.paid, currency), frozen.formats) : '',
			late: dues.late > 0 ? formatMoney(money(dues.late, currency), frozen.formats) : '',
			left: formatMoney(money(dues.left, currency), frozen.formats),
			isPaid: dues.left === 0
		},
		papers: own.map(({ id, frozen: paper }) => ({
			id,
			name: `${PAPER_WORDS[paper.kind].title} ${paperName(paper)}`
		}))
	};
}
