import type { Id } from '../../document/id.ts';

/** Puts something in the place of the part with this id, whose id it keeps; else at the end. */
export function put<T extends { readonly id: Id }>(list: T[], part: T, editing: Id | null | undefined) {
	const at = list.findIndex((p) => p.id === editing);
	if (at < 0) list.push(part);
	else list[at] = { ...part, id: editing! };
}
