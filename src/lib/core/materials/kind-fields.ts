import type { MaterialKind } from './material.ts';

/** Fields of a material that not every kind has. */
export type KindField =
	| 'nominal'
	| 'safe'
	| 'colour'
	| 'mark'
	| 'litres'
	| 'grams'
	| 'chambers'
	| 'outline'
	| 'loss'
	| 'reuse'
	| 'valve'
	| 'softness'
	| 'lift'
	| 'wide'
	| 'deep'
	| 'ground'
	| 'holds'
	| 'set'
	| 'dry'
	| 'cover';

const LATEX: readonly KindField[] = ['nominal', 'safe', 'softness', 'colour', 'litres', 'grams', 'loss'];
const FOIL: readonly KindField[] = [
	'nominal',
	'colour',
	'mark',
	'litres',
	'grams',
	'lift',
	'chambers',
	'valve',
	'loss'
];
const BUILT: readonly KindField[] = ['nominal', 'grams', 'reuse', 'loss'];
const PLAIN: readonly KindField[] = ['colour', 'grams', 'loss'];

const FIELDS: Readonly<Record<MaterialKind, readonly KindField[]>> = {
	'latex-round': LATEX,
	'latex-heart': LATEX,
	'latex-link': LATEX,
	modelling: ['colour', 'mark', 'softness', 'grams', 'loss'],
	'foil-round': FOIL,
	'foil-heart': FOIL,
	'foil-star': FOIL,
	'foil-shape': [...FOIL, 'outline'],
	'foil-letter': FOIL,
	'foil-number': FOIL,
	pipe: BUILT,
	fitting: BUILT,
	base: [...BUILT, 'wide', 'deep', 'ground'],
	weight: ['grams', 'reuse', 'loss'],
	tie: [...PLAIN, 'holds'],
	adhesive: ['holds', 'set', 'loss'],
	ribbon: PLAIN,
	accent: [...PLAIN, 'reuse'],
	paint: ['colour', 'cover', 'dry', 'loss'],
	gas: ['loss'],
	packaging: ['grams', 'reuse', 'loss'],
	tool: ['grams', 'reuse', 'loss']
};

/** The fields that matter to a kind; all others are left blank unless they say something already. */
export const kindFields = (kind: MaterialKind): ReadonlySet<KindField> => new Set(FIELDS[kind]);
