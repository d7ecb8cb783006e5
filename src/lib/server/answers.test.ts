import { expect, test } from 'vitest';
import { z } from 'zod';
import { firstIssue, readJson } from './answers.ts';

const schema = z.strictObject({
	layers: z.array(z.strictObject({ count: z.number({ error: 'Must be a number.' }).min(1, 'At least 1.') }))
});
const post = (body: BodyInit) => new Request('http://tally.example', { method: 'POST', body });
const answer = async (body: BodyInit) => {
	const read = await readJson(post(body), schema);
	if ('value' in read) return read.value;
	return { status: read.answer.status, ...((await read.answer.json()) as object) };
};

test('a body of the right shape is its value', async () =>
	expect(await answer('{"layers":[{"count":4}]}')).toEqual({ layers: [{ count: 4 }] }));
test.each([
	['not json', 400, 'That is not JSON.'],
	['', 400, 'That is not JSON.'],
	['{"layers":[{"count":4},{"count":0}]}', 400, 'layers 2 count: At least 1.'],
	['{"layers":[{"count":"4"}]}', 400, 'layers 1 count: Must be a number.']
])('%j is answered with %i: %s', async (body, status, message) =>
	expect(await answer(body)).toEqual({ status, message })
);
test('a body cut off for its size is answered with 413', async () => {
	const request = {
		text: () => Promise.reject(Object.assign(new Error('large'), { status: 413 }))
	} as unknown as Request;
	const read = await readJson(request, schema);
	expect('answer' in read && read.answer.status).toBe(413);
});
test('a mistake of the whole has no place to name', () => {
	const parsed = z.string({ error: 'Must be text.' }).safeParse(4);
	expect(firstIssue(parsed.error!)).toBe('Must be text.');
});
