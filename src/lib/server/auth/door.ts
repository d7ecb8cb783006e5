import { randomUUID, timingSafeEqual } from 'node:crypto';
import type { RequestEvent } from '@sveltejs/kit';
import { isAPIError } from 'better-auth/api';
import { parseSetCookieHeader, toCookieOptions } from 'better-auth/cookies';
import type { PersonTyped } from '../../core/people/read-person.ts';
import { FIRST_PERSON, guestOf, HOME_WORKSPACE, STAFF_ROLES, type Actor, type StaffRole } from '../actor.ts';
import { DAY_MS, dayOfNumber } from '../../core/units/calendar-day.ts';
import type { Database } from '../db/client.ts';
import { clientLinkBy, hashOf, invitationBy, isUnclaimed } from '../repos/doors.ts';
import { people } from '../repos/people.ts';
import { addressOf } from './address.ts';
import { ADDRESS_HEADER, type Auth } from './auth.ts';
import { waitWords, type Throttle } from './throttle.ts';

type Event = Pick<RequestEvent, 'request' | 'cookies' | 'getClientAddress' | 'url'>;

/** Somebody who is signed in. */
export interface SignedIn {
	readonly actor: Actor & { readonly role: StaffRole };
	readonly name: string;
	readonly email: string;
	readonly secondStep: boolean;
}

/** A browser somebody is signed in with. */
export interface OpenSession {
	readonly id: string;
	/** The one that asks. */
	readonly isThis: boolean;
	readonly since: Date;
	readonly lastSeen: Date;
	readonly browser: string;
	readonly address: string;
}

/** What a client's link opens. Where it is not open, it opens no studio either. */
export interface OpenLink {
	readonly state: 'open' | 'unknown' | 'ended' | 'old' | 'busy';
	readonly workspace: string;
}
/** No studio has this id. */
const NOWHERE = '';

/** It is done, or a sentence that says why not. */
export type Done = { readonly ok: true } | { readonly ok: false; readonly say: string };
const OK = { ok: true } as const;
const no = (say: string) => ({ ok: false, say }) as const;

const WRONG = 'The address or the password is not right. Check both, or ask for a new password.';
const TAKEN = 'That address signs in here already. Sign in with it, or give another address for this studio.';
export const LINK_GONE = 'This link was used already, was taken back, or is too old. Ask for a new one.';

interface Doors {
	readonly db: Database;
	readonly auth: Auth;
	readonly throttle: Throttle;
	/** What the first owner has to know where more than this machine is let in. */
	readonly setupCode: string | undefined;
	/** Where somebody asked for a letter, by their address, while it is written. */
	readonly letters: Map<string, string>;
}

