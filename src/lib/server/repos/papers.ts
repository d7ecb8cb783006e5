import { and, asc, desc, eq, max } from 'drizzle-orm';
import type { FrozenPaper } from '../../core/papers/paper.ts';
import { frozenPaperSchema } from '../../core/papers/paper.schema.ts';
import type { MessageKind, PaperKind } from '../../core/quote/kinds.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { message, paper, quote } from '../db/tables/quote.ts';

export interface Paper {
	readonly id: string;
	readonly quoteId: string;
	readonly issueId: string;
	readonly frozen: FrozenPaper;
	readonly madeAt: Date;
}
export interface Message {
	readonly id: string;
	readonly kind: MessageKind;
	readonly recipient: string;
	readonly subject: string;
	readonly mime: string;
	readonly sentAt: Date;
}

/** Papers and messages: kept with their quote for good. */
export function papers(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const fromRow = ({ id, quoteId, issueId, frozen, madeAt }: typeof paper.$inferSelect): Paper => ({
		id,
		quoteId,
		issueId,
		madeAt,
		frozen: frozenPaperSchema.parse(frozen)
	});
	return {
		async of(quoteId: string): Promise<Paper[]> {
			const rows = await db.read
				.select()
				.from(paper)
				.where(and(eq(paper.workspaceId, workspaceId), eq(paper.quoteId, quoteId)))
				.orderBy(asc(paper.madeAt), asc(paper.number));
			return rows.map(fromRow);
		},
		async find(id: string): Promise<Paper | undefined> {
			const row = await db.read
				.select()
				.from(paper)
				.where(and(eq(paper.workspaceId, workspaceId), eq(paper.id, id)))
				.get();
			return row && fromRow(row);
		},
		/**
		 * Makes a paper with the next number of its kind. @param id made with the same id again it is the one that was made
		 * @param make freezes it with its number
		 */
		async make(
			{ id, quoteId, issueId, kind }: { id: string; quoteId: string; issueId: string; kind: PaperKind },
			make: (number: number) => FrozenPaper,
			now: Date
		): Promise<Paper> {
			return db.write(async (tx) => {
				const before = await tx
					.select()
					.from(paper)
					.where(and(eq(paper.workspaceId, workspaceId), eq(paper.id, id)))
					.get();
				if (before) return fromRow(before);
				const last = await tx
					.select({ n: max(paper.number) })
					.from(paper)
					.where(and(eq(paper.workspaceId, workspaceId), eq(paper.kind, kind)))
					.get();
				const number = (last?.n ?? 0) + 1;
				const frozen = make(number);
				await tx
					.insert(paper)
					.values({ workspaceId, id, quoteId, issueId, kind, number, frozen, madeAt: now, changedBy });
				return { id, quoteId, issueId, frozen, madeAt: now };
			});
		},
		async messages(quoteId: string): Promise<Message[]> {
			return db.read
				.select({
					id: message.id,
					kind: message.kind,
					recipient: message.recipient,
					subject: message.subject,
					mime: message.mime,
					sentAt: message.sentAt
				})
				.from(message)
				.where(and(eq(message.workspaceId, workspaceId), eq(message.quoteId, quoteId)))
				.orderBy(desc(message.sentAt), desc(message.id));
		},
		/** Puts a message into the outbox. Put there again with its id it stays one. */
		async post(quoteId: string, posted: Message): Promise<void> {
			await db.write(async (tx) => {
				const known = await tx
					.select({ id: quote.id })
					.from(quote)
					.where(and(eq(quote.workspaceId, workspaceId), eq(quote.id, quoteId)))
					.get();
				if (!known) return;
				await tx
					.insert(message)
					.values({ ...posted, workspaceId, quoteId, changedBy })
					.onConflictDoNothing();
			});
		}
	};
}
