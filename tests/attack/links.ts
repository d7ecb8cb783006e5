import fc from 'fast-check';
import { ask, type Outcome } from './tally.ts';

/** Words of the owner's side that no client reads. */
const OWNERS = /margin|markup|profit|overhead|\bcost\b|spares|hourly/i;

/** Links that are almost a client's: none opens, and all are answered alike; the right one says nothing of the owner's. */
export async function links(url: string, token: string, count: number, seed: number): Promise<Outcome> {
	const bad: string[] = [];
	const letters = fc.constantFrom(...'abcXYZ019-_');
	const wrong = fc.oneof(
		fc.tuple(fc.nat(token.length - 1), letters).map(([at, c]) => `${token.slice(0, at)}${c}${token.slice(at + 1)}`),
		fc.nat(token.length - 1).map((n) => token.slice(0, n + 1).slice(0, -1) || 'x'),
		fc.string({ unit: letters, minLength: 1, maxLength: 40 }),
		fc.constantFrom(token.toUpperCase(), `${token}x`, '%00', '*', 'quote-regatta', '1')
	); // prettier-ignore
	const said = new Set<string>();
	for (const other of fc.sample(wrong, { numRuns: count, seed })) {
		if (other === token) continue;
		for (const more of ['', '/quote.pdf', '/photo/photo-bee-figure']) {
			const { status, text } = await ask(`${url}/q/${other}${more}`, {
				headers: { accept: 'application/json' }
			});
			// Whoever tries many waits: that is an answer too.
			if (status !== 404 && status !== 429) bad.push(`${status} to a wrong link: ${other}${more}`);
			if (more === '' && status === 404) said.add(text.replaceAll(other, '').replace(/nonce[-=]["']?[^"'\s;]+/g, '').replace(/__sveltekit_\w+/g, '')); // prettier-ignore
		}
	}
	const page = await ask(`${url}/q/${token}`);
	const words = page.text.replace(/<style[\s\S]*?<\/style>|<link[^>]*>|class="[^"]*"|style="[^"]*"/g, '');
	const found = OWNERS.exec(words);
	if (page.status !== 200 || found) bad.push(`the client reads “${found?.[0] ?? page.status}”`);
	return { tried: count, bad };
}
