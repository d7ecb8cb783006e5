import type { Browser, Page } from '@playwright/test';
import { NOBODY } from '../kit/signed-in.ts';
import { expect, figure, test } from './app.ts';

const region = (page: Page, name: string | RegExp) => page.getByRole('region', { name });
const isSaved = (page: Page) => expect(page.locator('[data-name=quote-state]')).toHaveText('saved');

/** The client's phone. @param script whether it runs scripts */
const phone = async (browser: Browser, script = true) => {
	const context = await browser.newContext({
		viewport: { width: 390, height: 800 },
		hasTouch: true,
		javaScriptEnabled: script,
		storageState: NOBODY
	});
	return context.newPage();
};

/** A draft of a design for a client, as from the Bench. */
async function draft(page: Page, client: string, design = 'hive-column') {
	await page.goto(`/quotes?with=${design}`);
	await page.getByLabel('Client').fill(client);
	await page.getByRole('button', { name: 'New quote' }).click();
	await page.waitForURL(/\/quotes\/[\w-]+$/);
	await expect(figure(page, 'total')).not.toHaveText('—');
}
async function send(page: Page): Promise<string> {
	await isSaved(page);
	await page.getByRole('button', { name: 'Send', exact: true }).click();
	const link = page.locator('[data-name=client-link]');
	const even = page.getByRole('button', { name: 'Send it all the same' });
	await expect(link.or(even).first()).toBeVisible({ timeout: 20_000 });
	if (await even.isVisible()) await even.click();
	await expect(page.locator('[data-name=state]')).toHaveText('sent', { timeout: 20_000 });
	return new URL((await link.textContent())!).pathname;
}

