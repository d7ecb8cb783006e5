import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, statSync, writeFileSync } from 'node:fs';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { get } from 'node:http';
import { connect } from 'node:net';
import { expect, test } from './app.ts';

/** Starts a server that is not meant to stay. @returns what it said and how it ended */
function runServer(
	env: Record<string, string>,
	args: string[] = [],
	stopAfter?: RegExp,
	meanwhile: () => Promise<void> = async () => {}
) {
	return new Promise<{ said: string; code: number | null }>((resolve) => {
		const child = spawn(process.execPath, ['scripts/serve.mjs', ...args], {
			env: { ...process.env, ...env }
		});
		let said = '';
		let ready = false;
		const take = (chunk: Buffer) => {
			said += chunk;
			if (!stopAfter?.test(said) || ready) return;
			ready = true;
			void meanwhile().finally(() => child.kill('SIGTERM'));
		};
		child.stdout.on('data', take);
		child.stderr.on('data', take);
		child.on('exit', (code) => resolve({ said, code }));
	});
}

test('healthz says how it is; pages are compressed; another host name gets nothing', async ({
	app,
	request
}) => {
	expect(await (await request.get('/healthz')).json()).toEqual({
		status: 'ok',
		database: 'ok',
		version: '0.3.0',
		engine: '2'
	});
	const fetched = await new Promise<{ encoding?: string; length: number; text: string }>((resolve) => {
		// Found by its name: what other journeys made may fill the first page.
		get(
			`${app.url}/shelf?search=lighthouse`,
			{ headers: { 'accept-encoding': 'gzip', cookie: app.cookie } },
			(response) => {
				const chunks: Buffer[] = [];
				response.on('data', (c: Buffer) => chunks.push(c));
				response.on('end', () => {
					const body = Buffer.concat(chunks);
					resolve({
						encoding: response.headers['content-encoding'],
						length: body.length,
						text: gunzipSync(body).toString()
					});
				});
			}
		);
	});
	expect(fetched.encoding).toBe('gzip');
	// A paper that somebody has already is not sent again; a change of what it was made from is another paper.
	const paper = await request.get('/bench/hive-column/plan.pdf');
	const { etag } = paper.headers();
	const again = await request.get('/bench/hive-column/plan.pdf', { headers: { 'if-none-match': etag! } });
	expect([paper.status(), again.status(), (await again.body()).length]).toEqual([200, 304, 0]);
	expect(fetched.text).toContain('Lighthouse column');
	expect(fetched.length).toBeLessThan(fetched.text.length / 2);
	const other = await request.get('/shelf', { headers: { host: 'tally.example' } });
	expect(other.status()).toBe(421);
});

test('forms from another page are refused, those of localhost are ours', async ({ app, request }) => {
	const theme = (headers: Record<string, string>) =>
		request.post('/theme', { form: { theme: 'light', back: '/shelf' }, headers, maxRedirects: 0 });
	expect((await theme({ origin: 'http://elsewhere.example' })).status()).toBe(403);
	expect((await theme({ origin: app.url })).status()).toBe(303);
	const host = new URL(app.url).host.replace('127.0.0.1', 'localhost');
	expect((await theme({ origin: `http://${host}`, host })).status()).toBe(303);
});

test('a wrong configuration ends with a sentence, a taken port too', async ({ app }) => {
	const damaged = join(mkdtempSync(join(tmpdir(), 'bright-tally-')), 'damaged.db');
	writeFileSync(damaged, 'no database '.repeat(500));
	const cases: [Record<string, string>, RegExp][] = [
		[{ PORT: 'abc' }, /PORT is “abc”. Give a number/],
		[{ PORT: '4391', BODY_LIMIT: '5' }, /BODY_LIMIT is “5”/],
		[{ PORT: '4391', HOST: '0.0.0.0' }, /passwords would cross the network in the open/],
		[{ PORT: '4391', AUTH_SECRET: 'short' }, /AUTH_SECRET is too short/],
		[{ PORT: '4391', DATABASE_URL: 'mysql://x' }, /DATABASE_URL is “mysql:\/\/x”/],
		[{ PORT: '4391', DATABASE_URL: `file:${damaged}` }, /is damaged, or is no database/],
		[{ PORT: new URL(app.url).port, DATABASE_URL: `file:${app.database}` }, /is taken/]
	];
	for (const [env, sentence] of cases) {
		const { said, code } = await runServer(env);
		expect(said).toMatch(sentence);
		expect(code).toBe(1);
		expect(said).not.toMatch(/\n\s+at /);
	}
});

