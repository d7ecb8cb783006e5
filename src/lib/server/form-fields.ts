import type { Fields } from '../core/forms/merge-fields.ts';

/** Texts of a form that was sent, by field; a file is none. */
export const fieldsOf = async (request: Request): Promise<Fields> =>
	Object.fromEntries(
		[...(await request.formData())].flatMap(([name, value]) =>
			typeof value === 'string' ? [[name, value] as const] : []
		)
	);

/** The id a form was made with, so that sent twice it is done once; a new one where it has none. */
export const sentId = ({ id = '' }: Fields): string => (/^[\w-]{8,64}$/.test(id) ? id : crypto.randomUUID());
