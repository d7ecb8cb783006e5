import type { ChildProcess } from 'node:child_process';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, type BrowserContext, type Page, type Request } from '@playwright/test';
import { serve } from '../kit/serve.ts';
import { signIn, storageOf } from '../kit/signed-in.ts';

/** The filled demo database that workers copy. */
export const TEMPLATE = join(tmpdir(), 'bright-tally-e2e.db');

export interface App {
	readonly url: string;
	readonly database: string;
	/** The session of its owner, as a request carries it, and as a browser keeps it. */
	readonly cookie: string;
	readonly storage: ReturnType<typeof storageOf>;
	/** Ends the server as an operator would, and starts it again on the same data. */
	restart(): Promise<void>;
}

const start = (port: number, database: string) =>
	serve({ port, database: `file:${database}`, stdio: ['ignore', 'inherit', 'inherit'] });

const end = (child: ChildProcess) =>
	new Promise<void>((resolve) => {
		child.once('exit', () => resolve());
		child.kill('SIGTERM');
	});

/** `test` with a server of its own for each worker, on its own copy of the demo data. */
export const test = base.extend<object, { app: App }>({
	app: [
		async ({}, use, worker) => {
			const folder = mkdtempSync(join(tmpdir(), 'bright-tally-'));
			const database = join(folder, 'tally.db');
			copyFileSync(TEMPLATE, database);
			const port = 4310 + worker.parallelIndex;
			let child = await start(port, database);
			const url = `http://127.0.0.1:${port}`;
			const cookie = await signIn(url);
			await use({
				url,
				database,
				cookie,
				storage: storageOf(url, cookie),
				async restart() {
					await end(child);
					child = await start(port, database);
				}
			});
			await end(child);
			rmSync(folder, { recursive: true, force: true });
		},
		{ scope: 'worker' }
	],
	baseURL: async ({ app }, use) => use(app.url),
	/** Every browser is the owner's, unless a test says otherwise. */
	storageState: async ({ app }, use) => use(app.storage),
	/** Opening and reloading wait until the page answers to keys, as a person's eye and hand do. */
	context: async ({ context }, use, info) => {
		const asked = askedOf(context);
		context.on('page', (page) => {
			for (const way of ['goto', 'reload'] as const) {
				const original = page[way].bind(page) as (...args: unknown[]) => Promise<never>;
				Object.assign(page, {
					[way]: async (...args: unknown[]) => {
						const response = await original(...args);
						await ready(page);
						return response;
					}
				});
			}
		});
		await use(context);
		if (info.status !== info.expectedStatus) console.log(`What ${info.title} asked last:\n${asked()}`);
	}
});

/** The last things that were sent from a browser, and what became of them: said where a journey fails. */
function askedOf(context: BrowserContext) {
	const became = new Map<Request, string>();
	context.on('request', (r) => {
		if (r.method() !== 'GET') became.set(r, `not answered, ${new Date().toISOString()}`);
	});
	context.on('response', (r) => {
		if (became.has(r.request())) became.set(r.request(), `${r.status()}, ${new Date().toISOString()}`);
	});
	return () =>
		[...became].slice(-8).map(([r, what]) => `  ${r.method()} ${new URL(r.url()).pathname}: ${what}`).join('\n'); // prettier-ignore
}

async function ready(page: Page) {
	await page.locator('html[data-ready]').waitFor({ state: 'attached' });
	// Letters that come late move what stands below them, away from under a press.
	await page.evaluate(() => document.fonts.ready.then(() => undefined)).catch(() => undefined);
}
export { expect } from '@playwright/test';

/** Opens an empty design on the Bench, named so that tests never meet each other's. */
export async function newDesign(page: Page, name: string): Promise<string> {
	await page.goto('/new');
	await page.getByRole('button', { name: 'Empty', exact: true }).click();
	await page.waitForURL(/\/bench\/.+/);
	await ready(page);
	const title = page.getByLabel('Name of the design');
	await title.fill(name);
	await title.press('Enter');
	return page.url().split('/bench/')[1]!;
}

export const entry = (page: Page) => page.getByRole('combobox', { name: 'Say a layer' });

/** Types lines on the entry line, each with Enter. */
export async function say(page: Page, ...lines: string[]) {
	for (const line of lines) {
		await entry(page).fill(line);
		await entry(page).press('Enter');
	}
}

/** Waits until the working copy is saved. */
export async function saved(page: Page) {
	await page.locator('[data-name=save-state]').filter({ hasText: 'working copy saved' }).waitFor();
}

export const figure = (page: Page, name: string) => page.locator(`[data-name=${name}]`).first();
/** A figure of the tape as cents. */
export async function cents(page: Page, name: string): Promise<number> {
	const text = (await figure(page, name).textContent()) ?? '';
	return Math.round(Number(text.replace(/[^\d.−-]/g, '').replace('−', '-')) * 100);
}

/** The client's link of the demo's sent quote. */
export async function clientLink(page: Page): Promise<string> {
	await page.goto('/quotes/quote-regatta');
	return (await page.locator('[data-name=client-link]').getAttribute('href'))!;
}

/** Picks a colour by its swatch, or what else is offered below them. */
export async function pickColour(page: Page, label: string, name: string) {
	await page.getByRole('button', { name: new RegExp(`^${label}: `) }).click();
	await page.getByRole('button', { name, exact: true }).click();
}
