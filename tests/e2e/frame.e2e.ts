import { entry, expect, figure, newDesign, saved, say, test } from './app.ts';

test('a frame by mouse alone: from its shape, another outline by its fields, pulled wider in the picture, cut and joined', async ({
	page
}) => {
	await page.goto('/new');
	await page.getByRole('button', { name: 'Frame or stand', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Frame or stand' })).toBeVisible();
	await page.getByRole('combobox', { name: 'It is' }).selectOption({ label: 'a door frame with feet' });
	await page.getByRole('button', { name: /^Tube: / }).click();
	await page.getByRole('option', { name: /white tube, inch/ }).or(page.getByRole('button', { name: 'white tube, inch' })).first().click(); // prettier-ignore
	await page.getByRole('button', { name: 'Build it' }).click();
	await page.waitForURL(/\/bench\//);
	await expect(page.getByRole('button', { name: 'Change door 4 ft by 6 ft feet 3 ft' })).toBeVisible();
	// The line takes the keys once the Bench is there; what is pressed before would be closed by that.
	await expect(entry(page)).toBeFocused();
	await page.getByText(/6′ 0″ high, \d lengths/).click();
	await expect(page.getByRole('row', { name: /2 × elbow/ })).toBeVisible();
	await expect(page.getByRole('row', { name: /2 × 70½ in/ })).toBeVisible();
	await page.keyboard.press('Escape');
	const before = await figure(page, 'cost').textContent();
	const grip = page.getByRole('button', { name: /top right corner/ }).first();
	await grip.focus();
	for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
	await expect(figure(page, 'cost')).not.toHaveText(before!);
	await saved(page);
});

test('a frame by keys: said on the line, refused in words, a column threaded over it, the sticks it is cut from', async ({
	page
}) => {
	await newDesign(page, 'On a post');
	await say(page, 'frame foot');
	await entry(page).fill('cross 5 ft tree 4 ft at 7 ft');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/The tree is no higher than its mast/)).toBeVisible();
	await entry(page).fill('bent 4 ft at 13 in, 13 in, 13 in, 9 in');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/nothing is left to stand up/)).toBeVisible();
	await entry(page).fill('');
	await say(page, 'post 6 ft of white tube on plywood plate 24 in glued used 20 times', 'section column over foot', '4 11 at 9 gull white x7'); // prettier-ignore
	await expect(page.getByText('threaded over foot')).toBeVisible();
	await page.getByRole('link', { name: 'Lists' }).click();
	const cut = page.getByRole('region', { name: /^To cut of white tube/ });
	await expect(cut).toContainText('1 stick');
	await expect(cut).toContainText('nobody can do with less');
	await cut.getByRole('link', { name: 'Shop sheet' }).click();
	const sheet = page.getByRole('article', { name: 'Sheet of foot' });
	await expect(sheet).toContainText('cut and join');
	await expect(sheet.getByRole('row', { name: /1 × 72 in/ })).toBeVisible();
	await page.goBack();
	await page.goBack();
	await page.getByRole('link', { name: 'Steps' }).click();
	await expect(page.getByText(/^Cut the tube of foot\. Made once for 20 uses\./)).toBeVisible();
	await expect(page.getByText(/glued and held until it sets: 1 flange, 1 tube cap/)).toBeVisible();
});

test('does it stand: a gust it does not bear, the weight that holds it, nonsense at its field, a sentence for the venue', async ({
	page
}) => {
	await page.goto('/bench/orbit-hoop');
	await page.getByText('does it stand?').click();
	const says = page.locator('[data-name=stands]');
	await expect(says).toContainText('It does not stand a gust of 15 mph');
	const wanted = Number(/([\d.]+) lb/.exec((await says.textContent())!)![1]);
	const gust = page.getByLabel('Gust, mph');
	await gust.fill('a gale');
	await expect(page.getByText(/“a gale” is not a number/)).toBeVisible();
	await expect(gust).toHaveValue('a gale');
	await gust.fill('15');
	await page.getByLabel('More weight on its foot, lb').fill(String(Math.ceil(wanted) + 1));
	await expect(says).toContainText('It stands a gust of 15 mph');
	await expect(page.getByText(/it is taken down before gusts of \d+ mph/)).toBeVisible();
	await expect(page.getByText(/Indicative only: local codes/).first()).toBeVisible();
});