test('without data an own, empty studio is begun and welcomes; no page of it fails', async ({ page }) => {
	const file = join(mkdtempSync(join(tmpdir(), 'bright-tally-')), 'studio.db');
	const env = { PORT: '4393', DATABASE_URL: `file:${file}` };
	const pages = ['/shelf', '/bench', '/stockroom', '/quotes', '/quick', '/thumb', '/settings', '/healthz'];
	const seen: [string, number][] = [];
	const { said } = await runServer(env, [], /Bright Tally is at/, async () => {
		// Whoever is first becomes the owner.
		await page.goto('http://127.0.0.1:4393/quick');
		await page.getByRole('button', { name: 'Begin' }).click();
		await expect(page.getByText('Give 10 characters or more')).toBeVisible();
		await page.getByLabel('Your name').fill('Wrack Fielding');
		await page.getByLabel('Your e-mail address').fill('wrack@saltmarsh.example');
		await page.getByLabel('A password').fill('three small gulls');
		await page.getByRole('button', { name: 'Begin' }).click();
		await page.waitForURL(/\/welcome/);
		for (const path of pages)
			seen.push([path, (await page.request.get(`http://127.0.0.1:4393${path}`)).status()]);
		// The first questions, then a first design in colours there are, then its quote.
		await page.getByRole('button', { name: 'On to your first design' }).click();
		await expect(page.getByText('What is your studio called?')).toBeVisible();
		await page.getByLabel('Your studio is called').fill('Saltmarsh Party');
		await page.getByLabel('You measure in').selectOption('centimetres');
		await page.getByRole('button', { name: 'On to your first design' }).click();
		await page.waitForURL(/\/new/);
		await expect(page.getByRole('textbox', { name: 'How tall' })).toHaveValue('182.88 cm');
		await page.getByRole('button', { name: 'Bouquet', exact: true }).click();
		await page.getByRole('button', { name: 'Build it' }).click();
		await page.waitForURL(/\/bench\/.+/);
		// What is pressed before the Bench answers is lost.
		await expect(page.getByRole('combobox', { name: 'Say a layer' })).toBeFocused();
		await page.getByRole('button', { name: 'Quote this' }).click();
		await page.waitForURL(/\/quotes\?with=/);
		await page.goto('http://127.0.0.1:4393/');
		await expect(page.getByText('1 design', { exact: true })).toBeVisible();
	});
	expect(said).toContain('a new, empty studio was begun');
	expect(seen).toEqual(pages.map((path) => [path, 200]));
	// After a clean stop the one file holds everything.
	expect(existsSync(`${file}-wal`) ? statSync(`${file}-wal`).size : 0).toBe(0);
});

test('whoever sends a letter now and then, or nothing, is let go; what is asked meanwhile is answered', async ({
	app
}) => {
	const env = { PORT: '4392', DATABASE_URL: `file:${app.database}`, SLOWEST: '2' };
	const took: number[] = [];
	await runServer(env, [], /Bright Tally is at/, async () => {
		const held = (sent: string) =>
			new Promise<void>((resolve) => {
				const began = Date.now();
				const socket = connect(4392, '127.0.0.1', () => socket.write(sent));
				const drip = setInterval(() => socket.writable && socket.write('x'), 200);
				socket.resume();
				socket.on('error', () => undefined);
				socket.on('close', () => {
					clearInterval(drip);
					took.push(Date.now() - began);
					resolve();
				});
			});
		const line = 'POST /sign-in HTTP/1.1\r\nhost: 127.0.0.1:4392\r\norigin: http://127.0.0.1:4392\r\ncontent-type: application/x-www-form-urlencoded\r\n'; // prettier-ignore
		const slow = [held(`${line}content-length: 5000\r\n\r\nemail=`), held(`${line}x-more: `)];
		expect((await fetch('http://127.0.0.1:4392/healthz')).status).toBe(200);
		await Promise.all(slow);
	});
	expect(took).toHaveLength(2);
	for (const ms of took) expect(ms).toBeLessThan(15_000);
});

