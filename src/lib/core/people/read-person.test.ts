import fc from 'fast-check';
import { expect, test } from 'vitest';
import { browserWords } from './browser-words.ts';
import { NO_EMAIL, NO_NAME, passwordTrouble, readEmail, readName, readPerson } from './read-person.ts';

test.each([
	['  Tansy@Puddlelark.example ', 'tansy@puddlelark.example'],
	['pip+van@puddlelark.example', 'pip+van@puddlelark.example'],
	['tansy', undefined],
	['tansy@', undefined],
	['@puddlelark.example', undefined],
	['tansy@puddlelark', undefined],
	['two words@puddlelark.example', undefined],
	['a@b.cd, e@f.gh', undefined],
	['', undefined],
	[`${'x'.repeat(260)}@puddlelark.example`, undefined]
])('the address “%s” is read as %s', (typed, email) => expect(readEmail(typed)).toBe(email));

test.each([
	['gull gull gull', null],
	['orange buoy, gull white', null],
	['éèêëēėęaie', null],
	['', /^Give 10 characters or more\. /],
	['short', /^Give 10 characters or more; these are 5\./],
	['x'.repeat(129), /128 characters at most; these are 129/],
	['aaaaaaaaaaaa', /same few letters/],
	['TANSY@puddlelark.example', /your own name or address/]
])('the password “%s”', (password, says) => {
	const trouble = passwordTrouble(password, ['Tansy', 'tansy@puddlelark.example']);
	if (says === null) expect(trouble).toBeNull();
	else expect(trouble).toMatch(says);
});

test('all that is wrong is said at once, each at its field', () => {
	const { value, errors } = readPerson({ name: ' ', email: 'nobody', password: 'tide' });
	expect(value).toBeUndefined();
	expect(errors).toEqual({ name: NO_NAME, email: NO_EMAIL, password: expect.stringMatching(/10 characters/) as string }); // prettier-ignore
	expect(
		readPerson({ name: ' Pip  Reed ', email: 'Pip@quay.example', password: 'three small gulls' })
	).toEqual({
		value: { name: 'Pip Reed', email: 'pip@quay.example', password: 'three small gulls' },
		errors: {}
	});
});

test('whatever is typed is read or refused, and what is read is read again as the same (property)', () => {
	fc.assert(
		fc.property(fc.string({ unit: 'binary' }), fc.emailAddress(), (text, address) => {
			const name = readName(text);
			if (name !== undefined) expect(readName(name)).toBe(name);
			const email = readEmail(text);
			if (email !== undefined) expect(readEmail(email)).toBe(email);
			const read = readEmail(address);
			if (read !== undefined) expect(read).toBe(address.toLowerCase());
			const trouble = passwordTrouble(text);
			if (trouble === null) expect([...text].length).toBeGreaterThanOrEqual(10);
		})
	);
});

test.each([
	['Mozilla/5.0 (X11; x86_64) Gecko/20100101', 'a computer'],
	['Mozilla/5.0 (Linux; 14) Mobile', 'a phone'],
	['Mozilla/5.0 (14; Tablet; rv:140.0)', 'a tablet'],
	['node', 'a program'],
	['', 'something unknown']
])('“%s” is %s', (said, words) => expect(browserWords(said)).toBe(words));
