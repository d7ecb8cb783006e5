import { expect, type Page } from '@playwright/test';
import ICAL from 'ical.js';
import { signIn, storageOf } from '../kit/signed-in.ts';
import { test } from './app.ts';

const LANTERNS = '/jobs/quote-lanterns';
const list = (page: Page, name: string) => page.getByRole('region', { name, exact: true });

test('from the calendar to a job by mouse: an hour is said, a day added, taken out; two tabs do not overwrite each other', async ({
	page,
	context
}) => {
	await page.goto('/jobs');
	await expect(page.locator('.calendar[data-ready]')).toBeVisible();
	await page.getByRole('link', { name: /Tidewick Library.*Evening of lanterns/ }).click();
	await page.waitForURL(`**${LANTERNS}`);
	// Two jobs want the same stands, and Tansy on neighbouring days.
	await expect(page.getByText(/are wanted on those days, and there are/)).toBeVisible();
	const other = await context.newPage();
	await other.goto(LANTERNS);

	await page.getByRole('button', { name: /^Change Build/ }).click();
	const form = page.getByRole('form', { name: /^Build on/ });
	await form.getByLabel('From').fill('');
	await form.getByRole('button', { name: 'Save' }).click();
	await expect(form.getByText('From when?')).toBeVisible();
	await form.getByLabel('From').fill('08:30');
	await form.getByLabel('Moss').check();
	await form.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
	await expect(page.getByRole('region', { name: 'Days' }).getByText('08:30–15:00')).toBeVisible();
	await expect(page.getByRole('button', { name: /^Change Build/ })).toBeFocused();

	// The other tab says something over what it has not seen: it is told, keeps what was typed, and may say it on top.
	await other.getByLabel('Where one parks').fill('Behind the mill');
	await other.getByRole('button', { name: 'Save the place' }).click();
	await expect(other.getByText('changed somewhere else meanwhile')).toBeVisible();
	await expect(other.getByLabel('Where one parks')).toHaveValue('Behind the mill');
	await other.getByRole('button', { name: 'Save the place' }).click();
	await expect(other.getByText('Saved.')).toBeVisible();
	await expect(other.getByRole('region', { name: 'Days' }).getByText('08:30–15:00')).toBeVisible();
	await other.close();

	await page.reload();
	await page.getByRole('button', { name: 'Add a day' }).click();
	const fresh = page.getByRole('form', { name: 'One more day' });
	await fresh.getByRole('button', { name: 'Add it' }).click();
	await expect(fresh.getByText('On which day?')).toBeVisible();
	const day = await page.locator('a[href^="/jobs/day/"]').first().getAttribute('href');
	await fresh.getByLabel('Day', { exact: true }).fill(day!.slice('/jobs/day/'.length));
	await fresh.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByRole('button', { name: /^Take out Build/ })).toHaveCount(2);
	await page.getByRole('button', { name: /^Take out Build/ }).last().click(); // prettier-ignore
	await expect(page.getByRole('button', { name: /^Take out Build/ })).toHaveCount(1);
});