test('opened to the network it warns; SIGTERM ends it cleanly', async ({ app }) => {
	const env = { PORT: '4392', DATABASE_URL: `file:${app.database}` };
	const called: number[] = [];
	const { said, code } = await runServer({ ...env, HOST_NAMES: 'tally.example' }, ['--open-to-network'], /Bright Tally is at/, async () => {
		// What a page elsewhere calls this address is none of its names: nothing is answered for it, and no letter leads there.
		for (const host of ['127.0.0.1:4392', '192.168.7.9:4392', `${hostname()}:4392`, 'tally.example', 'elsewhere.example', 'tally.example.elsewhere.example'])
			called.push(await new Promise<number>((resolve) => get({ port: 4392, path: '/sign-in', headers: { host } }, (answer) => (answer.resume(), resolve(answer.statusCode!)))));
	}); // prettier-ignore
	expect(called).toEqual([200, 200, 200, 200, 421, 421]);
	expect(said).toContain('passwords cross the network in the open');
	expect(code).toBe(0);
});

test('more asked at once than it can do is turned away in words; what was there goes on', async ({ app }) => {
	const env = { PORT: '4393', DATABASE_URL: `file:${app.database}`, REQUEST_LIMIT: '3' };
	const url = 'http://127.0.0.1:4393';
	const seen: string[] = [];
	await runServer(env, [], /Bright Tally is at/, async () => {
		// Three that begin to send and do not end.
		const slow = Array.from({ length: 3 }, () => connect(4393, '127.0.0.1'));
		const head =
			'POST /theme HTTP/1.1\r\nhost: 127.0.0.1:4393\r\norigin: http://127.0.0.1:4393\r\ncontent-length: 90\r\n';
		for (const socket of slow)
			socket.write(`${head}content-type: application/x-www-form-urlencoded\r\n\r\ntheme=`);
		await expect.poll(async () => (await fetch(`${url}/healthz`)).status, { timeout: 10_000 }).toBe(503);
		seen.push(await (await fetch(`${url}/healthz`)).text());
		for (const socket of slow) socket.destroy();
		await expect.poll(async () => (await fetch(`${url}/healthz`)).status).toBe(200);
		seen.push('answered again');
	});
	expect(seen).toEqual(['Too much is asked just now. Try again in a moment.', 'answered again']);
});

test('the tally as an interface: what the Bench says, in JSON; nonsense is answered in words with its place', async ({
	request
}) => {
	const recipe = (await (await request.get('/bench/octopus-figure/recipe.json')).json()) as object;
	const answer = await request.post('/api/tally', { data: { recipe, quantity: 2, colourway: 'lagoon' } });
	expect(answer.status()).toBe(200);
	expect(await answer.json()).toMatchObject({
		format: 'bright-tally/tally',
		design: 'Octopus figure',
		colourway: 'lagoon',
		quantity: 2,
		// 20 in the body, eight arms of three and two suckers each, two eyes and two pupils, six curls; twice.
		balloons: 2 * (20 + 8 * 5 + 4 + 6)
	});
	const deep = `${'{"recipe":['.repeat(1)}${'['.repeat(200)}${']'.repeat(200)}]}`;
	const nonsense: [string, number, RegExp][] = [
		['', 400, /That is not JSON/],
		['null', 400, /expected object/],
		[deep, 400, /^recipe/],
		[JSON.stringify({ recipe, size: 'huge' }), 400, /^size: there is no “huge”/],
		[JSON.stringify({ recipe, oven: 180 }), 400, /oven/],
		[JSON.stringify({ recipe: { ...recipe, sections: [] } }), 400, /^recipe sections/]
	];
	for (const [data, status, says] of nonsense) {
		const refused = await request.post('/api/tally', {
			data: Buffer.from(data),
			headers: { 'content-type': 'application/json' }
		});
		expect([data.slice(0, 40), refused.status()]).toEqual([data.slice(0, 40), status]);
		expect(((await refused.json()) as { message: string }).message).toMatch(says);
	}
	expect(await (await request.get('/schema/recipe-5.json')).json()).toMatchObject({
		$id: '/schema/recipe-5.json'
	});
	expect(await (await request.get('/api/openapi.json')).json()).toMatchObject({ openapi: '3.1.0' });
});