test('asked, quoted with choices, seen, a question, written anew, a yes with an extra, a card turned down, paid, invoiced, the rest', async ({
	page,
	browser,
	app
}) => {
	test.setTimeout(120_000);
	await draft(page, 'Wickwater Rowing Club');
	await page.getByLabel('Event date').fill('2028-08-19');
	await page.getByLabel('Occasion').fill('Summer regatta');
	await page.getByRole('button', { name: 'Add a design' }).click();
	await page.getByLabel('Look for a design to add').fill('loaf arch');
	await page
		.getByRole('group', { name: 'Designs to add' })
		.getByRole('button', { name: 'Loaf arch' })
		.click();
	const arch = page.getByRole('group', { name: 'Loaf arch' });
	await arch.getByText('heading, note, choice').click();
	await arch.getByLabel('It is').selectOption('an extra the client may tick');
	await arch.getByLabel('Under the heading').fill('entrance');
	await expect(arch.locator('[data-name=line-amount]')).toHaveText('not chosen');
	await page.getByRole('button', { name: 'Add a line of your own' }).click();
	const own = page.getByRole('group', { name: 'a line of your own' });
	await expect(own.getByLabel('What the client reads')).toBeFocused();
	await expect(own.getByText('What is it? Type what the client reads.')).toBeVisible();
	await own.getByLabel('What the client reads').fill('Design fee');
	const fee = page.getByRole('group', { name: 'Design fee' });
	await fee.getByLabel('Price of one').fill('40');
	await expect(fee.locator('[data-name=line-amount]')).toHaveText('40.00');
	await page.getByRole('button', { name: 'Up: Design fee' }).click();
	const glance = region(page, 'What may be chosen, for you only');
	await expect(glance.getByRole('row', { name: /with Loaf arch/ })).toBeVisible();
	const first = await send(page);

	const client = await phone(browser);
	await client.goto(`${app.url}${first}`);
	await expect(client.getByText('Design fee', { exact: true })).toBeVisible();
	await client.getByLabel('Ask us something').fill('Could it be in blue?');
	await client.getByRole('button', { name: 'Ask' }).click();
	await expect(client.getByText('Could it be in blue?').first()).toBeVisible();

	await page.reload();
	await expect(page.locator('[data-name=state]')).toHaveText('seen');
	await expect(page.locator('[data-name=due]')).toContainText('asked a question');
	await page.getByLabel('Your answer').fill('It could: see the new offer.');
	await page.getByRole('button', { name: 'Answer', exact: true }).click();
	await expect(page.getByLabel('Your answer')).toHaveCount(0);
	await page.getByRole('button', { name: 'Write it anew' }).click();
	await expect(page.locator('[data-name=state]')).toHaveText('revision 2, being written');

	await client.getByLabel('Your name').fill('Rowena Pike');
	await client.getByRole('button', { name: 'Yes, please' }).click();
	await expect(client.getByText('This offer was written anew since.').first()).toBeVisible();

	await page.getByRole('group', { name: 'Hive column' }).getByLabel('How many').fill('2');
	const second = await send(page);
	expect(second).not.toBe(first);
	await expect(region(page, 'Revisions')).toContainText('Hive column');
	await expect(region(page, 'Revisions')).toContainText('2 × for');

	await client.goto(`${app.url}${second}`);
	const before = await client.locator('[data-name=as-chosen]').textContent();
	const answered = client.waitForResponse((r) => r.url().includes('/total?'));
	await client.getByLabel(/Loaf arch/).check();
	await answered;
	await expect(client.locator('[data-name=as-chosen]')).not.toHaveText(before!);
	const chosen = await client.locator('[data-name=as-chosen]').textContent();
	await client.getByRole('button', { name: 'Yes, please' }).click();
	await expect(client.getByText('Who says yes? Type your name.')).toBeVisible();
	await expect(client.getByLabel(/Loaf arch/)).toBeChecked();
	await client.getByLabel('Your name').fill('Rowena Pike');
	await client.getByRole('button', { name: 'Yes, please' }).click();
	await expect(client.getByRole('heading', { name: 'Thank you, Rowena Pike' })).toBeVisible();
	await expect(client.locator('[data-name=total]')).toContainText(chosen!);
	const day = await client.request.get(`${app.url}${second}/the-day.ics`);
	expect(await day.text()).toContain('DTSTART;VALUE=DATE:20280819');

	const paying = region(client, 'Paying');
	await paying.getByLabel('a card that is turned down').check();
	await paying.getByRole('button', { name: /^Pay/ }).click();
	await expect(paying).toContainText('nothing was charged');
	await paying.getByLabel('a card that works').check();
	await paying.getByRole('button', { name: /^Pay/ }).dblclick();
	await expect(paying.locator('[data-name=paid]')).toBeVisible();

	await page.reload();
	await expect(page.locator('[data-name=state]')).toHaveText('accepted');
	await page.getByRole('button', { name: 'Write the invoice' }).click();
	await expect(region(page, 'Papers')).toContainText('Invoice INV-');
	await expect(region(page, 'Outbox')).toContainText('no address yet');
	await region(page, 'Outbox')
		.getByRole('link', { name: /^Invoice/ })
		.click();
	await expect(page.locator('[data-name=mail]')).toContainText('Attached is our invoice');
	const xml = await page.request.get((await page.goBack(), await region(page, 'Papers').getByRole('link', { name: 'UBL' }).getAttribute('href'))!); // prettier-ignore
	expect(await xml.text()).toContain('<cbc:InvoiceTypeCode>380</cbc:InvoiceTypeCode>');

	await client.reload();
	await paying.getByLabel('a bank that answers later').check();
	await paying.getByRole('button', { name: /^Pay/ }).click();
	await expect(paying).toContainText('is on its way');
	await page.reload();
	await page.getByRole('button', { name: 'It has come' }).click();
	await expect(page.locator('[data-name=order-sums]')).toContainText('left $0.00');
	await client.reload();
	await expect(paying).toContainText('All is paid');
	await client.context().close();
});

