/** Name of this tab, for what it leaves behind. */
const KEY = 'bright-tally:tab';
const lock = (tab: string) => `bright-tally:tab:${tab}`;
/** A tab that is loaded anew waits so long for itself to be gone, ms. */
const PATIENCE = 400;

/** Holds the lock of a tab for as long as the page lives. @returns false where another page holds it */
function hold(tab: string): Promise<boolean> {
	const { locks } = navigator;
	// Away from this machine without encryption there are no locks: every name is free.
	if (!locks) return Promise.resolve(true);
	return new Promise((resolve) => {
		locks
			.request(lock(tab), { signal: AbortSignal.timeout(PATIENCE) }, () => {
				resolve(true);
				return new Promise(() => {});
			})
			.catch(() => resolve(false));
	});
}

async function name(): Promise<string> {
	const before = sessionStorage.getItem(KEY);
	// A tab that was doubled took the name of the other with it.
	if (before && (await hold(before))) return before;
	const fresh = crypto.randomUUID();
	sessionStorage.setItem(KEY, fresh);
	await hold(fresh);
	return fresh;
}

let own: Promise<string> | undefined;
export const thisTab = (): Promise<string> => (own ??= name());

/** Tabs that are open just now. */
export async function openTabs(): Promise<ReadonlySet<string>> {
	const { held = [] } = (await navigator.locks?.query()) ?? {};
	const prefix = lock('');
	return new Set(
		held.flatMap(({ name = '' }) => (name.startsWith(prefix) ? [name.slice(prefix.length)] : []))
	);
}
