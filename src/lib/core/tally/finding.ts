/** Something an experienced maker would say about a recipe: what, where, why, what to do instead. */
export interface Finding {
	readonly code:
		| 'empty'
		| 'upright-short'
		| 'over-safe'
		| 'size-refused'
		| 'sunk'
		| 'tilted'
		| 'open-slot'
		| 'unlisted'
		| 'unknown-cost'
		| 'too-many'
		| 'cycle'
		| 'not-found'
		| 'pear-shaped';
	/** `bad` stops a sale, `watch` deserves a look. */
	readonly level: 'bad' | 'watch';
	readonly say: string;
	/** The row it concerns, where there is one. */
	readonly layer?: string;
}
