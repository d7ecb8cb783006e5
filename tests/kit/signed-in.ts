import { DEMO_PEOPLE, demoPassword } from '../../src/lib/server/demo-sign-ins.ts';
import type { StaffRole } from '../../src/lib/server/actor.ts';

const plain = globalThis.fetch;

/** Signs in to a running demo through its own door. @returns the cookies of the session, as a request carries them */
export async function signIn(url: string, role: StaffRole = 'owner'): Promise<string> {
	const { email } = DEMO_PEOPLE.find((p) => p.role === role)!;
	const answer = await plain(`${url}/sign-in`, {
		method: 'POST',
		redirect: 'manual',
		headers: { origin: url, accept: 'text/html' },
		body: new URLSearchParams({ email, password: demoPassword(process.env) })
	});
	const cookies = answer.headers.getSetCookie().map((c) => c.split(';')[0]!);
	if (answer.status !== 303 || cookies.length === 0)
		throw new Error(`Nobody was signed in: ${answer.status} ${(await answer.text()).slice(0, 200)}`);
	return cookies.join('; ');
}

/** The same for a browser of the tests, before it opens anything. */
export const storageOf = (url: string, cookie: string) => ({
	cookies: cookie.split('; ').map((one) => {
		const at = one.indexOf('=');
		return {
			name: one.slice(0, at),
			value: one.slice(at + 1),
			domain: new URL(url).hostname,
			path: '/',
			expires: -1,
			httpOnly: true,
			secure: false,
			sameSite: 'Lax' as const
		};
	}),
	origins: []
});
export const NOBODY = { cookies: [], origins: [] };

/** While it works, whatever this process asks of one server is asked by its owner, but for what brings cookies of its own. */
export async function asOwner<T>(url: string, work: (cookie: string) => Promise<T>): Promise<T> {
	const cookie = await signIn(url);
	globalThis.fetch = (input, init) => {
		if (typeof input !== 'string' || !input.startsWith(url)) return plain(input, init);
		const headers = new Headers(init?.headers);
		if (!headers.has('cookie')) headers.set('cookie', cookie);
		return plain(input, { ...init, headers });
	};
	try {
		return await work(cookie);
	} finally {
		globalThis.fetch = plain;
	}
}
