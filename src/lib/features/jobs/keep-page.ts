/**
 * Keeps the page that is open, and all it is made of, so that it opens without a line too. Nothing is done where the
 * browser keeps no pages, or not over this connection.
 */
export async function keepPage(): Promise<void> {
	if (!('serviceWorker' in navigator)) return;
	try {
		await navigator.serviceWorker.register('/service-worker.js', { type: 'module' });
		const { active } = await navigator.serviceWorker.ready;
		const own = performance
			.getEntriesByType('resource')
			.map((r) => r.name)
			.filter(
				(url) => url.startsWith(`${location.origin}/_app/`) || url.startsWith(`${location.origin}/photo/`)
			);
		active?.postMessage({ keep: location.href, parts: [...new Set(own)] });
	} catch {
		// Then it opens with a line only.
	}
}
