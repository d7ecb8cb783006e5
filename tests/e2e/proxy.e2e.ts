import { copyFileSync, mkdtempSync } from 'node:fs';
import { request as plain } from 'node:http';
import { createServer, request, type RequestOptions } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { generate } from 'selfsigned';
import { DEMO_PEOPLE, demoPassword } from '../../src/lib/server/demo-sign-ins.ts';
import { serve } from '../kit/serve.ts';
import { expect, TEMPLATE, test } from './app.ts';

const [BEHIND, BEFORE] = [4396, 4397];
const ORIGIN = `https://localhost:${BEFORE}`;

/** A proxy with https as `docs/SERVER.md` writes it down: it hands on the name it was called by and who called. */
async function proxy() {
	const { cert, private: key } = await generate([{ name: 'commonName', value: 'localhost' }]);
	const server = createServer({ cert, key }, (asked, answer) => {
		const caller = asked.socket.remoteAddress ?? '';
		const before = asked.headers['x-forwarded-for'];
		const headers = { ...asked.headers, 'x-forwarded-for': before ? `${String(before)}, ${caller}` : caller };
		const on = plain(
			{ port: BEHIND, host: '127.0.0.1', path: asked.url, method: asked.method, headers },
			(got) => {
				answer.writeHead(got.statusCode ?? 502, got.headers);
				got.pipe(answer);
			}
		);
		asked.pipe(on);
	});
	await new Promise<void>((resolve) => server.listen(BEFORE, '127.0.0.1', resolve));
	return server;
}

function ask(path: string, options: RequestOptions = {}, body = '') {
	return new Promise<{
		status: number;
		headers: Record<string, string | string[] | undefined>;
		text: string;
	}>((resolve, reject) => {
		const own = request(
			{
				host: '127.0.0.1',
				port: BEFORE,
				path,
				rejectUnauthorized: false,
				...options,
				headers: { host: `localhost:${BEFORE}`, accept: 'text/html', ...(options.headers as object) }
			},
			(got) => {
				const chunks: Buffer[] = [];
				got.on('data', (c: Buffer) => chunks.push(c));
				got.on('end', () =>
					resolve({
						status: got.statusCode ?? 0,
						headers: got.headers,
						text: Buffer.concat(chunks).toString()
					})
				);
			}
		);
		own.on('error', reject);
		own.end(body);
	});
}

test('behind a proxy with https: secure cookies, https from now on, and the address of whoever calls', async ({
	browser
}) => {
	const database = join(mkdtempSync(join(tmpdir(), 'bright-tally-')), 'tally.db');
	copyFileSync(TEMPLATE, database);
	const env = { ORIGIN, ADDRESS_HEADER: 'x-forwarded-for', XFF_DEPTH: '1' };
	const server = await serve({ port: BEHIND, database: `file:${database}`, env });
	const before = await proxy();
	try {
		const first = await ask('/shelf');
		expect([first.status, first.headers['location']]).toEqual([303, '/sign-in?to=%2Fshelf']);
		expect(first.headers['strict-transport-security']).toBe('max-age=31536000');
		// The demo's own sign-ins are not offered to strangers.
		expect((await ask('/sign-in')).text).not.toContain('come in as');

		const form = new URLSearchParams({ email: DEMO_PEOPLE[0]!.email, password: demoPassword(process.env) });
		const headers = {
			origin: ORIGIN,
			'content-type': 'application/x-www-form-urlencoded',
			'x-forwarded-for': '198.51.100.66'
		};
		const signed = await ask('/sign-in', { method: 'POST', headers }, form.toString());
		expect(signed.status).toBe(303);
		const cookies = signed.headers['set-cookie'] as string[];
		for (const cookie of cookies) expect(cookie).toMatch(/^__Secure-tally\.\w+=.*HttpOnly.*Secure/i);
		const cookie = cookies.map((c) => c.split(';')[0]!).join('; ');
		const me = await ask('/me', { headers: { cookie } });
		expect(me.status).toBe(200);
		// Who said so before the proxy is not believed.
		expect(me.text).toContain('from 127.0.0.1');
		expect(me.text).not.toContain('198.51.100.66');
		// Over plain http, past the proxy, the same cookie is nobody's: its name is for https alone.
		expect(
			(
				await ask(
					'/sign-in',
					{ method: 'POST', headers: { ...headers, origin: 'http://localhost' } },
					form.toString()
				)
			).status
		).toBe(403);

		const page = await (
			await browser.newContext({ ignoreHTTPSErrors: true, storageState: { cookies: [], origins: [] } })
		).newPage();
		await page.goto(`${ORIGIN}/sign-in`);
		await page.getByLabel('E-mail address').fill(DEMO_PEOPLE[0]!.email);
		await page.getByLabel('Password', { exact: true }).fill(demoPassword(process.env));
		await page.getByRole('button', { name: 'Sign in' }).click();
		await page.waitForURL((to) => to.pathname === '/shelf');
	} finally {
		before.close();
		before.closeAllConnections();
		server.kill('SIGTERM');
	}
});
