import { randomBytes, timingSafeEqual } from 'node:crypto';

/**
 * Right after its start the server asks itself for what is looked at first, so that whoever comes first does not wait. It
 * shows who it is by 256 bits that never leave the process, and forgets them when it is done.
 */
interface Warming {
	key?: string;
}
const WARMING = Symbol.for('bright-tally.warming');
const state = ((globalThis as Record<symbol, unknown>)[WARMING] ??= {
	key: randomBytes(32).toString('base64url')
}) as Warming;

export function isWarming(request: Request): boolean {
	const said = request.headers.get('x-tally-warming');
	const { key } = state;
	if (!key || !said || said.length !== key.length || request.method !== 'GET') return false;
	return timingSafeEqual(Buffer.from(said), Buffer.from(key));
}
