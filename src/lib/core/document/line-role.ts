export const LINE_ROLES = [
	'always',
	'optional',
	'taken along',
	'reused',
	'by-product',
	'from leftovers'
] as const;

/**
 * `optional` counts where it is taken; `taken along` is packed and charged only if used; `reused` comes off the
 * shelf; a `by-product` is left over by the work and never bought; what is `from leftovers`
 * takes of those first, of its own piece or another of the job, and only the rest is bought.
 */
export type LineRole = (typeof LINE_ROLES)[number];

/** What is never bought, whatever else is done with it. */
export const NEVER_BOUGHT: ReadonlySet<LineRole> = new Set<LineRole>([
	'reused',
	'by-product',
	'from leftovers'
]);

/** What each is, as she would say it. */
export const ROLE_WORDS: Readonly<Record<LineRole, string>> = {
	always: 'always used',
	optional: 'optional',
	'taken along': 'taken along, charged only if used',
	reused: 'reused, off the shelf',
	'by-product': 'left over by the work',
	'from leftovers': 'from what is left over, the rest bought'
};
