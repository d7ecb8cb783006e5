import type { ClientChoice } from './choices.ts';
import type { FrozenQuote } from './frozen.ts';

/** Groups of a frozen quote, in the order of their lines: fields of a form are told by their places. */
export const groupNames = ({ offers = [] }: FrozenQuote): readonly string[] => [
	...new Set(
		offers.flatMap((o) => [
			...o.firsts.map((f) => f.group),
			...o.others.flatMap((c) => (c.group === null ? [] : [c.group]))
		])
	)
];

/** Fields as a form or an address gives them, each any number of times. */
export interface ManyFields {
	get(name: string): unknown;
	getAll(name: string): readonly unknown[];
}
const place = (text: unknown): number | undefined =>
	typeof text === 'string' && /^\d{1,3}$/.test(text) ? Number(text) : undefined;

/**
 * What is chosen in the fields of the client's page: `level`, `extra` for each add-on, `pick-0` for the first group.
 * What is not on the quote is refused where it is added up.
 */
export function readChoice(fields: ManyFields, frozen: FrozenQuote): ClientChoice {
	const level = fields.get('level');
	const picks = groupNames(frozen).flatMap((group, i) => {
		const at = place(fields.get(`pick-${i}`));
		return at === undefined ? [] : [[group, at] as const];
	});
	return {
		level: typeof level === 'string' && level !== '' ? level.slice(0, 60) : null,
		ticked: fields
			.getAll('extra')
			.flatMap((text) => place(text) ?? [])
			.slice(0, 100),
		picks: Object.fromEntries(picks)
	};
}
