import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'vite';
import { isHttpError } from '@sveltejs/kit';
import { PNG } from 'pngjs';
import jpeg from 'jpeg-js';
import { afterEach, beforeAll, describe, expect, onTestFinished, test } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { NOW, owner, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { readPhoto } from '../../core/photo/read-photo.ts';
import { DAMAGED, TOO_LARGE } from '../services/check-picture.ts';
import { stampOf } from '../services/stamp.ts';
import { pictureTrouble } from './picture-trouble.ts';
import { LIMITS, openThreads, type Limits, type Threads } from './pool.ts';

const opened: Threads[] = [];
/** Where the thread is built for these tests: within the project, so that it finds its packages. */
const outDir = 'test-results/threads';
beforeAll(
	() => build({ configFile: 'vite.threads.config.ts', logLevel: 'error', build: { outDir } }),
	60_000
);

function threads(url: string, limits: Partial<Limits> = {}): Threads {
	const made = openThreads({ file: join(process.cwd(), outDir, 'thread.js'), url }, { ...LIMITS, ...limits });
	opened.push(made);
	return made;
}
afterEach(async () => {
	await Promise.all(opened.splice(0).map((t) => t.close()));
});

/** The sentence and status somebody is answered with. */
const refusal = (promise: Promise<unknown>) =>
	promise.then(
		() => 'answered',
		(cause: unknown) => (isHttpError(cause) ? `${cause.status} ${cause.body.message}` : String(cause))
	);

describe('the port to what takes long', () => {
	test('a thread reads what was saved, answers as plain data, and refuses as a page would', async () => {
		const { repos, url } = await tempStudio();
		await repos.designs.create('hive', design('Hive column', '4 11 at 9 gold x8'), NOW);
		const work = threads(url).workFor(owner);
		const found = await work('lists page', { design: 'hive', search: '?quantity=2' });
		expect(found).toMatchObject({ name: 'Hive column', quantity: 2, balloons: 64 });
		expect(await refusal(work('lists page', { design: 'nobody', search: '' }))).toBe(
			'404 There is no such design.'
		);
	});
	test('an answer is made once for all who ask, and anew when what it was made from changes', async () => {
		const { repos, url } = await tempStudio();
		await repos.designs.create('hive', design('Hive column', '4 11 at 9 gold x8'), NOW);
		const work = threads(url).workFor(owner);
		const paper = async () =>
			work('plan paper', { design: 'hive', search: '' }, await stampOf(repos, 'hive'));
		const [first, second] = await Promise.all([paper(), paper()]);
		expect(second).toBe(first);
		const before = await stampOf(repos, 'hive');
		const recipe = design('Hive column', '4 11 at 9 gold x9');
		await repos.designs.save('hive', { saveId: 'save-hive', baseRevision: 1, recipe }, NOW);
		expect(await stampOf(repos, 'hive')).not.toBe(before);
		expect(await paper()).not.toBe(first);
	});
	test('where too much waits, and where one takes too long, it says so; the next is answered', async () => {
		const { url } = await tempStudio();
		const port = threads(url, { threads: 1, queue: 1 });
		const work = port.workFor(owner);
		const sheet = (size: number) => work('sizer holes', { sizes: [size as never], paper: 'a4' });
		const all = await Promise.all([1, 2, 3, 4, 5].map((n) => refusal(sheet(n * 100_000))));
		expect(all).toContain('answered');
		expect(all).toContain('503 Too much is being worked out just now. Try again in a moment.');
		expect(await refusal(sheet(100_000))).toBe('answered');
		const hurried = threads(url, { threads: 1, time: 1 }).workFor(owner);
		expect(await refusal(hurried('sizer holes', { sizes: [100_000 as never], paper: 'a4' }))).toMatch(
			/^503 That took too long/
		);
	});
});

test('a thread that ends in the middle of its work: the work is done on another, once more and no oftener', async () => {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-thread-'));
	onTestFinished(() => rmSync(folder, { recursive: true, force: true }));
	const file = join(folder, 'thread.mjs');
	const tries = join(folder, 'tries');
	// Ends its thread as often as the task says, noting each time that it was asked.
	writeFileSync(
		file,
		`import { appendFileSync, readFileSync } from 'node:fs';
		export default ({ input }) => {
			appendFileSync(input.tries, 'x');
			if (readFileSync(input.tries, 'utf8').length > input.ends) return { answer: 'done', size: 0 };
			setTimeout(() => { throw new Error('nobody catches this'); });
			return new Promise(() => {});
		};`
	);
	const asked = async (ends: number) => {
		const port = openThreads({ file, url: 'file:none' }, LIMITS);
		opened.push(port);
		writeFileSync(tries, '');
		const answer = await port.workFor(owner)('lists page', { tries, ends } as never).catch(() => 'failed'); // prettier-ignore
		return [answer, readFileSync(tries, 'utf8').length];
	};
	expect(await asked(0)).toEqual(['done', 1]);
	expect(await asked(1)).toEqual(['done', 2]);
	expect(await asked(9)).toEqual(['failed', 2]);
});

const picture = new PNG({ width: 12, height: 9 });
const small = PNG.sync.write(picture);
const photo = jpeg.encode({ width: 16, height: 12, data: Buffer.alloc(16 * 12 * 4, 120) }, 80).data;

test('mutated pictures (seeded): each is taken in or refused in words, and nothing ends or hangs', async () => {
	const { url } = await tempStudio();
	const work = threads(url, { time: 10_000 }).workFor(owner);
	let seed = 11;
	const next = (n: number) => (seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648) % n;
	const said = new Set<string>();
	for (let i = 0; i < 60; i++) {
		const [source, type] = i % 2 ? [photo, 'image/jpeg' as const] : [small, 'image/png' as const];
		const bytes = Buffer.from(source);
		for (let k = 0; k <= next(6); k++) bytes[next(bytes.length)] = next(256);
		// What the reader refuses never comes so far.
		if (!readPhoto(bytes).ok) continue;
		said.add(await pictureTrouble(work, { bytes: new Uint8Array(bytes), type }));
	}
	for (const words of said) expect(['', DAMAGED, TOO_LARGE]).toContain(words);
	const whole = new Uint8Array(readFileSync('scripts/demo/photos/lighthouse-column.jpg'));
	expect(await pictureTrouble(work, { bytes: whole, type: 'image/jpeg' })).toBe('');
}, 60_000);
