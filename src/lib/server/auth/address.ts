import type { RequestEvent } from '@sveltejs/kit';

/** Who is at the other end, as far as it is known: what asks past the proxy that would say so has no address of its own. */
export function addressOf({ getClientAddress }: Pick<RequestEvent, 'getClientAddress'>): string {
	try {
		return getClientAddress();
	} catch {
		return 'this machine';
	}
}
