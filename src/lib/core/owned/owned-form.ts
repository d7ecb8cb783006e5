import { amount, choice, count, held, length, orBlank, words, type FormContext } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm } from '../forms/read-form.ts';
import type { Material } from '../materials/material.ts';
import { SQUARE_FEET } from '../units/area.ts';
import { inches } from '../units/length.ts';
import { CONDITIONS } from './owned.ts';

/** Most pieces that are written down at once, and offcuts of one length. */
const [MOST_AT_ONCE, MOST_ALIKE] = [50, 500];

const ABOUT = {
	condition: choice(CONDITIONS, { as: 'good' }),
	place: words({ what: 'A place', most: 80 }),
	note: words({ what: 'A note', most: 300 }),
	hire: orBlank(amount('What it is hired out for'), null),
	deposit: orBlank(amount('What is left for it'), null)
};
const oneOf = (materials: readonly Pick<Material, 'id'>[], say: string) =>
	held(words({ what: 'A thing', most: 80, missing: say }), (id) => (materials.some((m) => m.id === id) ? undefined : say)); // prettier-ignore

/** Pieces that are written down: so many of a thing that comes back, numbered on from those there are. */
export const readOwned = (typed: Fields, things: readonly Pick<Material, 'id'>[], context: FormContext) =>
	readForm(
		{
			material: oneOf(
				things,
				'Which thing is it? Pick one that comes back; what does is said in the Stockroom.'
			),
			count: count({ what: 'How many', min: 1, max: MOST_AT_ONCE }),
			...ABOUT
		},
		typed,
		context
	);

/** What is said of a piece that is there. */
export const readChanged = (typed: Fields, context: FormContext) =>
	readForm({ name: words({ what: 'A name', most: 80, missing: 'What is written on it? Type a name, like “stand 3”.' }), ...ABOUT }, typed, context); // prettier-ignore

/** An offcut that is put on the shelf: of a tube by its length, of sheet stuff by both sides; 0 is no other side. */
export function readOffcut(
	typed: Fields,
	stuff: readonly Pick<Material, 'id' | 'unit'>[],
	context: FormContext
) {
	const read = readForm(offcutFields(stuff), typed, context);
	if (!read.ok) return read;
	const isSheet = stuff.find((m) => m.id === read.values.material)?.unit === SQUARE_FEET;
	if (isSheet === read.values.wide > 0) return read;
	return { ok: false as const, errors: { wide: isSheet ? 'How wide is it? A piece of a sheet has two sides.' : 'A tube has a length alone: leave this blank.' } };
} // prettier-ignore
const side = (what: string) =>
	held(length(what, 'in'), (l) =>
		l > inches(12 * 40) ? 'An offcut is at most 40 ft long. Type it like 31 in.' : undefined
	);
const offcutFields = (stuff: readonly Pick<Material, 'id'>[]) => ({
	material: oneOf(stuff, 'Of which tube or sheet is it? Pick one.'),
	length: side('An offcut'),
	wide: orBlank(side('An offcut'), 0 as const),
	count: count({ what: 'How many', min: 1, max: MOST_ALIKE })
});

/** Names of so many more pieces: `stand 4`, `stand 5`, after those there are. */
export function numbered(thing: string, many: number, taken: readonly string[]): string[] {
	const names: string[] = [];
	for (let n = 1; names.length < many; n++) if (!taken.includes(`${thing} ${n}`)) names.push(`${thing} ${n}`);
	return names;
}
