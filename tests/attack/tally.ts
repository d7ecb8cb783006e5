import { mutations } from './mutate.ts';

/** What came of an attack: how much was tried, and what should not have happened. */
export interface Outcome {
	readonly tried: number;
	readonly bad: readonly string[];
}

/** A request that nothing answers for so long has failed, ms. */
const PATIENCE = 30_000;

/** The status and text of an answer; 0 where there is none. */
export async function ask(url: string, init: RequestInit = {}): Promise<{ status: number; text: string }> {
	try {
		const answer = await fetch(url, { ...init, redirect: 'manual', signal: AbortSignal.timeout(PATIENCE) });
		return { status: answer.status, text: await answer.text() };
	} catch (cause) {
		return { status: 0, text: String(cause) };
	}
}

/** Recipes made wrong, posted to the tally interface: each is worked out, or refused in words. */
export async function tallyRequests(url: string, count: number, seed: number): Promise<Outcome> {
	const ids = [
		'hive-column',
		'bee-figure',
		'octopus-figure',
		'buoy-bunch',
		'bakery-frame',
		'comet-tail-garland'
	];
	const recipes = await Promise.all(
		ids.map(async (id): Promise<unknown> => JSON.parse((await ask(`${url}/bench/${id}/recipe.json`)).text))
	);
	const requests = mutations(recipes.map((recipe) => ({ recipe, quantity: 2 })), count, seed); // prettier-ignore
	const bad: string[] = [];
	for (const request of requests) {
		const body = JSON.stringify(request);
		const headers = { 'content-type': 'application/json' };
		const { status, text } = await ask(`${url}/api/tally`, { method: 'POST', headers, body });
		const words = [200, 400, 413, 422].includes(status) && text.length > 10;
		if (!words) bad.push(`${status} ${text.slice(0, 120)} to ${body.slice(0, 300)}`);
	}
	return { tried: count, bad };
}
