/** Cautions every client's paper carries. The choking line follows the U.S. toy rule 16 CFR 1500.19 (from memory). */
export const ALWAYS: readonly string[] = [
	'WARNING: CHOKING HAZARD. Children under 8 years can choke or suffocate on uninflated or broken balloons. Adult supervision required. Keep uninflated balloons from children. Discard broken balloons at once.',
	'Latex: balloons are made of natural rubber latex, which may cause allergic reactions. Tell us if a guest is allergic.'
];

const OUTDOORS =
	'Outdoors: wind, heat and sun shorten the life of balloons. We may fix, move or take down a piece for safety. Nothing is released outdoors.';
const TALL =
	'Tall pieces can tip. Please keep the space round them clear, and do not lean on, climb or move them.';

/** What may be said of a quote's pieces. @param tallest overall height of the tallest piece, mm */
export function cautionsFor(setting: 'indoor' | 'outdoor', tallest: number): string[] {
	return [...ALWAYS, ...(tallest > 1500 ? [TALL] : []), ...(setting === 'outdoor' ? [OUTDOORS] : [])];
}
