/** What a column of a supplier's list may say. */
export const LIST_FIELDS = ['code', 'name', 'count', 'price', 'size', 'colour', 'kind', 'deposit'] as const;
export type ListField = (typeof LIST_FIELDS)[number];

export const FIELD_WORDS = {
	code: 'order code',
	name: 'what it is called',
	count: 'pieces in a pack',
	price: 'price of a pack',
	size: 'size on the bag',
	colour: 'colour',
	kind: 'kind',
	deposit: 'deposit'
} as const satisfies Readonly<Record<ListField, string>>;

/** Which column each field stands in, from 0; what is not in the list is left out. */
export type Columns = Readonly<Partial<Record<ListField, number>>>;

/** Columns of a supplier by their headings, as they were mapped before. */
export type SavedColumns = Readonly<Partial<Record<ListField, string>>>;

/** How headings of lists put it, the surest first; matched as whole words. Common practice. */
const HEADINGS: Readonly<Record<ListField, readonly string[]>> = {
	code: ['order code', 'item code', 'sku', 'item no', 'item number', 'article', 'art no', 'code', 'ref', 'item'],
	name: ['what it is called', 'description', 'product name', 'product', 'name', 'title', 'material'],
	count: ['pieces in a pack', 'pack size', 'pack qty', 'qty per pack', 'per bag', 'per pack', 'pieces', 'pcs', 'count', 'qty', 'pack', 'bag of'],
	price: ['price of a pack', 'pack price', 'net price', 'unit price', 'price', 'net', 'cost', 'trade'],
	size: ['size on the bag', 'size', 'inch', 'inches', 'diameter'],
	colour: ['colour', 'color', 'shade'],
	kind: ['kind', 'type', 'category', 'group'],
	deposit: ['deposit']
}; // prettier-ignore

const plain = (heading: string): string =>
	heading
		.toLowerCase()
		.replace(/[^\p{L}\p{N}]+/gu, ' ')
		.trim();

/**
 * Which column is what: as it was mapped before for this supplier where the headings are the same, else by the words of
 * the headings, else by what stands in the columns. What cannot be told is left for her to pick.
 * @param head the headings @param rows some rows below them @param saved as it was mapped before
 */
export function guessColumns(
	head: readonly string[],
	rows: readonly (readonly string[])[],
	saved: SavedColumns = {}
): Columns {
	const found: Partial<Record<ListField, number>> = {};
	const taken = new Set<number>();
	const take = (field: ListField, column: number) => {
		if (found[field] !== undefined || column < 0 || taken.has(column)) return;
		found[field] = column;
		taken.add(column);
	};
	const headings = head.map(plain);
	for (const field of LIST_FIELDS) {
		const before = saved[field];
		if (before !== undefined) take(field, headings.indexOf(plain(before)));
	}
	const free = () => head.map((_, i) => i).filter((i) => !taken.has(i));
	const most = (column: number, shape: RegExp) =>
		rows.filter((r) => shape.test((r[column] ?? '').trim())).length > rows.length * 0.7;
	const MONEY = /^\D{0,4}\d[\d.,' ]*[.,]\d{2}\D{0,4}$/u;
	// A heading that is the very word goes before one that only has it; “each pack” over prices is no count.
	for (const isLike of [(h: string, w: string) => h === w, (h: string, w: string) => ` ${h} `.includes(` ${w} `)])
		for (const field of LIST_FIELDS)
			for (const word of HEADINGS[field])
				take(field, free().find((i) => isLike(headings[i]!, word) && !(field === 'count' && rows.length > 0 && most(i, MONEY))) ?? -1);
	// A code has figures, no gaps, and no two rows have the same.
	const areCodes = (c: number) => most(c, /^(?=.*\d)(?=.*[\p{L}-])[\p{L}\d./_-]{2,30}$/u) && new Set(rows.map((r) => r[c])).size === rows.length;
	take('code', free().find(areCodes) ?? -1);
	take('price', free().find((c) => most(c, MONEY)) ?? -1);
	take('count', free().find((c) => most(c, /^\d{1,4}$/)) ?? -1);
	const LETTERS = /\p{L}.*\s.*\p{L}/u;
	take('name', free().find((c) => most(c, LETTERS)) ?? -1);
	return found;
} // prettier-ignore

/** The mapping as it is remembered: by heading, so that it holds when columns are moved. */
export const savedColumns = (head: readonly string[], columns: Columns): SavedColumns =>
	Object.fromEntries(
		LIST_FIELDS.flatMap((field) => {
			const heading = head[columns[field] ?? -1]?.trim();
			return heading ? [[field, heading.slice(0, 80)]] : [];
		})
	);
