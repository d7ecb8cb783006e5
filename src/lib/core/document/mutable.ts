/** The same shape, open to writing: edits change a draft in place, so that an undo can hold the difference alone. */
export type Mutable<T> = T extends string | number | boolean | null | undefined
	? T
	: { -readonly [K in keyof T]: Mutable<T[K]> };
