import { randomBytes } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { pathOf } from '../db/path-of.ts';
import { CannotStart } from '../db/prepare.ts';

/** Fewest characters of a key: 32 of 64 are 192 bits. */
const FEWEST = 32;

/**
 * The key that sign-ins are signed with: AUTH_SECRET, or a file beside the database that only this account may read. It
 * is never in the database, so that a copy of the data opens nothing.
 * @throws {CannotStart} where there is none and none can be kept
 */
export function authSecret(env: Record<string, string | undefined>, url: string): string {
	const said = env.AUTH_SECRET?.trim();
	if (said) {
		if (said.length < FEWEST)
			throw new CannotStart(`AUTH_SECRET is too short. Give ${FEWEST} characters or more, made by chance.`);
		return said;
	}
	const path = pathOf(url);
	if (path === undefined)
		throw new CannotStart(
			'The data lies at an address, so the key of the sign-ins has to be said: set AUTH_SECRET to 32 characters or more, made by chance, and keep it.'
		);
	const file = `${path}.key`;
	try {
		writeFileSync(file, randomBytes(48).toString('base64url'), { mode: 0o600, flag: 'wx' });
	} catch (cause) {
		if ((cause as { code?: string }).code !== 'EEXIST')
			throw new CannotStart(
				`The key of the sign-ins cannot be kept at ${file} (${(cause as Error).message}). Let the program write there, or set AUTH_SECRET.`
			);
	}
	const key = readFileSync(file, 'utf8').trim();
	if (key.length < FEWEST)
		throw new CannotStart(
			`${file} holds no key. Take it away, and start again: everybody then signs in anew.`
		);
	return key;
}
