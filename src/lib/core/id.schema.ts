import { z } from 'zod';

/** Names that every object has by itself: what is keyed by one would be another thing. */
const OWN = new Set([...Object.getOwnPropertyNames(Object.prototype), 'prototype']);

/** An id: a name in documents and addresses, so nothing that leads elsewhere in either. */
export const idSchema = z
	.string()
	.min(1)
	.max(64)
	.refine(
		(id) => !OWN.has(id) && !/^\.{1,2}$|[\\/?#%\p{Cc}]/u.test(id),
		'An id is a plain name, without slashes and signs of addresses.'
	);
