import type { Ground } from '../document/ground.ts';
import type { Id } from '../document/id.ts';
import type { OwnSlots } from './own-slots.ts';
import type { RationalText } from '../units/rational.ts';

/** What is said of a line of a quote besides what it is. A line of which nothing is said is always on it. */
export interface LineAbout {
	/** The client may tick it. */
	readonly addOn?: true | undefined;
	/** One of several of that name: the client picks one, the first where none is picked. */
	readonly group?: string | undefined;
	/** Levels of the quote it belongs to; nothing is all of them. */
	readonly levels?: readonly string[] | undefined;
	/** The heading it stands under: “entrance”. */
	readonly heading?: string | undefined;
	/** For the client, under it. */
	readonly note?: string | undefined;
	/** Its own rate of tax, per cent; nothing is the quote's. */
	readonly tax?: RationalText | undefined;
	/** What it stands on there, where its frames have a base for it; nothing is as usual. */
	readonly ground?: Ground | undefined;
	/** Colours of its own, and slots left out, where they are not as in its colourway. */
	readonly slots?: OwnSlots | undefined;
}

/** A line that is no design: a fee, parking, something hired out. */
export interface TypedLine {
	readonly id: Id;
	readonly label: string;
	readonly quantity: number;
	/** Of one, minor units; null is priced from what it costs by the quote's way. */
	readonly priceMinor: number | null;
	/** What one costs the studio, minor units; null is nothing, or a use of its material. */
	readonly costMinor: number | null;
	/** Something of the Stockroom that comes back; null is none. */
	readonly material: Id | null;
}

/** What a client may choose from: said on the quote beside its lines. */
export interface Offered {
	/** Good, better, best: at most a handful; none is one level. */
	readonly levels?: readonly string[] | undefined;
	readonly about?: Readonly<Record<Id, LineAbout>> | undefined;
	readonly typed?: readonly TypedLine[] | undefined;
	/** Ids of all lines as they are read; those it lacks come after. */
	readonly order?: readonly Id[] | undefined;
}

/** What was chosen of it. */
export interface Selection {
	/** Null where nothing is chosen yet, or there is nothing to choose. */
	readonly level: string | null;
	/** Ids of add-ons. */
	readonly ticked: readonly Id[];
	/** The line picked of each group. */
	readonly picks: Readonly<Record<string, Id>>;
}

export const MOST_LEVELS = 5;

/** Levels in their order; one without a name where none are said. */
export const levelsOf = ({ levels = [] }: Offered): readonly (string | null)[] =>
	levels.length > 0 ? levels : [null];

const aboutOf = ({ about = {} }: Offered, id: Id): LineAbout => about[id] ?? {};

/** Whether a line belongs to a level at all. */
export const isInLevel = (offered: Offered, id: Id, level: string | null): boolean => {
	const { levels = [] } = aboutOf(offered, id);
	const known = levels.filter((l) => offered.levels?.includes(l));
	return level === null || known.length === 0 || known.includes(level);
};

/** Lines of each group, in their order; a group of one is no choice. @param ids of all lines, in their order */
export function groupsOf(
	offered: Offered,
	ids: readonly Id[],
	level: string | null
): ReadonlyMap<string, readonly Id[]> {
	const groups = new Map<string, Id[]>();
	for (const id of ids) {
		const { group, addOn } = aboutOf(offered, id);
		if (group === undefined || addOn || !isInLevel(offered, id, level)) continue;
		groups.set(group, [...(groups.get(group) ?? []), id]);
	}
	return groups;
}

/** What holds where nothing is chosen: the first level, no add-on, the first of each group. */
export const plainSelection = (offered: Offered, level = levelsOf(offered)[0] ?? null): Selection => ({
	level,
	ticked: [],
	picks: {}
});

/** Ids of the lines that are on the quote as chosen. @param ids of all lines, in their order */
export function chosenIds(offered: Offered, ids: readonly Id[], selection: Selection): ReadonlySet<Id> {
	const groups = groupsOf(offered, ids, selection.level);
	return new Set(
		ids.filter((id) => {
			if (!isInLevel(offered, id, selection.level)) return false;
			const { addOn, group } = aboutOf(offered, id);
			if (addOn) return selection.ticked.includes(id);
			if (group === undefined) return true;
			const own = groups.get(group) ?? [];
			const picked = selection.picks[group];
			return id === (picked !== undefined && own.includes(picked) ? picked : own[0]);
		})
	);
}

/** Whether there is anything to choose. */
export const hasChoices = (offered: Offered, ids: readonly Id[]): boolean =>
	(offered.levels?.length ?? 0) > 0 ||
	ids.some((id) => aboutOf(offered, id).addOn) ||
	[...groupsOf(offered, ids, null).values()].some((own) => own.length > 1);

/** Ids as they are read: in the order said, those it lacks after them. */
export function inOrder(ids: readonly Id[], order: readonly Id[] = []): Id[] {
	const place = new Map(order.map((id, i) => [id, i]));
	return [...ids].sort((a, b) => (place.get(a) ?? order.length) - (place.get(b) ?? order.length));
}

/** What a client has chosen of a frozen quote, lines by their places in it. */
export interface ClientChoice {
	/** Null where nothing is chosen yet, or there is one level. */
	readonly level: string | null;
	readonly ticked: readonly number[];
	/** The place of the line picked of each group. */
	readonly picks: Readonly<Record<string, number>>;
}
export const NOTHING_CHOSEN: ClientChoice = { level: null, ticked: [], picks: {} };
