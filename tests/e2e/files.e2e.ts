import { readFileSync, writeFileSync } from 'node:fs';
import { parse } from 'csv-parse/sync';
import { expect, newDesign, say, saved, test } from './app.ts';

const bundle = () =>
	JSON.parse(readFileSync('static/examples/design-inside.recipes.json', 'utf8')) as {
		designs: { id: string; recipe: { name: string; notes: string } }[];
		materials: { id: string; name: string }[];
	};
const json = (content: unknown, name = 'designs.recipes.json') => ({
	name,
	mimeType: 'application/json',
	buffer: Buffer.from(JSON.stringify(content))
});

test('a file of many: what is here is left, what differs comes as a copy, materials are matched, mistakes are named', async ({
	page
}) => {
	const file = bundle();
	const [figure, arm] = file.designs;
	const content = {
		...file,
		materials: [
			...file.materials,
			{
				...file.materials[0]!,
				id: 'sea-glass',
				name: 'sea glass pebble',
				kind: 'accent',
				colour: null,
				nominal: null
			}
		],
		designs: [
			figure,
			{ id: arm!.id, recipe: { ...arm!.recipe, notes: 'longer' } },
			{ id: 'brought-plain', recipe: { ...arm!.recipe, name: 'Plain arm' } },
			{ id: 'broken', recipe: { ...arm!.recipe, name: 'Broken arm', sections: 'none' } }
		]
	};
	await page.goto('/shelf/open');
	await page.getByLabel('File').setInputFiles(json(content));
	await page.getByRole('button', { name: 'See what it brings' }).click();
	const list = page.getByRole('region', { name: 'What it brings' });
	const row = (name: string) => list.getByRole('listitem').filter({ hasText: name });
	await expect(row('Octopus figure')).toContainText('comes as a copy');
	await expect(row('Plain arm')).toContainText('new');
	await expect(row('Broken arm')).toContainText('left out, it has a mistake at sections');
	await expect(list).toContainText('1 materials are made without a price: sea glass pebble');
	await page.getByRole('button', { name: 'Bring all 3' }).click();
	await expect(page.getByText('3 designs are on the Shelf.')).toBeVisible();
	// The same file again: nothing is overwritten, and what is the same stays.
	await page.getByLabel('File').setInputFiles(json({ ...content, designs: [content.designs[2]] }));
	await page.getByRole('button', { name: 'See what it brings' }).click();
	await expect(row('Plain arm')).toContainText('here already, the same');
	await expect(page.getByRole('button', { name: 'Nothing to bring' })).toBeDisabled();
	await page.goto('/shelf?search=octopus');
	await expect(page.getByRole('heading', { name: 'Octopus figure, brought' })).toBeVisible();
	await page.goto('/bench/octopus-arm');
	await expect(page.getByLabel('Name of the design')).toHaveValue('Octopus arm');
	await page.goto('/stockroom');
	await expect(page.getByText('sea glass pebble').first()).toBeVisible();
});

test('a file that is too large, of another version, or nested in itself is answered in words', async ({
	page
}) => {
	await page.goto('/shelf/open');
	const see = async (file: { name: string; mimeType: string; buffer: Buffer }) => {
		await page.getByLabel('File').setInputFiles(file);
		await page.getByRole('button', { name: 'See what it brings' }).click();
	};
	const huge = test.info().outputPath('huge.json');
	writeFileSync(huge, Buffer.alloc(50 * 1024 * 1024, 32));
	await page.getByLabel('File').setInputFiles(huge);
	await page.getByRole('button', { name: 'See what it brings' }).click();
	await expect(page.getByText('That file has 50 MB; at most 30 MB is read.')).toBeVisible();
	await see(json({ ...bundle(), version: 9 }));
	await expect(page.getByText('This file is of another version.')).toBeVisible();
	const file = bundle();
	const [figure] = file.designs;
	const own = JSON.stringify(figure!.recipe).replaceAll('octopus-arm', 'round-figure');
	await see(json({ ...file, designs: [{ id: 'round-figure', recipe: JSON.parse(own) as object }] }));
	await expect(page.getByRole('listitem')).toContainText(
		'It contains itself: Octopus figure > Octopus figure.'
	);
	await see({
		name: 'deep.json',
		mimeType: 'application/json',
		buffer: Buffer.from('['.repeat(200) + ']'.repeat(200))
	});
	await expect(page.getByText('This file is not a recipe')).toBeVisible();
});

