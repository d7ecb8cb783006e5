import { and, asc, eq } from 'drizzle-orm';
import { duesOf, type Dues } from '../../core/papers/dues.ts';
import type { Money } from '../../core/money/money.ts';
import type { PaymentKind, PaymentState } from '../../core/quote/kinds.ts';
import type { Actor } from '../actor.ts';
import type { Database, Reader } from '../db/client.ts';
import { payment, quote } from '../db/tables/quote.ts';

export interface Payment {
	readonly id: string;
	readonly issueId: string;
	readonly kind: PaymentKind;
	readonly minor: number;
	readonly state: PaymentState;
	readonly madeAt: Date;
	readonly settledAt: Date | null;
}

/** A payment that is asked for. */
export interface Asked {
	/** The key it was made with: made again it is answered, not done again. */
	readonly id: string;
	readonly quoteId: string;
	readonly issueId: string;
	readonly kind: PaymentKind;
	readonly minor: number;
	/** What the order comes to, and what holds its date. */
	readonly order: { readonly total: Money; readonly deposit: Money };
}
/** Why nothing was charged. */
export type NotPaid = 'no order' | 'all paid' | 'on its way' | 'wrong amount';

/** Payments of orders. What was paid or turned down never changes: triggers refuse it. */
export function payments(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const of = async (from: Pick<Reader, 'select'>, quoteId: string): Promise<Payment[]> =>
		from
			.select({
				id: payment.id,
				issueId: payment.issueId,
				kind: payment.kind,
				minor: payment.minor,
				state: payment.state,
				madeAt: payment.madeAt,
				settledAt: payment.settledAt
			})
			.from(payment)
			.where(and(eq(payment.workspaceId, workspaceId), eq(payment.quoteId, quoteId)))
			.orderBy(asc(payment.madeAt), asc(payment.id));
	return {
		of: (quoteId: string) => of(db.read, quoteId),
		/**
		 * Charges what is due next of an accepted order, once, however often it is pressed.
		 * @param charge what the payment service answers
		 */
		async pay(
			{ id, quoteId, issueId, kind, minor, order }: Asked,
			charge: () => PaymentState,
			now: Date
		): Promise<{ readonly payment: Payment; readonly again: boolean } | NotPaid> {
			return db.write(async (tx) => {
				const own = await of(tx, quoteId);
				const before = own.find((p) => p.id === id);
				if (before) return { payment: before, again: true };
				const row = await tx
					.select({ state: quote.state })
					.from(quote)
					.where(and(eq(quote.workspaceId, workspaceId), eq(quote.id, quoteId)))
					.get();
				if (row?.state !== 'accepted') return 'no order';
				const dues: Dues = duesOf(order, own);
				if (dues.left === 0) return 'all paid';
				if (dues.late > 0) return 'on its way';
				if (dues.next?.kind !== kind || dues.next.minor !== minor) return 'wrong amount';
				const state = charge();
				const settledAt = state === 'late' ? null : now;
				const made = { id, issueId, kind, minor, state, madeAt: now, settledAt };
				await tx.insert(payment).values({ ...made, workspaceId, quoteId, changedBy });
				return { payment: made, again: false };
			});
		},
		/** The bank has answered a payment that was late. @returns nothing where it is not late any more */
		async settle(id: string, state: 'paid' | 'failed', now: Date): Promise<Payment | undefined> {
			return db.write(async (tx) => {
				const one = and(eq(payment.workspaceId, workspaceId), eq(payment.id, id));
				const row = await tx.select().from(payment).where(one).get();
				if (row?.state !== 'late') return undefined;
				await tx.update(payment).set({ state, settledAt: now, changedBy }).where(one);
				const { issueId, kind, minor, madeAt } = row;
				return { id, issueId, kind, minor, madeAt, state, settledAt: now };
			});
		}
	};
}
