import { codeAt, fromBase32 } from '../kit/one-time-code.ts';
import { NOBODY } from '../kit/signed-in.ts';
import { demoPassword } from '../../src/lib/server/demo-sign-ins.ts';
import { expect, newDesign, say, test } from './app.ts';

const PASSWORD = demoPassword(process.env);

test('signed in and out by keys alone; where one wanted to go is where one comes', async ({ browser }) => {
	const page = await (await browser.newContext({ storageState: NOBODY })).newPage();
	await page.goto('/quotes?state=sent');
	await page.getByLabel('E-mail address').press('Enter');
	await expect(page.getByText('Give your e-mail address, like')).toBeVisible();
	await page.keyboard.type('Tansy@Puddlelark.example');
	await page.keyboard.press('Tab');
	await page.keyboard.type('orange buoy, gull black');
	await page.keyboard.press('Enter');
	await expect(page.getByText('The address or the password is not right.')).toBeVisible();
	await expect(page.getByLabel('E-mail address')).toHaveValue('Tansy@Puddlelark.example');
	await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
	await page.keyboard.press('Enter');
	await page.waitForURL((to) => to.pathname === '/quotes');
	expect(new URL(page.url()).search).toBe('?state=sent');
	await page.getByRole('link', { name: 'Your sign-in, Tansy' }).click();
	await page.getByRole('button', { name: 'Sign out', exact: true }).click();
	await page.waitForURL(/\/sign-in/);
	await page.goBack();
	await page.goto('/shelf');
	await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
	// Elsewhere is nowhere to go.
	await page.goto('/sign-in?to=https://elsewhere.example/');
	await page.getByRole('button', { name: /^Tansy/ }).click();
	await page.waitForURL((to) => to.pathname === '/shelf');
});

test('a helper is invited by a link, joins on a phone, changes role and is let in no more', async ({
	page,
	browser,
	app
}) => {
	await page.goto('/settings/people');
	await page.getByRole('button', { name: 'Make the link' }).click();
	await expect(page.getByText('Give a name, 80 characters at most.')).toBeVisible();
	await page.getByLabel('Their name').fill('Moss');
	await page.getByRole('button', { name: 'Make the link' }).click();
	const href = await page.getByRole('textbox', { name: 'Link' }).inputValue();
	expect(href).toMatch(/\/join\/[\w-]{32}$/);
	await expect(page.getByText(/^Moss, crew/)).toBeVisible();

	const context = await browser.newContext({
		storageState: NOBODY,
		viewport: { width: 390, height: 844 },
		hasTouch: true
	});
	const phone = await context.newPage();
	await phone.goto(href);
	await expect(phone.getByText('no price, no cost')).toBeVisible();
	await phone.getByLabel('Your e-mail address').fill('moss@puddlelark.example');
	await phone.getByLabel('A password').fill('short');
	await phone.getByRole('button', { name: 'Join' }).tap();
	await expect(phone.getByText('Give 10 characters or more; these are 5.')).toBeVisible();
	await expect(phone.getByLabel('Your e-mail address')).toHaveValue('moss@puddlelark.example');
	await phone.getByLabel('A password').fill('three small gulls');
	await phone.getByRole('button', { name: 'Join' }).tap();
	await expect(phone.getByRole('heading', { name: 'To build' })).toBeVisible();
	await phone.goto(href);
	await expect(phone.getByText('This link was used already')).toBeVisible();

	await page.reload();
	const moss = page.getByRole('listitem', { name: 'Moss' });
	await moss.getByLabel('What Moss does', { exact: true }).selectOption('office');
	await moss.getByRole('button', { name: 'Change what Moss does' }).click();
	// Another role is another sight: they sign in again.
	await phone.goto('/work');
	await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
	await phone.getByLabel('E-mail address').fill('moss@puddlelark.example');
	await phone.getByLabel('Password', { exact: true }).fill('three small gulls');
	await phone.getByRole('button', { name: 'Sign in' }).tap();
	await phone.waitForURL((to) => !to.pathname.startsWith('/sign-in'));
	expect((await phone.request.get(`${app.url}/quotes`)).status()).toBe(200);
	await page.reload();
	await moss.getByRole('button', { name: 'End access of Moss' }).click();
	await moss.getByRole('button', { name: 'Let Moss in no more' }).click();
	await expect(page.getByText(/Let in no more: Moss/)).toBeVisible();
	await phone.goto('/shelf');
	await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
	// The last owner stays.
	const tansy = page.getByRole('listitem', { name: 'Tansy' });
	await tansy.getByLabel('What Tansy does', { exact: true }).selectOption('crew');
	await tansy.getByRole('button', { name: 'Change what Tansy does' }).click();
	await expect(page.getByText('The studio needs an owner')).toBeVisible();
});