test('designs go out with what they use, and the bill as CSV says what the lists say', async ({
	page,
	request
}) => {
	await page.goto('/shelf/open');
	await page.getByLabel('Find a design to take away').fill('octopus fig');
	await page.getByLabel('Octopus figure').first().check();
	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Take 1' }).click();
	const out = JSON.parse(readFileSync(await (await download).path(), 'utf8')) as ReturnType<typeof bundle>;
	expect(out.designs.map((d) => d.id).sort()).toEqual(['octopus-arm', 'octopus-figure']);
	expect(JSON.stringify(out)).not.toContain('priceMinor');

	const csv = await (await request.get('/bench/lighthouse-column/bill.csv?quantity=2')).text();
	const rows = parse(csv, { columns: true }) as Record<string, string>[];
	await page.goto('/bench/lighthouse-column/lists?quantity=2');
	const white = rows.find((r) => r.material === '11 rounds, gull white')!;
	await expect(page.getByRole('row', { name: new RegExp(`^11 rounds, gull white ${white.used} ${white.spares} ${white['to buy']} `) })).toBeVisible(); // prettier-ignore
});

test('the picture: a balloon says its line and lights its row, a row lights its balloons; keys walk; apart; SVG and PNG', async ({
	page
}) => {
	await newDesign(page, 'Two parts');
	await say(page, '4 11 at 10 gull white x2', 'section lamp on column', '1 16 at 13 lamp amber');
	await saved(page);
	const picture = page.getByRole('application', { name: /^Two parts/ });
	const box = (await picture.boundingBox())!;
	// The lamp stands above the column, on its axis.
	await page.mouse.move(box.x + box.width * 0.42, box.y + box.height * 0.5);
	for (let y = 0.3; y < 0.95; y += 0.02) {
		await page.mouse.move(box.x + box.width * 0.42, box.y + box.height * y);
		if (await page.getByText('lamp, row 1: 1 × 16 at 13 lamp amber').isVisible()) break;
	}
	await expect(page.getByText('lamp, row 1: 1 × 16 at 13 lamp amber')).toBeVisible();
	await expect(page.locator('.row.pointed')).toHaveCount(1);

	await picture.focus();
	await page.keyboard.press('PageUp');
	await expect(page.getByText('column, row 1: 4 × 11 at 10 gull white ×2')).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { pressed: true, name: /^4 × 11 at 10/ })).toBeVisible();
	// Its actions are open; the picture has the keys again when they are closed.
	await page.keyboard.press('Escape');
	await page.keyboard.press('ArrowLeft');
	await expect(page.getByRole('slider', { name: 'turn' })).toHaveAttribute('aria-valuetext', '10°');
	await page.mouse.wheel(0, 80);
	await expect(page.getByRole('slider', { name: 'turn' })).toHaveAttribute('aria-valuetext', '20°');
	await page.getByRole('button', { name: 'front', exact: true }).click();
	await page.getByRole('button', { name: 'apart' }).click();
	await expect(page.getByRole('button', { name: 'apart' })).toHaveAttribute('aria-pressed', 'true');

	await page.getByRole('button', { name: /^Take it away/ }).click();
	let download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'SVG' }).click();
	const svg = readFileSync(await (await download).path(), 'utf8');
	expect(svg.match(/<circle/g)).toHaveLength(9);
	await page.getByRole('button', { name: /^Take it away/ }).click();
	download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'PNG' }).click();
	const png = readFileSync(await (await download).path());
	expect(png.subarray(1, 4).toString()).toBe('PNG');
	expect(Math.max(png.readUInt32BE(16), png.readUInt32BE(20))).toBeGreaterThan(1500);
});
