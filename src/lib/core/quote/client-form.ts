import { as, held, orBlank, words, type FormContext } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm, type Errors } from '../forms/read-form.ts';
import { CLIENT_DETAILS, type ClientDetails } from './client.ts';

/** A client as its card says. */
export interface ClientSaid {
	readonly name: string;
	readonly email: string;
	readonly phone: string;
	readonly details: ClientDetails;
}

const FORM = {
	name: words({ what: 'A name', most: 120, missing: 'Who is it? Type a name.' }),
	email: held(words({ what: 'An e-mail address', most: 200 }), (text) =>
		text === '' || /^[^\s@<>,;"]+@[^\s@<>,;"]+\.[^\s@<>,;"]+$/.test(text)
			? undefined
			: 'An e-mail address looks like name@place.example.'
	),
	phone: words({ what: 'A telephone number', most: 60 }),
	...Object.fromEntries(
		CLIENT_DETAILS.map((field) => [
			field,
			orBlank(
				as(words({ what: 'It', most: 1000 }), (text): string | null => text || null),
				null
			)
		])
	)
};

/** Reads the card of a client. @returns a sentence for each field that cannot be read */
export function readClient(
	typed: Fields,
	context: FormContext
): { readonly ok: true; readonly client: ClientSaid } | { readonly ok: false; readonly errors: Errors } {
	const read = readForm(FORM, typed, context);
	if (!read.ok) return read;
	const { name, email, phone } = read.values;
	const all = read.values as Record<string, string | null>;
	const details = Object.fromEntries(CLIENT_DETAILS.flatMap((f) => (all[f] ? [[f, all[f]]] : [])));
	return { ok: true, client: { name, email, phone, details } };
}

/** The card as its fields are filled. */
export const printClient = ({ name, email, phone, details }: ClientSaid): Fields => ({
	name,
	email,
	phone,
	...Object.fromEntries(CLIENT_DETAILS.map((f) => [f, details[f] ?? '']))
});

/** How fields of a card are called on the screen. */
export const CLIENT_LABELS: Readonly<Record<(typeof CLIENT_DETAILS)[number], string>> = {
	address: 'Address for papers',
	contacts: 'Other people to call',
	delivery: 'Where it is delivered',
	access: 'How one gets in',
	parking: 'Where one parks',
	floors: 'Floors and lifts',
	likes: 'Likes and colours',
	allergies: 'Allergies (latex)',
	terms: 'What holds every time',
	exempt: 'Pays no tax, because'
};
