import { expect, test } from 'vitest';
import { databaseUrl, DEFAULT_DATABASE } from './config.ts';

test.each([{}, { DATABASE_URL: ' ' }])('without a word about it data lives in ./data: %j', (env) =>
	expect(databaseUrl(env)).toBe(DEFAULT_DATABASE)
);
test('a libSQL server may be named instead', () =>
	expect(databaseUrl({ DATABASE_URL: 'libsql://tally.example' })).toBe('libsql://tally.example'));
test.each(['tally.db', 'postgres://x', 'file:'])('%s is refused with a sentence', (url) =>
	expect(() => databaseUrl({ DATABASE_URL: url })).toThrow(/Give it as file:PATH/)
);
