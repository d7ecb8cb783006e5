import type { LanguageFacet } from '../facets/language.ts';
import type { DesignUse } from './document.ts';

/** A design inside is said as a section: `use whisk on column`. Nothing more is said of it. */
export const language: LanguageFacet<DesignUse, never> = {
	starts: null,
	examples: [],
	shown: false,
	read: () => undefined,
	readAnywhere: () => undefined,
	home: () => undefined,
	take: {}
};