test('a phone without scripts reads, chooses, says yes and pays; a link with another letter opens nothing', async ({
	page,
	browser,
	app
}) => {
	await draft(page, '<script>alert(1)</script> & Daughters');
	await page.getByLabel('Levels to choose from').fill('Good');
	await expect(page.getByText('One level is no choice.')).toBeVisible();
	await page.getByLabel('Levels to choose from').fill('Good, Better');
	await page.getByRole('button', { name: 'Add a line of your own' }).click();
	const own = page.getByRole('group', { name: 'a line of your own' });
	await own.getByLabel('What the client reads').fill('Lights');
	const lights = page.getByRole('group', { name: 'Lights' });
	await lights.getByLabel('Price of one').fill('25');
	await lights.getByText('heading, note, choice').click();
	await lights.getByLabel('Good').uncheck();
	const path = await send(page);

	const client = await phone(browser, false);
	const other = path.slice(0, -1) + (path.endsWith('A') ? 'B' : 'A');
	expect((await client.request.get(`${app.url}${other}`)).status()).toBe(404);
	await client.goto(`${app.url}${path}`);
	await client.getByLabel('Your name').fill('Ada');
	await client.getByRole('button', { name: 'Yes, please' }).click();
	await expect(client.getByText('Choose one of Good, Better first.')).toBeVisible();
	await client.getByLabel('Better').check();
	await client.getByRole('button', { name: 'What it comes to' }).click();
	await expect(client.getByText('Lights', { exact: true })).toBeVisible();
	await expect(client.getByText('<script>alert(1)</script> & Daughters').first()).toBeVisible();
	await client.getByLabel('Your name').fill('Ada');
	await client.getByRole('button', { name: 'Yes, please' }).click();
	await expect(client.getByRole('heading', { name: 'Thank you, Ada' })).toBeVisible();
	await client.getByRole('button', { name: /^Pay/ }).click();
	await expect(client.locator('[data-name=paid]')).toBeVisible();
	const html = await client.content();
	expect(html).not.toMatch(/margin|profit|versionId/i);
	await client.context().close();
});

test('a client’s card: wrong e-mail, saved, two that are one merged after a look at both', async ({
	page
}) => {
	await draft(page, 'Quayside Diner');
	await draft(page, 'Quayside Dinner');
	await page.goto('/clients?search=quayside');
	await page.getByRole('link', { name: /Quayside Dinner/ }).click();
	await page.getByLabel('E-mail').fill('not an address');
	await page.getByLabel('Allergies (latex)').fill('latex: the cook');
	await page.locator('form[action="?/save"]').evaluate((f: HTMLFormElement) => (f.noValidate = true));
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('looks like name@place.example')).toBeVisible();
	await expect(page.getByLabel('Allergies (latex)')).toHaveValue('latex: the cook');
	await page.getByLabel('E-mail').fill('cook@quayside.example');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
	await page.getByLabel('Is really').selectOption({ label: 'Quayside Diner' });
	await page.getByRole('button', { name: 'Look at both' }).click();
	await expect(page.getByText('cook@quayside.example').last()).toBeVisible();
	await page.getByRole('button', { name: 'Make them one' }).click();
	await expect(page.getByRole('heading', { name: 'Quayside Diner', exact: true })).toBeVisible();
	await expect(page.getByLabel('E-mail')).toHaveValue('cook@quayside.example');
	await expect(region(page, 'Quotes').getByRole('listitem')).toHaveCount(2);
});

