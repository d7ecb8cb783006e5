import { betterAuth } from 'better-auth';
import { twoFactor } from 'better-auth/plugins/two-factor';
import { PASSWORD_LENGTH } from '../../core/people/read-person.ts';
import type { Database } from '../db/client.ts';
import { hasEnded } from '../repos/doors.ts';
import { queuedAdapter } from '../repos/auth-store.ts';

const DAY = 24 * 60 * 60;
/** The header in which the server itself says who is at the other end; whatever a browser sends by that name is replaced. */
export const ADDRESS_HEADER = 'x-tally-address';

/** A letter that tells somebody how to get in again. */
export interface ResetLetter {
	readonly person: { readonly id: string; readonly name: string; readonly email: string };
	readonly token: string;
}

interface Opening {
	readonly db: Database;
	/** What sign-ins are signed with. */
	readonly secret: string;
	/** As browsers call this server: `https://…` makes its cookies secure. */
	readonly origin: string;
	readonly letter: (letter: ResetLetter) => Promise<void>;
}

/**
 * Sign-in: passwords hashed by scrypt, sessions that can be listed and ended, a new password by a letter, a second step by
 * a code that changes with time (RFC 6238). Nothing of it is at an address of its own: routes of the app call it.
 */
export function openAuth({ db, secret, origin, letter }: Opening) {
	return betterAuth({
		appName: 'Bright Tally',
		baseURL: origin,
		secret,
		database: queuedAdapter(db),
		telemetry: { enabled: false },
		// Without what came with it: that may name a person.
		logger: { log: (level, message) => void (level === 'error' && console.error(`sign-in: ${message}`)) },
		rateLimit: { enabled: false },
		emailAndPassword: {
			enabled: true,
			disableSignUp: true,
			minPasswordLength: PASSWORD_LENGTH.min,
			maxPasswordLength: PASSWORD_LENGTH.max,
			revokeSessionsOnPasswordReset: true,
			resetPasswordTokenExpiresIn: 60 * 60,
			sendResetPassword: ({ user, token }) =>
				letter({ person: { id: user.id, name: user.name, email: user.email }, token })
		},
		user: {
			additionalFields: {
				workspaceId: { type: 'string', required: true, input: false },
				role: { type: 'string', required: true, input: false },
				endedAt: { type: 'date', required: false, input: false }
			}
		},
		session: { expiresIn: 14 * DAY, updateAge: DAY },
		verification: { storeIdentifier: 'hashed' },
		databaseHooks: {
			session: {
				create: {
					// Whoever is let in no more gets no session, whatever they know.
					before: async ({ userId }) => ((await hasEnded(db, userId)) ? false : undefined)
				}
			}
		},
		advanced: {
			cookiePrefix: 'tally',
			useSecureCookies: origin.startsWith('https:'),
			ipAddress: { ipAddressHeaders: [ADDRESS_HEADER] }
		},
		plugins: [twoFactor({ issuer: 'Bright Tally' })]
	});
}
export type Auth = ReturnType<typeof openAuth>;
