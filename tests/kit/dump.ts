import { createClient } from '@libsql/client';

const literal = (value: unknown): string => {
	if (value === null) return 'NULL';
	return typeof value === 'number' || typeof value === 'bigint'
		? String(value)
		: `'${String(value).replaceAll("'", "''")}'`;
};

/**
 * Every row of every table as INSERT statements in one transaction that looks at foreign keys last. Tables stand
 * backwards by name: lines before their quote, because the lines of a sent quote are refused. What triggers write of
 * changes is left out: they write it again.
 */
export async function dumpRows(url: string): Promise<string[]> {
	const client = createClient({ url });
	try {
		const tables = await client.execute(
			"SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE '__drizzle%' AND name <> 'change_entry' ORDER BY name DESC"
		);
		const lines = ['BEGIN;', 'PRAGMA defer_foreign_keys = ON;'];
		for (const { name } of tables.rows) {
			const { columns, rows } = await client.execute(`SELECT * FROM "${name}" ORDER BY rowid`);
			const into = `INSERT INTO "${name}" (${columns.map((c) => `"${c}"`).join(', ')})`;
			// By their places: a row says how many columns it has under “length”.
			for (const row of rows)
				lines.push(`${into} VALUES (${columns.map((_, i) => literal(row[i])).join(', ')});`);
		}
		return [...lines, 'COMMIT;'];
	} finally {
		client.close();
	}
}