test('from the phone: two pieces, a day and the way there become a draft with one press', async ({
	page
}) => {
	await page.setViewportSize({ width: 390, height: 800 });
	await page.goto('/quick');
	await page.getByLabel('How many').fill('2');
	await page.getByRole('button', { name: 'Put it on a quote' }).click();
	await page.getByLabel('Design', { exact: true }).selectOption({ label: 'Loaf arch' });
	await expect(page.getByLabel('How many')).toBeEnabled();
	await page.getByLabel('How many').fill('1');
	await page.getByRole('button', { name: 'Put this one with them' }).click();
	const together = page.locator('[data-name=together]');
	const near = await together.textContent();
	await page.getByLabel('Miles, one way').fill('far');
	await expect(page.getByRole('button', { name: 'Make the draft' })).toBeDisabled();
	await page.getByLabel('Miles, one way').fill('40');
	await expect(together).not.toHaveText(near!);
	const said = await together.textContent();
	await page.getByRole('button', { name: 'Make the draft' }).click();
	await expect(page.getByText('Who is it for? Type a name.')).toBeVisible();
	await expect(together).toHaveText(said!);
	await page.getByLabel('Client').fill('Slipway Café');
	await page.getByLabel('Day').fill('2028-07-03');
	await page.getByRole('button', { name: 'Make the draft' }).dblclick();
	await page.waitForURL(/\/quotes\/[\w-]+$/);
	await expect(page.getByLabel('Event date')).toHaveValue('2028-07-03');
	await expect(figure(page, 'total')).toHaveText(said!.replace('$', ''));
	// Pressed twice it is one.
	await page.goto('/clients?search=slipway');
	await expect(page.getByRole('link', { name: /Slipway Café/ })).toContainText('1 quote,');
});

test('from the phone straight to the client: one press, and the link is there', async ({
	page,
	browser,
	app
}) => {
	await page.setViewportSize({ width: 390, height: 800 });
	await page.goto('/quick');
	await page.getByLabel('Design', { exact: true }).selectOption({ label: 'Loaf arch' });
	await page.getByRole('button', { name: 'Put it on a quote' }).click();
	await page.getByLabel('Client').fill('Slipway Chandlers');
	await page.getByRole('button', { name: 'Send it, and get the link' }).dblclick();
	await page.waitForURL(/\/quotes\/[\w-]+$/);
	await expect(page.locator('[data-name=state]')).toHaveText('sent');
	const link = new URL((await page.locator('[data-name=client-link]').textContent())!).pathname;
	const client = await phone(browser);
	await client.goto(`${app.url}${link}`);
	await expect(client.getByText('Loaf arch').first()).toBeVisible();
	await client.context().close();
});

test('colours of a line’s own and a tax of its own, from the draft to the client’s page', async ({
	page,
	browser,
	app
}) => {
	await draft(page, 'Tidewick Library');
	const line = page.getByRole('group', { name: 'Hive column' });
	await line.getByText('colours of its own').click();
	const slot = line.getByRole('group', { name: 'Colours of its own' }).getByRole('combobox').first();
	const before = await figure(page, 'total').textContent();
	await slot.selectOption('left out');
	await expect(figure(page, 'total')).not.toHaveText(before!);
	await slot.selectOption({ label: 'gull white' });
	await page.getByLabel('Tax rate').fill('8');
	await line.getByText('heading, note, choice').click();
	await line.getByLabel('Tax, %').fill('many');
	await expect(line.getByText(/is not a number/)).toBeVisible();
	await line.getByLabel('Tax, %').fill('5');
	await expect(page.getByText('tax 5 %')).toBeVisible();
	const path = await send(page);
	const client = await phone(browser);
	await client.goto(`${app.url}${path}`);
	await expect(client.getByText('tax 5 %')).toBeVisible();
	await expect(client.getByText('tax 8 %')).toBeVisible();
	await expect(client.getByText(/gull white/).first()).toBeVisible();
	await client.context().close();
});

