/** Reading what somebody types who signs in, joins, or is asked to. Refusals stand by field, in words that say what to do. */

/** Fewest and most characters of a password. */
export const PASSWORD_LENGTH = { min: 10, max: 128 } as const;
const LONGEST_NAME = 80;
const LONGEST_EMAIL = 254;

export interface PersonTyped {
	readonly name: string;
	/** In small letters. */
	readonly email: string;
	readonly password: string;
}
export type Refused = Readonly<Record<string, string>>;
type Typed = Readonly<Record<string, string | undefined>>;

/** An address in small letters; undefined where it is none. Says no more than that: whether it exists, a letter shows. */
export function readEmail(typed: string): string | undefined {
	const email = typed.trim().toLowerCase();
	return email.length <= LONGEST_EMAIL &&
		/^[^\s@<>"(),:;[\]\\]+@[^\s@<>"(),:;[\]\\]+\.[^\s@.]{2,}$/.test(email)
		? email
		: undefined;
}

export const NO_EMAIL = 'Give your e-mail address, like name@example.com.';

/** @returns why a password will not do; null where it will */
export function passwordTrouble(password: string, about: readonly string[] = []): string | null {
	const { min, max } = PASSWORD_LENGTH;
	const length = [...password].length;
	if (length < min)
		return `Give ${min} characters or more${length > 0 ? `; these are ${length}` : ''}. Three or four words are easy to keep.`;
	if (length > max) return `Give ${max} characters at most; these are ${length}.`;
	if (new Set(password.toLowerCase()).size < 4)
		return 'That is the same few letters over and over. Take three or four words instead.';
	const own = password.toLowerCase();
	if (about.some((a) => a.trim().length >= 3 && own === a.trim().toLowerCase()))
		return 'That is your own name or address, the first thing anybody would try. Take three or four words instead.';
	return null;
}

/** A name as it is shown to others. @returns undefined where there is none, or it is too long */
export function readName(typed: string): string | undefined {
	const name = typed.replace(/\s+/g, ' ').trim();
	return name === '' || name.length > LONGEST_NAME ? undefined : name;
}

export const NO_NAME = `Give a name, ${LONGEST_NAME} characters at most.`;

/** Name, address and new password of somebody who joins. */
export function readPerson(typed: Typed): { value?: PersonTyped; errors: Refused } {
	const name = readName(typed['name'] ?? '');
	const email = readEmail(typed['email'] ?? '');
	const password = typed['password'] ?? '';
	const errors: Record<string, string> = {};
	if (name === undefined) errors['name'] = NO_NAME;
	if (email === undefined) errors['email'] = NO_EMAIL;
	const trouble = passwordTrouble(password, [name ?? '', email ?? '']);
	if (trouble) errors['password'] = trouble;
	return Object.keys(errors).length > 0 ? { errors } : { value: { name: name!, email: email!, password }, errors }; // prettier-ignore
}
