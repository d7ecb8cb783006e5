/** Pages that are kept for a place without a line: of one job, and of a day. */
export const isKeptPage = (path: string): boolean =>
	/^\/jobs\/(day\/[\w-]+|[\w.-]+\/(tally|lists))$/.test(path);

/** What pages are made of: never changed under its name. */
export const isPart = (path: string): boolean =>
	path.startsWith('/_app/immutable/') || /^\/photo\/[\w.-]+$/.test(path);

/** What a page asks to be kept: itself and its parts, all of this server; undefined where it asks for anything else. */
export function readKeep(
	data: unknown,
	origin: string
): { readonly page: string; readonly parts: readonly string[] } | undefined {
	const asked = data as { keep?: unknown; parts?: unknown } | null;
	const pathOf = (url: unknown): string | undefined =>
		typeof url === 'string' && URL.canParse(url) && new URL(url).origin === origin
			? new URL(url).pathname
			: undefined;
	const page = pathOf(asked?.keep);
	if (page === undefined || !isKeptPage(page) || !Array.isArray(asked?.parts)) return undefined;
	const parts = (asked.parts as unknown[]).flatMap((p) => {
		const path = pathOf(p);
		return path !== undefined && isPart(path) ? [path] : [];
	});
	return { page, parts: parts.slice(0, 500) };
}