test('the event moves and everything with it; the client’s quote stays as it was sent', async ({ page }) => {
	await page.goto('/jobs/quote-won');
	const days = () => page.locator('section[aria-label=Days] a[href^="/jobs/day/"]').evaluateAll((all) => all.map((a) => a.getAttribute('href')!.slice(-10))); // prettier-ignore
	const before = await days();
	const at = page.getByLabel('The event moves to');
	const event = await at.inputValue();
	const next = new Date(Date.parse(event) + 7 * 86_400_000).toISOString().slice(0, 10);
	await at.fill(next);
	await page.getByRole('button', { name: 'Move it all' }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
	const moved = before.map((d) => new Date(Date.parse(d) + 7 * 86_400_000).toISOString().slice(0, 10));
	expect(await days()).toEqual(moved);
	await page.goto('/quotes/quote-won');
	await page.getByText('Who did what').click();
	await expect(page.getByText(`day of the event, ${event} → ${next}`)).toBeVisible();
});

test('a crew member on a phone: the day, the lists, ticks without a line that are sent later, and no price anywhere', async ({
	browser,
	app
}) => {
	const cookie = await signIn(app.url, 'crew');
	const context = await browser.newContext({ storageState: storageOf(app.url, cookie), viewport: { width: 390, height: 800 }, baseURL: app.url }); // prettier-ignore
	const page = await context.newPage();
	await page.goto(LANTERNS);
	await page.waitForSelector('html[data-ready]');
	await expect(page.getByRole('button', { name: 'Add a day' })).toHaveCount(0);
	await page.locator('section[aria-label=Days] a').last().click();
	await page.waitForURL('**/jobs/day/*');
	await expect(page.getByRole('link', { name: /^Call Wren Ashby/ }).first()).toHaveAttribute(
		'href',
		'tel:5550142'
	);
	await page.getByRole('link', { name: 'Lists' }).first().click();
	await page.waitForURL('**/lists');
	const pull = list(page, 'Pull');
	await pull.getByRole('checkbox').first().check();
	await expect(page.getByText(/waits? to be sent/)).toHaveCount(0);
	await context.setOffline(true);
	await pull.getByRole('checkbox').nth(1).check();
	await list(page, 'Pack').getByRole('checkbox').first().check();
	await expect(page.getByText('2 ticks wait to be sent')).toBeVisible();
	await context.setOffline(false);
	await expect(page.getByText(/waits? to be sent/)).toHaveCount(0);
	await page.reload();
	await expect(pull.getByRole('checkbox').nth(1)).toBeChecked();
	await expect(list(page, 'Pack').getByRole('checkbox').first()).toBeChecked();
	expect(await page.content()).not.toMatch(/\$\d/);
	const said = await page.request.post(`${LANTERNS}?/move`, { headers: { origin: app.url }, form: { to: '2027-01-01', revision: '1' } }); // prettier-ignore
	expect(said.status()).toBe(403);
	await context.close();
});

test('a calendar is brought in, stands beside the jobs and is taken out; the jobs go out as one', async ({
	page
}) => {
	await page.goto('/jobs/calendar');
	await page.getByRole('button', { name: 'Bring it in' }).click();
	await expect(page.getByText('Choose a calendar file first')).toBeVisible();
	const soon = new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10).replaceAll('-', '');
	const text = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'BEGIN:VEVENT', 'UID:tide', `DTSTART;VALUE=DATE:${soon}`, 'SUMMARY:Spring tide', 'END:VEVENT', 'END:VCALENDAR'].join('\r\n'); // prettier-ignore
	const put = (name: string, body: string) => page.getByLabel('Calendar file (.ics)').setInputFiles({ name, mimeType: 'text/calendar', buffer: Buffer.from(body) }); // prettier-ignore
	await put('nothing.ics', 'hello');
	await page.getByRole('button', { name: 'Bring it in' }).click();
	await expect(page.getByText('This is no calendar file.')).toBeVisible();
	await put('tides.ics', text);
	await page.getByRole('button', { name: 'Bring it in' }).click();
	await expect(page.getByText('1 event of “tides” is in the calendar now.')).toBeVisible();
	const day = `${soon.slice(0, 4)}-${soon.slice(4, 6)}-${soon.slice(6)}`;
	await page.goto(`/jobs/day/${day}`);
	await expect(page.getByText('Spring tide')).toBeVisible();
	await page.goto('/jobs/calendar');
	await page.getByRole('button', { name: 'Take out tides' }).click();
	await expect(page.getByText('No other calendar is brought in.')).toBeVisible();
	const file = await page.request.get('/jobs/jobs.ics');
	const events = new ICAL.Component(ICAL.parse(await file.text()) as never).getAllSubcomponents('vevent');
	expect(events.map((e) => e.getFirstPropertyValue('summary'))).toContain(
		'Set up: Tidewick Library · Tansy, Pip'
	);
});

test('shopping for the weeks ahead: a list a supplier, ordered once however often it is pressed, and off the list then', async ({
	page
}) => {
	await page.goto('/jobs');
	await page.getByRole('link', { name: 'Shopping' }).click();
	await page.waitForURL('**/jobs/buying');
	await expect(page.locator('[data-name=proof]')).toContainText(
		'No cheaper way has everything here in time: proved.'
	);
	const first = page.getByRole('button', { name: /^I have ordered this from/ }).first();
	const name = (await first.innerText()).replace('I have ordered this from ', '');
	const lines = page.getByRole('region', { name, exact: true }).locator('li');
	const before = await lines.count();
	expect(before).toBeGreaterThan(1);
	const supplier = await page.locator('input[name=supplier]').first().inputValue();
	const csv = await (await page.request.get(`/jobs/buying/list?as=csv&supplier=${supplier}`)).text();
	expect(csv.trim().split('\r\n')).toHaveLength(before);
	const pdf = await page.request.get(`/jobs/buying/list?as=pdf&supplier=${supplier}`);
	expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
	await first.dblclick();
	await expect(page.getByText(`${name}: ordered.`)).toBeVisible();
	await expect(page.getByRole('region', { name, exact: true })).toHaveCount(0);
	await page.getByRole('link', { name: 'On order' }).click();
	await page.waitForURL('**/stockroom/orders');
	await page.goto('/jobs/buying?until=2000-01-01');
	await expect(page.getByText(/^No job is between today and/)).toBeVisible();
});

test('the same for next year is a draft on the same day of the week; pressed twice it is one', async ({ page }) => {
	await page.goto('/jobs/quote-oven');
	const day = (await page.locator('section[aria-label=Days] a[href^="/jobs/day/"]').last().getAttribute('href'))!.slice(-10);
	const quotes = async () => (await page.request.get('/quotes').then((r) => r.text())).match(/(\d+) quotes/)![1];
	const before = Number(await quotes());
	await page.getByRole('button', { name: 'The same for next year' }).dblclick();
	await expect(page).toHaveURL(/\/quotes\/.+/);
	await expect(page.getByText('draft', { exact: false }).first()).toBeVisible();
	const next = new Date(Date.parse(`${day}T00:00:00Z`) + 364 * 86_400_000).getUTCFullYear();
	expect(await page.content()).toContain(String(next));
	expect(Number(await quotes())).toBe(before + 1);
}); // prettier-ignore
