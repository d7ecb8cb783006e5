import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';

interface Locked {
	readonly version?: string;
	readonly integrity?: string;
	readonly resolved?: string;
	readonly link?: boolean;
	readonly license?: string;
	readonly hasInstallScript?: boolean;
}
const read = <T>(file: string): T => JSON.parse(readFileSync(file, 'utf8')) as T;
const lock = read<{ lockfileVersion: number; packages: Record<string, Locked> }>('package-lock.json');
const own = read<{ dependencies: Record<string, string> }>('package.json');
const packages = Object.entries(lock.packages).filter(([path, p]) => path !== '' && !p.link);

describe('what is installed is what was looked at', () => {
	test('every package is held by a hash that cannot be forged, and by no address', () => {
		expect(lock.lockfileVersion).toBe(3);
		expect(packages.length).toBeGreaterThan(100);
		expect(packages.filter(([, p]) => !p.integrity?.startsWith('sha512-')).map(([path]) => path)).toEqual([]);
		expect(packages.filter(([, p]) => p.resolved !== undefined).map(([path]) => path)).toEqual([]);
	});
	test('what the app runs on is named exactly, and the lock file has that very version', () => {
		for (const [name, version] of Object.entries(own.dependencies)) {
			expect([name, version]).toEqual([name, expect.stringMatching(/^\d+\.\d+\.\d+$/)]);
			expect([name, lock.packages[`node_modules/${name}`]?.version]).toEqual([name, version]);
		}
	});
	test('nobody runs anything at the install but the bundler that checks its own binary', () => {
		const runs = packages
			.filter(([, p]) => p.hasInstallScript)
			.map(([path]) => path.split('node_modules/').at(-1));
		expect([...new Set(runs)]).toEqual(['esbuild']);
	});
	test('licences of what the app runs on are known and free', () => {
		const free = new Set(['MIT', 'MIT-0', 'ISC', 'Apache-2.0', 'BSD-2-Clause', 'BSD-3-Clause', '0BSD', 'OFL-1.1', 'BlueOak-1.0.0', 'MPL-2.0']); // prettier-ignore
		/** Said in their own files only: looked at by hand. */
		const byHand = new Set(['jstat']);
		const unknown = Object.keys(own.dependencies).filter(
			(name) => !byHand.has(name) && !free.has(lock.packages[`node_modules/${name}`]?.license ?? '')
		);
		expect(unknown).toEqual([]);
	});
});
