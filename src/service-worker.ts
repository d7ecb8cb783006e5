/// <reference lib="webworker" />
import { isKeptPage, isPart, readKeep } from './lib/features/jobs/kept-pages.ts';

/** Pages of a job that are opened where there is no line, and what they are made of. Everything else is left alone. */
const KEPT = 'kept-pages';
const worker = self as unknown as ServiceWorkerGlobalScope;

worker.addEventListener('install', () => void worker.skipWaiting());
worker.addEventListener('activate', (event) => event.waitUntil(worker.clients.claim()));

worker.addEventListener('message', (event) => {
	const asked = readKeep(event.data, worker.location.origin);
	if (asked) event.waitUntil(keep(asked));
});

async function keep({ page, parts }: { readonly page: string; readonly parts: readonly string[] }) {
	const cache = await caches.open(KEPT);
	const fetched = await fetch(page, { credentials: 'same-origin' }).catch(() => undefined);
	if (fetched?.ok && !fetched.redirected) await cache.put(page, fetched);
	for (const part of parts) if (!(await cache.match(part))) await cache.add(part).catch(() => undefined);
}

worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const url = new URL(request.url);
	// Who signs out leaves no page behind on the device.
	if (url.pathname === '/sign-out') event.waitUntil(caches.delete(KEPT));
	if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
	if (request.mode === 'navigate' ? isKeptPage(url.pathname) : isPart(url.pathname))
		event.respondWith(fetchOrKept(event));
});

/** As it is now; as it was kept where there is no line. What never changes is not asked for twice. */
async function fetchOrKept({ request }: FetchEvent): Promise<Response> {
	const cache = await caches.open(KEPT);
	const before = await cache.match(request, { ignoreVary: true });
	if (before && request.mode !== 'navigate') return before;
	try {
		return await fetch(request);
	} catch (error) {
		if (before) return before;
		throw error;
	}
}
