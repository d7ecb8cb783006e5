import { execFileSync, spawn } from 'node:child_process';
import {
	cpSync,
	existsSync,
	mkdirSync,
	mkdtempSync,
	readFileSync,
	rmSync,
	symlinkSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import ts from 'typescript';

/**
 * Changes the core in one small place at a time and runs the tests over it: a change that no test sees is a test that is
 * missing. `npm run mutate -- 220 7` takes 220 places by the seed 7, in copies of their own; survivors are named at the end.
 */
const [count = 220, seed = 7] = process.argv.slice(2).map(Number);
const WORKERS = 2;

interface Mutant {
	readonly file: string;
	readonly line: number;
	readonly at: number;
	readonly from: string;
	readonly to: string;
}

const BINARY: Readonly<Record<string, string>> = {
	'+': '-', '-': '+', '*': '/', '/': '*', '<': '<=', '<=': '<', '>': '>=', '>=': '>', '===': '!==', '!==': '===',
	'&&': '||', '||': '&&'
}; // prettier-ignore
const CALLED: Readonly<Record<string, string>> = {
	add: 'sub', sub: 'add', mul: 'div', div: 'mul', min: 'max', max: 'min', ceil: 'floor', floor: 'ceil', sin: 'cos', cos: 'sin'
}; // prettier-ignore

/** Where the core computes: not what it says or how it is typed. */
const files = execFileSync('git', ['ls-files', 'src/lib/core'])
	.toString()
	.split('\n')
	.filter((f) => /\.ts$/.test(f) && !/\.(test|schema|bench)\.ts$/.test(f))
	.filter((f) => !/\/(language|registry|facets|forms|calculators|compare|files|document|photo)\//.test(f))
	.filter((f) => !/\/(print|read|said|language|refs|words|names|finding|cautions|hazard)[\w-]*\.ts$/.test(f));

function mutantsOf(file: string): Mutant[] {
	const text = readFileSync(file, 'utf8');
	const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
	const found: Mutant[] = [];
	const put = (at: number, from: string, to: string) =>
		found.push({ file, line: source.getLineAndCharacterOfPosition(at).line + 1, at, from, to });
	const visit = (node: ts.Node): void => {
		if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isThrowStatement(node)) return;
		if (ts.isBinaryExpression(node)) {
			const from = node.operatorToken.getText();
			const words = [node.left, node.right].some(
				(n) => ts.isStringLiteralLike(n) || ts.isTemplateExpression(n)
			);
			if (BINARY[from] && !(from === '+' && words)) put(node.operatorToken.getStart(), from, BINARY[from]);
		}
		if (
			ts.isPropertyAccessExpression(node) &&
			ts.isCallExpression(node.parent) &&
			node.parent.expression === node
		) {
			const from = node.name.getText();
			if (Object.hasOwn(CALLED, from)) put(node.name.getStart(), from, CALLED[from]!);
		}
		if (ts.isNumericLiteral(node)) {
			const from = node.getText();
			put(node.getStart(), from, Number(from) === 0 ? '1' : String(Number(from.replaceAll('_', '')) * 2));
		}
		ts.forEachChild(node, visit);
	};
	visit(source);
	return found;
}

/** The same numbers for a seed (mulberry32). */
function random(start: number): () => number {
	let state = start;
	return () => {
		state = (state + 0x6d2b79f5) | 0;
		let t = Math.imul(state ^ (state >>> 15), 1 | state);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
	};
}

const all = files.flatMap(mutantsOf);
const next = random(seed);
const chosen = all
	.map((mutant) => ({ mutant, by: next() }))
	.sort((a, b) => a.by - b.by)
	.slice(0, count)
	.map(({ mutant }) => mutant);
console.log(`${all.length} places in ${files.length} files; ${chosen.length} are tried`);

const root = process.cwd();
const folder = mkdtempSync(join(tmpdir(), 'bright-tally-mutants-'));

function copyOf(n: number): string {
	const own = join(folder, String(n));
	mkdirSync(own);
	for (const part of [
		'src',
		'tests',
		'scripts',
		'static',
		'drizzle',
		'docs',
		'.svelte-kit',
		'package.json',
		'tsconfig.json'
	])
		if (existsSync(part))
			cpSync(part, join(own, part), { recursive: true, filter: (f) => !f.includes('/output') });
	symlinkSync(join(root, 'node_modules'), join(own, 'node_modules'));
	const config = "export default { test: { testTimeout: 60000, pool: 'threads', maxWorkers: 1 } };\n";
	writeFileSync(join(own, 'vitest.mutants.config.mjs'), config);
	return own;
}

const vitest = (cwd: string, args: readonly string[]): Promise<boolean> =>
	new Promise((resolve) => {
		const run = [join(root, 'node_modules/vitest/vitest.mjs'), ...args, '--run', '--bail=1', '--config', 'vitest.mutants.config.mjs']; // prettier-ignore
		const child = spawn(process.execPath, run, { cwd, stdio: 'ignore', env: { ...process.env, CI: 'true' } });
		// What never ends is seen too.
		const timer = setTimeout(() => child.kill('SIGKILL'), 240_000);
		child.on('exit', (code) => {
			clearTimeout(timer);
			resolve(code === 0);
		});
	});

const CORE = 'src/lib/core';
/** Tests that hold the figures of whole designs, and those of everything else; long searches are left out. */
const FIGURES = ['tally', 'bom', 'assembly', 'structures', 'pricing', 'quote'].map((f) => `${CORE}/${f}/`);
const LONG = ['nonsense', 'relax', 'cutting', 'limits'].flatMap((name) => [
	'--exclude',
	`**/${name}.test.ts`
]);

/** The tests beside it first, then those of whole designs, then all: most changes are seen at once. */
async function survives(cwd: string, { file }: Mutant): Promise<boolean> {
	for (const wider of [[`${dirname(file)}/`, '--passWithNoTests'], FIGURES, [CORE, ...LONG]])
		if (!(await vitest(cwd, wider))) return false;
	return true;
}

const survivors: Mutant[] = [];
let done = 0;
async function worker(n: number) {
	const cwd = copyOf(n);
	for (let i = n; i < chosen.length; i += WORKERS) {
		const mutant = chosen[i]!;
		const path = join(cwd, mutant.file);
		const text = readFileSync(path, 'utf8');
		writeFileSync(path, text.slice(0, mutant.at) + mutant.to + text.slice(mutant.at + mutant.from.length));
		if (await survives(cwd, mutant)) {
			survivors.push(mutant);
			console.log(`lives: ${mutant.file}:${mutant.line} ${mutant.from} → ${mutant.to}`);
		}
		writeFileSync(path, text);
		done++;
		if (done % 20 === 0) console.log(`${done} tried, ${survivors.length} live`);
	}
}
try {
	await Promise.all(Array.from({ length: WORKERS }, (_, n) => worker(n)));
	const killed = done - survivors.length;
	console.log(`${killed} of ${done} killed: ${((100 * killed) / done).toFixed(1)} %`);
} finally {
	rmSync(folder, { recursive: true, force: true });
}