test('a new password by a letter that the owner hands on; a second step from then on', async ({
	page,
	browser
}) => {
	const own = await (await browser.newContext({ storageState: NOBODY })).newPage();
	await own.goto('/forgot');
	await own.getByLabel('Your e-mail address').fill('linnet@puddlelark.example');
	await own.getByRole('button', { name: 'Ask for it' }).click();
	await expect(own.getByText('a letter with a link was written')).toBeVisible();
	await page.goto('/settings/people');
	await page.getByText('linnet@puddlelark.example: A new password').click();
	const letter = await page.getByText('somebody, most likely you').textContent();
	await own.goto(/http\S+\/reset\/\S+/.exec(letter!)![0]);
	await own.getByLabel('A password').fill('kelp column, two jellyfish');
	await own.getByRole('button', { name: 'Take this one' }).click();
	await expect(own.getByText('Your password is changed.')).toBeVisible();
	await own.getByLabel('E-mail address').fill('linnet@puddlelark.example');
	await own.getByLabel('Password', { exact: true }).fill('kelp column, two jellyfish');
	await own.getByRole('button', { name: 'Sign in' }).click();
	await own.waitForURL((to) => to.pathname === '/shelf');

	await own.goto('/me');
	await own.locator('input[name=stepPassword]').fill('kelp column, two jellyfish');
	await own.getByRole('button', { name: 'Begin' }).click();
	const key = (await own.locator('p.figures').textContent())!.replace(/\s/g, '');
	const spare = await own.locator('li', { hasText: /^\w{5}-\w{5}$/ }).allTextContents();
	await own.getByLabel('The six figures it shows').fill('000000');
	await own.getByRole('button', { name: 'Turn it on' }).click();
	await expect(own.getByText('That code is not right')).toBeVisible();
	await own.getByLabel('The six figures it shows').fill(codeAt(fromBase32(key), Date.now() / 1000));
	await own.getByRole('button', { name: 'Turn it on' }).click();
	await expect(own.getByText('From now on a second step follows your password.')).toBeVisible();
	await own.getByRole('button', { name: 'Sign out', exact: true }).click();
	await own.getByLabel('E-mail address').fill('linnet@puddlelark.example');
	await own.getByLabel('Password', { exact: true }).fill('kelp column, two jellyfish');
	await own.getByRole('button', { name: 'Sign in' }).click();
	await expect(own.getByRole('heading', { name: 'The second step' })).toBeVisible();
	await own.getByLabel('Code').fill(spare[0]!);
	await own.getByRole('button', { name: 'Sign in' }).click();
	await own.waitForURL((to) => to.pathname === '/shelf');
	// As it was: other journeys of this server sign in as her.
	await own.goto('/me');
	await own.locator('input[name=stepPassword]').fill('kelp column, two jellyfish');
	await own.getByRole('button', { name: 'Turn it off' }).click();
	await expect(own.getByText('The second step is off.')).toBeVisible();
	await own.getByLabel('The one of now').fill('kelp column, two jellyfish');
	await own.getByLabel('The new one').fill(PASSWORD);
	await own.getByRole('button', { name: 'Change it' }).click();
	await expect(own.getByText('Your password is changed, and you are signed out')).toBeVisible();
});

test('signed out while typing on the Bench: it is kept, said, and saved after signing in again', async ({
	browser
}) => {
	const context = await browser.newContext({ storageState: NOBODY });
	const page = await context.newPage();
	const signsIn = async () => {
		const tab = await context.newPage();
		await tab.goto('/sign-in');
		await tab.getByRole('button', { name: /^Tansy/ }).click();
		await tab.waitForURL(/\/shelf/);
		return tab;
	};
	const tab = await signsIn();
	await newDesign(page, 'Signed out column');
	await say(page, '4 11 at 9 gull');
	await expect(page.getByText('working copy saved')).toBeVisible();
	await tab.goto('/me');
	await tab.getByRole('button', { name: 'Sign out', exact: true }).click();
	await tab.waitForURL(/\/sign-in/);

	await say(page, '4 11 at 9 pennant');
	await expect(page.getByText('you are signed out, so sign in again in another tab').first()).toBeVisible();
	await signsIn();
	await expect(page.getByText('working copy saved')).toBeVisible();
	await page.reload();
	await expect(page.getByRole('button', { name: '4 × 11 at 9, pennant red', exact: true })).toBeVisible();
});

