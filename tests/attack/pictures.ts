import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import jpeg from 'jpeg-js';
import { PNG } from 'pngjs';
import { ask, type Outcome } from './tally.ts';

const DESIGN = 'hive-column';
const small = PNG.sync.write(new PNG({ width: 12, height: 9 }));
const photo = jpeg.encode({ width: 16, height: 12, data: Buffer.alloc(16 * 12 * 4, 120) }, 80).data;

/** A picture with some of its bytes changed, or cut off; of a few bytes, so that heads are met often. */
const changes = fc.record({
	of: fc.nat(2),
	bytes: fc.array(fc.tuple(fc.nat(100_000), fc.nat(255)), { maxLength: 6 }),
	cut: fc.option(fc.nat(100_000), { freq: 5 })
});

/** Pictures made wrong, uploaded: each is refused in words, or it is shown on its page and on paper. */
export async function pictures(url: string, count: number, seed: number): Promise<Outcome> {
	const sources = [small, photo, readFileSync('scripts/demo/photos/bee-figure.jpg')];
	const bad: string[] = [];
	for (const [i, { of, bytes, cut }] of fc.sample(changes, { numRuns: count, seed }).entries()) {
		const made = Buffer.from(sources[of]!);
		for (const [at, value] of bytes) made[at % made.length] = value;
		const file = cut === null ? made : made.subarray(0, cut % made.length);
		const id = `attack-${seed}-${i}`;
		const form = new FormData();
		form.set('id', id);
		form.set('caption', '');
		form.set('file', new Blob([new Uint8Array(file)], { type: of === 0 ? 'image/png' : 'image/jpeg' }), 'a');
		const headers = { origin: url, accept: 'application/json' };
		const photos = `${url}/bench/${DESIGN}/photos`;
		const { status, text } = await ask(`${photos}?/add`, { method: 'POST', headers, body: form });
		if (status !== 200) {
			bad.push(`${status} to picture ${i}: ${text.slice(0, 120)}`);
			continue;
		}
		if (!text.includes('"success"')) continue;
		const cover = new URLSearchParams({ photo: id });
		await ask(`${photos}?/cover`, { method: 'POST', headers, body: cover });
		for (const path of [`/photo/${id}`, `/bench/${DESIGN}/plan.pdf`, `/bench/${DESIGN}/photos`]) {
			const shown = await ask(`${url}${path}`);
			if (shown.status !== 200) bad.push(`${shown.status} where picture ${i} is shown, on ${path}`);
		}
		await ask(`${photos}?/remove`, { method: 'POST', headers, body: cover });
	}
	return { tried: count, bad };
}
