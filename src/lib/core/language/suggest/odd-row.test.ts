import { expect, test } from 'vitest';
import { design, entryContext } from '../../../../../tests/kit/studio.ts';
import { readLine } from '../plain/read-line.ts';

const recipe = design(
	'figure',
	'4 11 at 9 white',
	'4 11 at 9 red',
	'section arm',
	'4 11 at 9 white',
	'form hoses on column'
);
const says = (line: string, section = 'column') => {
	const own = recipe.sections.find((s) => s.name === section)!;
	const { parsed } = readLine(line, { ...entryContext(recipe), section: own.id });
	return parsed.ok ? '' : parsed.say;
};

test('a row that is not there is named as what is wrong, whatever else is in hand', () => {
	for (const line of [
		'row 7 again',
		'4 11 at 9 white like row 7',
		'fairy lights for row 7',
		'put 1 11 at 9 white on row 7 front'
	])
		expect([line, says(line)]).toEqual([line, 'column has 2 rows: there is no row 7.']);
	expect(says('4 11 at 9 white like row 7', 'hoses')).toBe('column has 2 rows: there is no row 7.');
	expect(says('row 2 again', 'arm')).toBe('arm has 1 row: there is no row 2.');
	expect(says('4 11 at 9 white like arm row 2')).toBe('arm has 1 row: there is no row 2.');
	expect(says('row 2 of the arm again')).toBe('arm has 1 row: there is no row 2.');
});

test('rows that are there are not blamed', () => {
	expect(says('row 2 again')).toBe('');
	expect(says('4 11 at 9 white like row 2')).not.toContain('there is no row');
});
