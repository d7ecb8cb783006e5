import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { LINES } from '../../../../../tests/kit/entry-lines.ts';
import { Desk } from '../../../../../tests/sayings/read.ts';
import type { Kind } from '../../structures/kinds.ts';
import { phrases } from '../../structures/registry/language.ts';
import { readLine } from './read-line.ts';

/** What stands there before a phrase of a kind is said, and what the document calls it. */
const HEADS: Readonly<Record<Kind, readonly [string, ...string[]]>> = {
	stack: ['Rows', '4 16 at 13 grey', '4 11 at 9 white'],
	applied: ['On a row', '4 11 at 9 white'],
	extras: ['Things', '4 11 at 9 white'],
	bunch: ['Bunches', 'bunch tops'],
	form: ['Curls and limbs', '4 11 at 9 white', 'form legs on column'],
	run: ['Garlands and arches', 'run garland', 'line 12 ft'],
	weave: ['Woven', 'weave wall', 'wall of 10 links at 9'],
	frame: ['Frames', 'frame mast'],
	design: ['The design', '4 16 at 13 grey', '4 11 at 9 white']
};
const PATH = 'docs/ENTRY-LINE.md';
const [BEGIN, END] = [
	'<!-- from here on generated from the phrases: npx vitest run phrases -u -->',
	'<!-- generated -->'
];

/** A phrase and the exact lines it comes to. */
function rowsOf(kind: Kind, says: readonly string[]): string[] {
	const [, ...before] = HEADS[kind];
	return says.map((say) => {
		const desk = new Desk();
		for (const line of before) if (!desk.say(line)) throw new Error(`“${line}” is refused`);
		const { lines, parsed } = readLine(say, desk.context);
		expect([say, parsed.ok]).toEqual([say, true]);
		for (const line of lines) expect([say, line, desk.say(line)]).toEqual([say, line, true]);
		return `| ${say} | ${lines
			.map((l) => `\`${l}\``)
			.join(' · ')
			.replaceAll('|', '/')} |`;
	});
}

test('the document says the phrases and what each comes to, and lines of every production, as they are read', async () => {
	const plain = phrases().flatMap(({ kind, says }) => ['', `### ${HEADS[kind][0]}`, '| said | comes to |', '|---|---|', ...rowsOf(kind, says)]);
	const exact = Object.entries(LINES).map(([name, groups]) => {
		const some = groups.flatMap(([, ...lines]) => lines).slice(0, 4);
		return `- **${name}**: ${some.map((l) => `\`${l}\``).join(', ')}`;
	});
	const own = ['## Said plainly', ...plain, '', '## Lines of every production', ...exact];
	const text = readFileSync(PATH, 'utf8');
	const head = text.split(BEGIN)[0]!.trimEnd();
	await expect(`${head}\n\n${BEGIN}\n\n${own.join('\n')}\n\n${END}\n`).toMatchFileSnapshot(`../../../../../${PATH}`);
}); // prettier-ignore
