import type { Id } from '../document/id.ts';

/** What a job has of things that come back, from the day they leave to the day they are home again, both included. */
export interface Booking {
	readonly quote: Id;
	/** “12, Tidewick sailing club”. */
	readonly says: string;
	/** Agreed, or only offered: that one can still wait. */
	readonly firm: boolean;
	/** Days as numbers that follow each other. */
	readonly from: number;
	readonly to: number;
	readonly needs: ReadonlyMap<Id, number>;
}

/** Days on which more is wanted than there is. */
export interface Conflict {
	readonly material: Id;
	readonly from: number;
	readonly to: number;
	readonly wanted: number;
	readonly have: number;
	/** Who wants it then, first to leave first. */
	readonly by: readonly Booking[];
	/** Who can wait: what is only offered; where all is agreed, who was last. */
	readonly canWait: readonly Booking[];
	/** Others of which enough are free all those days to stand in, with how many are free. */
	readonly standIns: readonly { readonly material: Id; readonly free: number }[];
}

/** How many of a thing are wanted on each day on which anything changes, first to last: from that day to the next. */
function demandOf(material: Id, bookings: readonly Booking[]): { day: number; wanted: number }[] {
	const changes = new Map<number, number>();
	for (const { from, to, needs } of bookings) {
		const n = needs.get(material) ?? 0;
		if (n === 0) continue;
		changes.set(from, (changes.get(from) ?? 0) + n);
		changes.set(to + 1, (changes.get(to + 1) ?? 0) - n);
	}
	let wanted = 0;
	return [...changes].sort(([a], [b]) => a - b).map(([day, by]) => ({ day, wanted: (wanted += by) }));
}

/** The most of a thing that is wanted on any of some days. */
export function mostWanted(material: Id, bookings: readonly Booking[], from: number, to: number): number {
	const demand = demandOf(material, bookings);
	return demand.reduce((most, { day, wanted }, i) => {
		const until = (demand[i + 1]?.day ?? Infinity) - 1;
		return day <= to && until >= from ? Math.max(most, wanted) : most;
	}, 0);
}

/**
 * Stretches of days on which jobs want more of a thing than there is, each with who can wait and what could stand in.
 * @param have how many can be taken; what nobody has counted is not looked at
 * @param likeIt what could do in the place of a thing, best first
 */
export function conflictsOf(
	have: ReadonlyMap<Id, number>,
	bookings: readonly Booking[],
	likeIt: (material: Id) => readonly Id[]
): Conflict[] {
	return [...have].flatMap(([material, there]) => {
		const demand = demandOf(material, bookings);
		const short = demand.flatMap(({ day, wanted }, i) =>
			wanted > there ? [{ from: day, to: (demand[i + 1]?.day ?? day + 1) - 1, wanted }] : []
		);
		// Days that follow each other are one conflict.
		const joined: { from: number; to: number; wanted: number }[] = [];
		for (const one of short) {
			const last = joined.at(-1);
			if (last?.to === one.from - 1) {
				last.to = one.to;
				last.wanted = Math.max(last.wanted, one.wanted);
			} else joined.push({ ...one });
		}
		return joined.map(({ from, to, wanted }): Conflict => {
			const by = bookings
				.filter((b) => b.from <= to && b.to >= from && (b.needs.get(material) ?? 0) > 0)
				.sort((a, b) => a.from - b.from);
			const open = by.filter((b) => !b.firm);
			const standIns = likeIt(material).flatMap((other) => {
				const free = (have.get(other) ?? 0) - mostWanted(other, bookings, from, to);
				return free >= wanted - there ? [{ material: other, free }] : [];
			});
			return { material, from, to, wanted, have: there, by, canWait: open.length > 0 ? open : by.slice(-1), standIns };
		}); // prettier-ignore
	});
}
