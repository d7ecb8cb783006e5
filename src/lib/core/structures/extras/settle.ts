import type { OpenPart, SettledParts } from '../facets/settle.ts';
import type { Extras } from './document.ts';

/** Lines whose count is an estimate until the job. */
export const openInExtras = ({ lines }: Extras): OpenPart[] =>
	lines.flatMap(({ id, material, range }): OpenPart[] =>
		range ? [{ id, what: 'line', label: material, ...range, isColourOpen: false }] : []
	);

/** The same with what was settled of them: what is settled is a plain count. */
export const settledExtras = (extras: Extras, parts: SettledParts): Extras => ({
	...extras,
	lines: extras.lines.map((line) => {
		const count = parts[line.id]?.count;
		return count === undefined ? line : { ...line, quantity: count, range: null };
	})
});
