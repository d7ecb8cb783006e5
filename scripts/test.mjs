/**
 * `npm test`: installs, gets Chromium where it is missing, then types, style, boundaries, unit tests and the whole app in a
 * browser. The last line is plain `N passed, N failed`, summed over all of them.
 */
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { delimiter, join, relative } from 'node:path';
import { build, install, ROOT, run, step, stop, tool } from './steps.mjs';

const RESULTS = join(ROOT, 'test-results');
const tally = { passed: 0, failed: 0 };
/** Checks that failed, by their words: said once more at the end, where the tail of a log still shows them. */
const failed = [];

function chromium() {
	const named = process.env.CHROMIUM_PATH;
	if (named) return existsSync(named) ? named : stop(`CHROMIUM_PATH is “${named}”, and nothing is there.`);
	const folders = (process.env.PATH ?? '').split(delimiter);
	return folders.flatMap((f) => ['chromium', 'chromium-browser'].map((n) => join(f, n))).find(existsSync);
}

/** Debian's Chromium, fetched through apt where that is allowed. A browser is never downloaded any other way. */
async function getChromium() {
	if (chromium()) return;
	if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get'))
		stop(
			'The tests need a browser. Install the package “chromium” (sudo apt-get install chromium), or name one in CHROMIUM_PATH, and run npm test again.'
		);
	await step('installing the package chromium', async () => {
		await run('apt-get', ['update', '-qq'], { quiet: true });
		const env = { DEBIAN_FRONTEND: 'noninteractive' };
		const { code } = await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
			quiet: true,
			env
		});
		if (code !== 0 || !chromium())
			stop('The package “chromium” could not be installed. Install it by hand and run npm test again.');
	});
}

/** One check counts as one test. */
async function check(words, command, args) {
	const { code } = await step(words, () => run(command, args, { quiet: true }));
	tally[code === 0 ? 'passed' : 'failed'] += 1;
	if (code !== 0) failed.push(words);
}

/** Adds what a runner wrote down; a runner that wrote nothing failed. */
function add(file, read) {
	try {
		const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')));
		tally.passed += passed;
		tally.failed += failed + (passed + failed === 0 ? 1 : 0);
	} catch {
		tally.failed += 1;
	}
}

rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });
await install();
await getChromium();
await run(tool('svelte-kit'), ['sync'], { quiet: true });
/** Each of these keeps one core busy: two at a time. */
await Promise.all([
	check('types', tool('svelte-check'), ['--fail-on-warnings']).then(() =>
		check('boundaries between folders', tool('depcruise'), [
			...['src', 'scripts', 'tests'],
			...['--config', '.dependency-cruiser.cjs']
		])
	),
	check('formatting', tool('prettier'), ['--check', '.']).then(() => check('style', tool('eslint'), ['.']))
]);
const unit = join(RESULTS, 'unit.json');
await step('unit tests', () =>
	run(tool('vitest'), ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${unit}`])
);
add(unit, (r) => {
	const files = r.testResults.filter((file) => file.status === 'failed');
	const own = (file) => file.assertionResults.filter((t) => t.status === 'failed');
	for (const file of files) failed.push(relative(ROOT, file.name), ...own(file).map((t) => t.fullName));
	return {
		passed: r.numPassedTests,
		failed: r.numFailedTests + r.numFailedTestSuites * (r.numFailedTests ? 0 : 1)
	};
});
await build();
const e2e = join(RESULTS, 'e2e.json');
const env = { CHROMIUM_PATH: chromium(), PLAYWRIGHT_JSON_OUTPUT_FILE: e2e, FORCE_COLOR: '0' };
await step('the whole app in a browser', () =>
	run(tool('playwright'), ['test', '--reporter=list,json'], { env })
);
add(e2e, (r) => {
	const { expected, flaky, unexpected } = r.stats;
	if (flaky) console.log(`Passed only when tried again: ${flaky}. Their first failures stand above.`);
	return { passed: expected + flaky, failed: unexpected + r.errors.length };
});
try {
	const stale = JSON.parse(readFileSync(join(RESULTS, 'stale-pictures.json'), 'utf8'));
	if (stale.length)
		console.log(
			`Pictures older than what is on the screen: ${stale.join(', ')}. Take them anew: npm run screenshots.`
		);
} catch {
	console.log('Whether the pictures of record are up to date could not be told.');
}
if (failed.length) console.log(`Failed before the browser: ${failed.join('; ')}.`);
console.log(`${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed === 0 ? 0 : 1);
