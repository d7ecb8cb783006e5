import { chromium } from '@playwright/test';
import { withStudio } from '../tests/bench/studio.ts';
await withStudio(
	4871,
	async () => {},
	async (url) => {
		const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
		const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
		await p.goto(url + '/');
		for (const name of process.argv.slice(2)) {
			await p.goto(url + '/');
			const link = p.getByRole('link', { name: new RegExp(name, 'i') }).first();
			await link.click();
			await p.waitForTimeout(2500);
			await p.screenshot({ path: `/tmp/look-${name.replace(/\W/g, '')}.png` });
		}
		await b.close();
	}
);
process.exit(0);
