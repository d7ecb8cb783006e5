import type { Id, NewId } from '../../document/id.ts';

/** Plain data once more, all of it, of a draft too. @param id what it is called in the copy */
function copied(value: unknown, id: (was: Id) => Id): unknown {
	if (Array.isArray(value)) return value.map((v) => copied(v, id));
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(
		Object.entries(value).map(([key, own]) => [key, key === 'id' ? id(own as Id) : copied(own, id)])
	);
}

/** The same once more: its parts have ids of their own; what it names stays what it names. */
export const anew = <T>(part: T, newId: NewId): T => copied(part, newId) as T;

/** The same by itself, to be put elsewhere. */
export const moved = <T>(part: T): T => copied(part, (id) => id) as T;
