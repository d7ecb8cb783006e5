import { expect, test } from 'vitest';
import { mergeFields, startedFrom } from './merge-fields.ts';

test('two tabs: what only the other changed stays theirs, what both changed is asked once', () => {
	const started = { name: 'Puddlelark', labour: '18.00', terms: 'a\nb' };
	const now = { ...started, labour: '20.00' };
	const merge = (typed: Record<string, string>) => mergeFields(typed, started, now);
	expect(merge({ ...started, name: 'Lark', terms: 'a\r\nb' })).toMatchObject({
		mine: { name: 'Lark', labour: '20.00' },
		errors: {}
	});
	const both = merge({ ...started, labour: '22.00' });
	expect(both.errors.labour).toMatch(/Changed to “20.00” meanwhile/);
	// Saved again from what stands there now, hers is taken.
	expect(mergeFields(both.mine, now, now)).toEqual({ mine: { ...started, labour: '22.00' }, errors: {} });
	expect(merge({ ...started, labour: '20.00' }).errors).toEqual({});
});

test.each([undefined, '', 'no JSON', '[]', 'null', '3', '{"a":'])(
	'what no form says, %j, starts from nothing',
	(text) => expect(startedFrom(text)).toEqual({})
);
test('only texts are fields', () =>
	expect(startedFrom('{"text":"a","wait":3,"__proto__":{"text":"b"}}')).toEqual({ text: 'a' }));
