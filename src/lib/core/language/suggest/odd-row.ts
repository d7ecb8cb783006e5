import { hostsOf } from '../../structures/registry/refs.ts';
import type { EntryContext } from '../context.ts';

/** `column has 2 rows: there is no row 7.`, where a line names a row that its section does not have; undefined where it names none. */
export function oddRow(text: string, { sections = [], section }: EntryContext): string | undefined {
	const rowsOf = (own: (typeof sections)[number]) => hostsOf(own.structure).rows?.length ?? 0;
	const withRows = sections.filter((s) => rowsOf(s) > 0);
	const said = text.toLowerCase();
	for (const found of said.matchAll(/\brow (\d+)\b(?: of (?:the )?([a-z ]+))?/g)) {
		const before = said.slice(0, found.index).trimEnd();
		const own =
			withRows.find(
				(s) => before.endsWith(s.name.toLowerCase()) || found[2]?.startsWith(s.name.toLowerCase())
			) ??
			withRows.find((s) => s.id === section) ??
			withRows[0];
		const [row, rows] = [Number(found[1]), own ? rowsOf(own) : 0];
		if (own && (row < 1 || row > rows))
			return `${own.name} has ${rows} ${rows === 1 ? 'row' : 'rows'}: there is no row ${row}.`;
	}
	return undefined;
}