/** What people do to get in and out. Sessions live in cookies that scripts cannot read. */
export function openDoor({ db, auth, throttle, setupCode, letters }: Doors) {
	function headersOf(event: Event): Headers {
		const headers = new Headers(event.request.headers);
		headers.set(ADDRESS_HEADER, addressOf(event));
		return headers;
	}
	/** What the library would set in the browser. */
	function take({ cookies }: Event, headers: Headers): void {
		const set = headers.get('set-cookie');
		if (!set) return;
		for (const [name, attributes] of parseSetCookieHeader(set))
			cookies.set(name, attributes.value, { ...toCookieOptions(attributes), path: attributes.path || '/' });
	}
	/** @returns why the library refused, by its code; undefined where it did not */
	async function asked<T>(
		event: Event,
		work: (headers: Headers) => Promise<{ headers: Headers; response: T }>
	): Promise<{ response: T; refused?: undefined } | { refused: string }> {
		try {
			const { headers, response } = await work(headersOf(event));
			take(event, headers);
			return { response };
		} catch (cause) {
			if (!isAPIError(cause)) throw cause;
			return { refused: String(cause.body?.code ?? cause.status) };
		}
	}

	const signIn = (event: Event, email: string, password: string) =>
		asked(event, (headers) =>
			auth.api.signInEmail({ body: { email, password }, headers, returnHeaders: true })
		);
	const hash = async (password: string) => (await auth.$context).password.hash(password);

	return {
		/** Who asks; null where nobody is signed in. */
		async who(event: Event): Promise<SignedIn | null> {
			const found = await asked(event, (headers) => auth.api.getSession({ headers, returnHeaders: true }));
			const user = found.refused === undefined ? found.response?.user : undefined;
			if (!user || user.endedAt) return null;
			const role = STAFF_ROLES.find((r) => r === user.role);
			if (!role) return null;
			return {
				actor: { workspace: user.workspaceId, person: user.id, role },
				name: user.name,
				email: user.email,
				secondStep: user.twoFactorEnabled ?? false
			};
		},

		/** @returns `code` where a second step follows */
		async enter(event: Event, email: string, password: string): Promise<Done | { ok: true; code: true }> {
			const address = addressOf(event);
			const wait = (await throttle.take('address', address)) || (await throttle.take('account', email));
			if (wait > 0) return no(`That was tried too often. Try again ${waitWords(wait)}.`);
			const got = await signIn(event, email, password);
			if (got.refused !== undefined) return no(WRONG);
			await throttle.giveBack('address', address);
			if ('twoFactorRedirect' in got.response) return { ok: true, code: true };
			await throttle.forget('account', email);
			return OK;
		},

		/** The second step: the code of the moment, or a spare one. */
		async code(event: Event, typed: string): Promise<Done> {
			const address = addressOf(event);
			const wait = await throttle.take('address', address);
			if (wait > 0) return no(`That was tried too often. Try again ${waitWords(wait)}.`);
			const code = typed.replace(/\s/g, '');
			const got = await asked(event, (headers) =>
				/^\d{6}$/.test(code)
					? auth.api.verifyTOTP({ body: { code }, headers, returnHeaders: true })
					: auth.api.verifyBackupCode({ body: { code: typed.trim() }, headers, returnHeaders: true })
			);
			if (got.refused === undefined) {
				await throttle.giveBack('address', address);
				return OK;
			}
			return no(
				got.refused === 'INVALID_TWO_FACTOR_COOKIE'
					? 'That took too long. Sign in again, then give the code.'
					: 'That code is not right, or not any more. Give the one your device shows now.'
			);
		},

		async leave(event: Event): Promise<void> {
			await asked(event, (headers) => auth.api.signOut({ headers, returnHeaders: true }));
		},

		/** What a client's link opens now. Whoever tries many that nobody has waits; a link that is right always opens. */
		async clientLink(event: Pick<Event, 'getClientAddress'>, token: string): Promise<OpenLink> {
			const link = await clientLinkBy(db, token);
			if (!link) {
				const address = addressOf(event);
				const busy = (await throttle.take('link', address)) > 0;
				return { state: busy ? 'busy' : 'unknown', workspace: NOWHERE };
			}
			if (link.endedAt) return { state: 'ended', workspace: NOWHERE };
			// A day more than it says, wherever the client is.
			const today = dayOfNumber(Math.floor(Date.now() / DAY_MS) - 1);
			return today > link.until
				? { state: 'old', workspace: NOWHERE }
				: { state: 'open', workspace: link.workspace };
		},

		/** Whether the first owner is still to come. */
		isUnclaimed: () => isUnclaimed(db),
		needsSetupCode: setupCode !== undefined,

		/** The first owner of this server's first studio. */
		async begin(event: Event, typed: PersonTyped, code: string): Promise<Done> {
			if (setupCode !== undefined) {
				const address = addressOf(event);
				if ((await throttle.take('address', address)) > 0)
					return no('That was tried too often. Try again later.');
				if (!timingSafeEqual(Buffer.from(hashOf(code.trim())), Buffer.from(hashOf(setupCode))))
					return no('That is not the code. It stands where the server was started.');
				await throttle.giveBack('address', address);
			}
			const { name, email, password } = typed;
			const first = {
				id: FIRST_PERSON,
				name,
				email,
				role: 'owner',
				passwordHash: await hash(password)
			} as const;
			const added = await people(db, { ...guestOf(HOME_WORKSPACE), person: FIRST_PERSON }).addFirst(
				first,
				new Date()
			);
			if (!added) return no('Somebody was quicker: this studio has its owner. Ask them for an invitation.');
			await signIn(event, email, password);
			return OK;
		},

		invitation: (token: string) => invitationBy(db, token, new Date()),

		/** Somebody takes an invitation. */
		async join(event: Event, token: string, typed: PersonTyped): Promise<Done> {
			const now = new Date();
			const invited = await invitationBy(db, token, now);
			if (!invited) return no(LINK_GONE);
			const { name, email, password } = typed;
			const next = { id: randomUUID(), name, email, role: invited.role, passwordHash: await hash(password) };
			const added = await people(db, guestOf(invited.workspace)).add(next, now, invited.id);
			if (!added) return no(TAKEN);
			await signIn(event, email, password);
			return OK;
		},

		/** A letter with a link for a new password, where somebody has that address. What is said is the same either way. */
		async askReset(event: Event, email: string): Promise<Done> {
			const address = addressOf(event);
			if ((await throttle.take('address', address)) > 0)
				return no('That was asked too often. Try again later.');
			if ((await throttle.take('letter', email)) > 0) return OK;
			letters.set(email, event.url.origin);
			await asked(event, (headers) =>
				auth.api.requestPasswordReset({ body: { email }, headers, returnHeaders: true })
			).finally(() => letters.delete(email));
			return OK;
		},

		/** A new password by the link of a letter; ends every session. */
		async reset(event: Event, token: string, newPassword: string): Promise<Done> {
			const got = await asked(event, (headers) =>
				auth.api.resetPassword({ body: { newPassword, token }, headers, returnHeaders: true })
			);
			return got.refused === undefined ? OK : no(LINK_GONE);
		},

		/** Another password, by who knows the old one; ends every other session. */
		async changePassword(event: Event, currentPassword: string, newPassword: string): Promise<Done> {
			const got = await asked(event, (headers) =>
				auth.api.changePassword({
					body: { currentPassword, newPassword, revokeOtherSessions: true },
					headers,
					returnHeaders: true
				})
			);
			return got.refused === undefined ? OK : no('That is not your password of now.');
		},

		async sessions(event: Event): Promise<OpenSession[]> {
			const headers = headersOf(event);
			const own = await auth.api.getSession({ headers });
			const all = await auth.api.listSessions({ headers });
			return all
				.map(({ id, createdAt, updatedAt, userAgent, ipAddress }) => ({
					id,
					isThis: id === own?.session.id,
					since: createdAt,
					lastSeen: updatedAt,
					browser: userAgent ?? '',
					address: ipAddress ?? ''
				}))
				.sort((a, b) => Number(b.isThis) - Number(a.isThis) || +b.lastSeen - +a.lastSeen);
		},
		async endSession(event: Event, id: string): Promise<void> {
			const headers = headersOf(event);
			const found = (await auth.api.listSessions({ headers })).find((s) => s.id === id);
			if (found) await auth.api.revokeSession({ body: { token: found.token }, headers });
		},
		async endOtherSessions(event: Event): Promise<void> {
			await auth.api.revokeOtherSessions({ headers: headersOf(event) });
		},

		/** Begins a second step. It counts once a first code was given. */
		async startSecondStep(
			event: Event,
			password: string
		): Promise<(Done & { ok: false }) | { ok: true; uri: string; spare: readonly string[] }> {
			const got = await asked(event, (headers) =>
				auth.api.enableTwoFactor({ body: { password }, headers, returnHeaders: true })
			);
			if (got.refused !== undefined) return no('That is not your password.');
			const { response } = got;
			if (!('totpURI' in response)) return no('That kind of second step is not offered here.');
			return { ok: true, uri: response.totpURI, spare: response.backupCodes };
		},
		async confirmSecondStep(event: Event, code: string): Promise<Done> {
			const got = await asked(event, (headers) =>
				auth.api.verifyTOTP({ body: { code: code.replace(/\s/g, '') }, headers, returnHeaders: true })
			);
			return got.refused === undefined
				? OK
				: no('That code is not right, or not any more. Give the one your device shows now.');
		},
		async stopSecondStep(event: Event, password: string): Promise<Done> {
			const got = await asked(event, (headers) =>
				auth.api.disableTwoFactor({ body: { password }, headers, returnHeaders: true })
			);
			return got.refused === undefined ? OK : no('That is not your password.');
		},

		throttle
	};
}
export type Door = ReturnType<typeof openDoor>;