test('a form sent after the session ended keeps what was typed, and says what to do', async ({ browser }) => {
	const context = await browser.newContext({ storageState: NOBODY });
	const own = await context.newPage();
	await own.goto('/sign-in?to=/stockroom/suppliers');
	await own.getByRole('button', { name: /^Tansy/ }).click();
	await own.waitForURL((to) => to.pathname === '/stockroom/suppliers');
	await context.clearCookies();
	const form = own.getByRole('form', { name: 'A new supplier' });
	await form.getByLabel('A new one').fill('Lantern Lane Trade Counter');
	await form.getByRole('button').click();
	await expect(own.getByText('You are signed out.')).toBeVisible();
	await expect(form.getByLabel('A new one')).toHaveValue('Lantern Lane Trade Counter');
});

test('a client’s link: who opened it is logged, the studio’s own look is not; taken back it opens nothing', async ({
	page,
	browser
}) => {
	await page.goto('/quotes/quote-quiet');
	const link = (await page.locator('[data-name=client-link]').textContent())!.trim();
	expect(link).toMatch(/\/q\/[\w-]{32}$/);
	await expect(page.getByText(/^Opens until .+, for whoever has it\.$/)).toBeVisible();
	const looks = page.locator('summary', { hasText: /opened/i });
	await expect(looks).toHaveText('No client has opened it yet');
	await page.goto(link);
	await page.goto('/quotes/quote-quiet');
	await expect(looks).toHaveText('No client has opened it yet');

	const client = await browser.newContext({ storageState: NOBODY, viewport: { width: 390, height: 800 } });
	const phone = await client.newPage();
	const opened = await phone.goto(link);
	expect(opened!.headers()['x-robots-tag']).toBe('noindex');
	expect(opened!.headers()['referrer-policy']).toBe('same-origin');
	await phone.reload();
	expect((await client.request.get(`${link}/quote.pdf`)).status()).toBe(200);
	await page.reload();
	await expect(looks).toHaveText('Opened 2 times');
	await looks.click();
	await expect(page.getByText(/: the PDF, on /)).toBeVisible();

	await page.getByRole('button', { name: 'Take the link back' }).click();
	await page.getByRole('button', { name: 'Keep it' }).click();
	await page.getByRole('button', { name: 'Take the link back' }).click();
	await page.getByRole('button', { name: 'Take it back: nobody opens it again' }).click();
	await expect(page.getByText(/^Taken back on .+: it opens nothing\./)).toBeVisible();
	expect((await phone.goto(link))!.status()).toBe(410);
	await expect(phone.getByText('This link is not open any more.')).toBeVisible();
	expect((await client.request.get(`${link}/quote.pdf`)).status()).toBe(404);
	expect((await client.request.get(`${link}/total`)).status()).toBe(404);
	// Links that nobody has are answered so for a while, then not looked for any more.
	const tried = new Set<number>();
	for (let i = 0; i < 70; i++)
		tried.add((await client.request.get(`${link.slice(0, -3)}${100 + i}`)).status());
	expect([...tried]).toEqual([404, 429]);
});

test('what was changed: a price and a role, found by words, shown on the thing itself', async ({ page }) => {
	await page.goto('/stockroom/patch');
	await page
		.getByRole('button', { name: /^Change the pack of/ })
		.first()
		.click();
	await page.getByLabel('Price (blank: not known)').first().fill('9.87');
	await page.getByRole('button', { name: 'Save the pack' }).click();
	// Every design is worked out first, also those that other journeys left here.
	await page.getByRole('button', { name: 'Save, that is meant' }).click({ timeout: 60_000 });
	await expect(page.getByRole('region', { name: 'What was changed' })).toContainText(
		/price of a pack,\s.+\s→\s\$9\.87/
	);
	await page.goto('/settings/changes');
	await page.getByLabel('Search what was changed').fill('price of a pack');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/→.+\$9\.87/).first()).toBeVisible();
	await page.getByLabel('Search what was changed').fill('no such thing at all');
	await page.keyboard.press('Enter');
	await expect(page.getByText('Nothing of that kind was changed.')).toBeVisible();
});
