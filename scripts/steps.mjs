/**
 * Steps that the demo and the tests share. Needs only Node and npm: this file runs before anything is installed.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
const at = (...parts) => join(ROOT, ...parts);

/** Says a sentence and ends the run. */
export function stop(sentence) {
	console.error(sentence);
	process.exit(1);
}

/**
 * Runs a command and shows what it prints.
 * @param {{ quiet?: boolean, env?: Record<string, string | undefined> }} options quiet prints only where it fails
 * @returns {Promise<{ code: number, output: string }>}
 */
export function run(command, args, { quiet = false, env = {} } = {}) {
	return new Promise((resolve) => {
		const child = spawn(command, args, {
			cwd: ROOT,
			env: { ...process.env, ...env },
			stdio: ['ignore', 'pipe', 'pipe']
		});
		let output = '';
		const take = (out) => (chunk) => {
			output += chunk;
			if (!quiet) out.write(chunk);
		};
		child.stdout.on('data', take(process.stdout));
		child.stderr.on('data', take(process.stderr));
		child.on('error', (error) => resolve({ code: 127, output: error.message }));
		child.on('close', (code) => {
			if (quiet && code !== 0) process.stderr.write(output);
			resolve({ code: code ?? 1, output });
		});
	});
}

/** A tool of node_modules/.bin, as a command. */
export const tool = (name) => at('node_modules', '.bin', name);

/** Announces a step, runs it, and says how long it took. */
export async function step(words, work) {
	const from = Date.now();
	console.log(`→ ${words}`);
	const result = await work();
	console.log(`  ${words}: ${((Date.now() - from) / 1000).toFixed(1)} s`);
	return result;
}

/** Installs the packages of the lock file where they are missing or the lock file is newer. */
export async function install() {
	const mark = at('node_modules', '.package-lock.json');
	if (existsSync(mark) && statSync(mark).mtimeMs >= statSync(at('package-lock.json')).mtimeMs) return;
	await step('installing packages (a minute or so)', async () => {
		const { code } = await run('npm', ['ci', '--loglevel=error']);
		if (code !== 0) stop('The packages could not be installed. See the lines above.');
	});
}

/** Newest change of anything the build is made from, ms. */
function newest(path) {
	const info = statSync(path);
	if (!info.isDirectory()) return info.mtimeMs;
	return Math.max(info.mtimeMs, ...readdirSync(path).map((name) => newest(join(path, name))));
}

const SOURCES = [
	'src',
	'static',
	'package-lock.json',
	'vite.config.ts',
	'vite.threads.config.ts',
	'svelte.config.js'
];

/** Builds the app unless what stands in build/ was made from these very sources. */
export async function build() {
	const mark = at('build', '.sources');
	const stamp = String(Math.max(...SOURCES.map((source) => newest(at(source)))));
	if (existsSync(mark) && readFileSync(mark, 'utf8') === stamp) return;
	await step('building the app (half a minute)', async () => {
		const { code } = await run(tool('vite'), ['build'], { quiet: true });
		if (code !== 0) stop('The app could not be built. See the lines above.');
	});
	mkdirSync(dirname(mark), { recursive: true });
	writeFileSync(mark, stamp);
}
