import type { LanguageFacet } from '../facets/language.ts';
import type { DesignUse } from './document.ts';

/** A design inside is said as a section: `use whisk on column`. Nothing more is said of it. */
export const language: LanguageFacet<DesignUse, never> = {
	starts: null,
	examples: [],
	phrases: [
		'a part called arm on the left of the column',
		'large size, 8 ft tall',
		'swap grey for black',
		'without the white',
		'priced at 40 percent margin',
		'note: cover it with a sheet'
	],
	shown: false,
	read: () => undefined,
	readAnywhere: () => undefined,
	home: () => undefined,
	take: {}
};
