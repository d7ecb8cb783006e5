import type { EntryContext } from '../context.ts';
import { bagsOf } from '../plain/bags.ts';

/** A bag that is said and does not come: `13s`, `13-inch`. */
export interface OddBag {
	readonly words: string;
	readonly said: string;
	readonly bags: readonly number[];
	/** The two that come nearest. */
	readonly near: readonly number[];
}
export function oddBag(text: string, context: EntryContext): OddBag | undefined {
	const bags = bagsOf(context);
	const found = /\b(\d{1,2})(?:s\b|[- ]inch(?:es)?\b)/i.exec(text);
	if (!found || bags.length === 0 || bags.includes(Number(found[1]))) return undefined;
	const own = Number(found[1]);
	const near = [...bags].sort((a, b) => Math.abs(a - own) - Math.abs(b - own)).slice(0, 2);
	return { words: found[0], said: found[1]!, bags, near };
}
