import type { Id } from '../document/id.ts';
import {
	chosenIds,
	groupsOf,
	hasChoices,
	inOrder,
	levelsOf,
	plainSelection,
	type ClientChoice,
	type Offered,
	type Selection
} from './choices.ts';

/**
 * Ids of the lines of a quote as they stand in what was frozen of it: a frozen line is known by its place alone.
 * Lines in the order they are first met while it is frozen (`freeze`): each level as it stands, then each thing that may be
 * chosen on top of it.
 */
export function frozenIds(terms: Offered, items: readonly Id[]): Id[] {
	const besides = (terms.typed ?? []).map((t) => t.id);
	const all = [...items, ...besides];
	const read = inOrder(all, terms.order);
	const met = new Set<Id>();
	const meet = (selection: Selection) => {
		const on = chosenIds(terms, read, selection);
		for (const id of all) if (on.has(id)) met.add(id);
	};
	if (!hasChoices(terms, read)) return read;
	meet(plainSelection(terms));
	for (const level of levelsOf(terms)) {
		const plain = plainSelection(terms, level);
		meet(plain);
		for (const id of read) if (terms.about?.[id]?.addOn) meet({ ...plain, ticked: [id] });
		for (const [group, [, ...rest]] of groupsOf(terms, read, level))
			for (const id of rest) meet({ ...plain, picks: { [group]: id } });
	}
	return inOrder([...met], terms.order);
}

/** The lines a client’s choice is for. @param items ids of the designs on it, in their order */
export function chosenLines(terms: Offered, items: readonly Id[], choice: ClientChoice): ReadonlySet<Id> {
	const frozen = frozenIds(terms, items);
	const idAt = (at: number): Id[] => frozen.slice(at, at + 1);
	const read = inOrder([...items, ...(terms.typed ?? []).map((t) => t.id)], terms.order);
	return chosenIds(terms, read, {
		level: choice.level ?? levelsOf(terms)[0] ?? null,
		ticked: choice.ticked.flatMap(idAt),
		picks: Object.fromEntries(Object.entries(choice.picks).flatMap(([group, at]) => idAt(at).map((id) => [group, id]))) // prettier-ignore
	});
}