test('the client’s place: a photo, one known measure, a piece dragged to its spot, on the client’s page where it was put', async ({
	page,
	browser,
	app
}) => {
	await draft(page, 'Quayside Hall');
	const place = region(page, 'In their place');
	await place.locator('input[type=file]').setInputFiles({ name: 'hall.txt', mimeType: 'image/png', buffer: Buffer.from('no photo') }); // prettier-ignore
	await place.getByRole('button', { name: 'Take it' }).click();
	await expect(place.getByRole('alert')).toBeVisible();
	await place.locator('input[type=file]').setInputFiles({ name: 'hall.png', mimeType: 'image/png', buffer: await page.screenshot() }); // prettier-ignore
	await place.getByRole('button', { name: 'Take it' }).click();
	await place.getByLabel('What is between the rings').fill('tall');
	await expect(place.getByText(/like/i).first()).toBeVisible();
	await place.getByLabel('What is between the rings').fill('7 ft');
	await place.getByRole('button', { name: 'Stand it there' }).click();
	const piece = place.getByRole('group', { name: /Hive column in the place/ });
	await place.locator('[data-name=mock-up]').scrollIntoViewIfNeeded();
	const [from, frame] = [
		(await piece.boundingBox())!,
		(await place.locator('[data-name=mock-up]').boundingBox())!
	];
	const middle = [from.x + from.width / 2, from.y + from.height * 0.8] as const;
	await page.mouse.move(...middle);
	await page.mouse.down();
	await page.mouse.move(middle[0] + frame.width / 4, middle[1] - 20, { steps: 4 });
	await page.mouse.up();
	const moved = (await piece.boundingBox())!;
	expect(moved.x - from.x).toBeCloseTo(frame.width / 4, -1);
	expect(moved.y - from.y).toBeCloseTo(-20, -1);
	const ring = place.getByRole('group', { name: /^First end of what is known/ });
	const end = (await ring.boundingBox())!;
	await page.mouse.move(end.x + end.width / 2, end.y + end.height / 2);
	await page.mouse.down();
	await page.mouse.move(end.x + end.width / 2, end.y + end.height / 2 - 60, { steps: 4 });
	await page.mouse.up();
	// Further apart the rings, taller every piece in the photo.
	await expect.poll(async () => (await piece.boundingBox())!.height).toBeGreaterThan(moved.height * 1.05);
	const share = ((await piece.boundingBox())!.x + from.width / 2 - frame.x) / frame.width;
	const path = await send(page);
	const client = await phone(browser);
	await client.goto(`${app.url}${path}`);
	const picture = client.locator('[data-name=place]');
	await expect(picture).toBeVisible();
	const [box, stands] = [(await picture.boundingBox())!, (await picture.locator('g').first().boundingBox())!];
	expect((stands.x + stands.width / 2 - box.x) / box.width).toBeCloseTo(share, 1);
	await client.context().close();
});

test('what popped at a build teaches the Stockroom, and counts once it is taken', async ({ page }) => {
	await page.goto('/bench/bee-figure/count');
	const row = page
		.getByRole('row')
		.filter({ has: page.getByLabel(/^Lost, .*hive gold/) })
		.first();
	const label = (await row.getByLabel(/^Lost, /).getAttribute('aria-label'))!;
	await row.getByLabel(/^Took, /).fill('40');
	await page.getByLabel(label, { exact: true }).fill('9');
	await page.getByRole('button', { name: 'Only keep the count' }).click();
	await expect(page.getByText(/kept/i).first()).toBeVisible();
	await page.goto('/stockroom?search=hive');
	const use = page.getByRole('button', { name: /^Count .* with it$/ }).first();
	const taught = /^Count (.*) with it$/.exec((await use.getAttribute('aria-label'))!)![1]!;
	const learned = page.getByRole('row').filter({ hasText: taught }).filter({ hasText: 'counted:' }).first();
	const share = /counted: ([\d.]+ %)/.exec((await learned.textContent())!)![1]!;
	await learned.getByRole('button', { name: /^Count .* with it$/ }).click();
	// What it moves is said before it counts.
	await expect(learned.getByText('This moves', { exact: false })).toBeVisible({ timeout: 20_000 });
	await learned.getByRole('button', { name: 'Use it, that is meant' }).click();
	// Counts count once: what was taken is not news any more.
	await expect(learned.getByRole('button', { name: /with it$/ })).toHaveCount(0);
	await expect(learned.getByRole('cell').nth(3)).toContainText(share);
});
