import { readdirSync } from 'node:fs';
import { expect, test } from 'vitest';
import { helpAt } from './screens.ts';

test('every screen of its own says what it is for; what lies below it says the same', () => {
	const screens = readdirSync('src/routes', { withFileTypes: true }).filter((e) => e.isDirectory());
	const own = [
		'bench',
		'shelf',
		'stockroom',
		'quotes',
		'quick',
		'thumb',
		'settings',
		'compare',
		'new',
		'welcome'
	];
	for (const name of own) {
		expect(screens.map((s) => s.name)).toContain(name);
		expect([name, helpAt(`/${name}`).title]).not.toEqual([name, 'Bright Tally']);
	}
	expect(helpAt('/bench/hive-column/lists')).toBe(helpAt('/bench'));
	expect(helpAt('/shelf/open')).toBe(helpAt('/shelf'));
	expect(helpAt('/nowhere').title).toBe('Bright Tally');
});
test('five sentences each, and each ends as one', () => {
	for (const path of ['/new', '/bench', '/shelf', '/quotes', '/settings', '/x'])
		for (const say of helpAt(path).says) expect(say).toMatch(/^[A-Z?“‘].*[.?]$/);
	expect(helpAt('/bench').says).toHaveLength(5);
});
