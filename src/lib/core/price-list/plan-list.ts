import { matchKey, offeredOf } from '../materials/catalogue.ts';
import {
	KIND_WORDS,
	MATERIAL_KINDS,
	PLAIN_MATERIAL,
	type Colour,
	type Material,
	type MaterialKind,
	type Pack
} from '../materials/material.ts';
import type { Columns, ListField } from './columns.ts';
import { decimalOf, readListRow, type ListNumbers, type ListRow } from './read-row.ts';
import { isSamePack, saidNow, type SaidOfPack } from './said-of-pack.ts';
import type { Table } from './table.ts';

/** What a list is held to: what the Stockroom has, and whose list it is. */
export interface ListStock {
	readonly materials: readonly Material[];
	readonly colours: readonly Colour[];
	/** The supplier's id; a new one has none yet. */
	readonly supplier: string | null;
}
export interface ListChoices extends ListNumbers {
	readonly columns: Columns;
	/** Of what is new and says no kind; null leaves it out. */
	readonly kind: MaterialKind | null;
}

/** What comes of a row: a pack with another price or other words, one more pack of what is known, something new, nothing, or a row to look at. */
export const ROW_STATES = ['changes', 'another', 'new', 'same', 'unknown', 'problem'] as const;
export type RowState = (typeof ROW_STATES)[number];

export interface RowOutcome {
	readonly line: number;
	/** As the list calls it. */
	readonly says: string;
	readonly state: RowState;
	/** What is wrong, or why it is not known. */
	readonly say?: string | undefined;
	readonly field?: ListField | null | undefined;
	/** The material it is of, and its pack as it is now. */
	readonly material?: string | undefined;
	readonly pack?: Pack | undefined;
	/** The pack as it would be. */
	readonly then?: SaidOfPack | undefined;
	/** What is new. */
	readonly fresh?: Omit<Material, 'id' | 'packs'> | undefined;
}

const flat = (text: string): string =>
	text
		.toLowerCase()
		.replace(/[,\s]+/g, ' ')
		.trim();

/** A Stockroom as a list looks things up in it. */
function indexOf({ materials, colours, supplier }: ListStock) {
	const byCode = new Map<string, { material: Material; pack: Pack }>();
	const byTheirName = new Map<string, { material: Material; pack: Pack }>();
	const byName = new Map<string, Material>();
	const byMatch = new Map<string, Material>();
	for (const material of offeredOf(materials)) {
		byName.set(flat(material.name), material);
		const key = matchKey(material.kind, material.nominal, material.colour, material.mark);
		if (!byMatch.has(key)) byMatch.set(key, material);
		for (const pack of material.packs) {
			if (supplier === null || pack.supplierId !== supplier) continue;
			if (pack.code) byCode.set(flat(pack.code), { material, pack });
			if (pack.suppliersName) byTheirName.set(flat(pack.suppliersName), { material, pack });
		}
	}
	const named = colours.filter((c) => !c.of).map((c) => ({ colour: c, words: ` ${flat(c.name)} ` })).sort((a, b) => b.words.length - a.words.length); // prettier-ignore
	const taken = new Set(materials.map((m) => flat(m.name)));
	return { byCode, byTheirName, byName, byMatch, named, taken };
}
type Index = ReturnType<typeof indexOf>;

/** The colour whose name stands in a text, the longest; its finish where that is said, else matte. */
function colourIn(text: string, { named }: Index): Colour | undefined {
	const within = ` ${flat(text)} `;
	const longest = named.find(({ words }) => within.includes(words))?.words;
	if (longest === undefined) return undefined;
	const own = named.filter((n) => n.words === longest).map((n) => n.colour);
	return own.find((c) => within.includes(` ${c.finish} `)) ?? own.find((c) => c.finish === 'matte') ?? own[0];
}

const LATEX = /\blatex\b/i;
function kindIn(text: string): MaterialKind | undefined {
	const within = ` ${flat(text)} `;
	const found = MATERIAL_KINDS.filter((k) => within.includes(` ${KIND_WORDS[k]} `) || within.includes(` ${KIND_WORDS[k]}s `)); // prettier-ignore
	const longest = found.sort((a, b) => KIND_WORDS[b].length - KIND_WORDS[a].length)[0];
	return longest ?? (LATEX.test(text) ? 'latex-round' : undefined);
}

/** The pack of a supplier that a row means, of one material: the one of as many pieces, or the only one. */
function packFor(material: Material, row: ListRow, supplier: string | null): Pack | 'which' | undefined {
	const own = material.packs.filter((p) => p.supplierId === supplier && supplier !== null && !p.ended);
	if (row.count !== null) return own.find((p) => p.count === row.count) ?? (own.length === 1 && own[0]!.code === '' ? own[0] : undefined); // prettier-ignore
	return own.length > 1 ? 'which' : own[0];
}

function outcomeOf(row: ListRow, index: Index, stock: ListStock, kind: MaterialKind | null): RowOutcome {
	const base = { line: row.line, says: row.name || row.code };
	const theirs = (row.code !== '' && index.byCode.get(flat(row.code))) || (row.name !== '' && index.byTheirName.get(flat(row.name))) || undefined; // prettier-ignore
	const words = `${row.kind} ${row.name} ${row.colour}`;
	const rowKind = kindIn(row.kind) ?? kindIn(row.name) ?? kind ?? undefined;
	const colour = colourIn(row.colour || row.name, index);
	const material =
		theirs?.material ??
		index.byName.get(flat(row.name)) ??
		(rowKind && row.nominal !== null && colour ? index.byMatch.get(matchKey(rowKind, row.nominal, colour.id)) : undefined);
	if (material) {
		const pack = theirs?.pack ?? packFor(material, row, stock.supplier);
		if (pack === 'which') return { ...base, state: 'problem', field: 'count', material: material.id, say: `You have two packs of ${material.name} from this supplier. Say how many are in one.` };
		return pack ? changed(base, row, material, pack) : another(base, row, material);
	}
	if (rowKind === undefined) return { ...base, state: 'unknown', say: 'It is nothing of yours by its code or name, and says no kind.' };
	if (row.name === '') return { ...base, state: 'unknown', say: 'It is nothing of yours by its code, and has no name.' };
	if (rowKind === 'latex-round' && row.nominal === null) return { ...base, state: 'unknown', say: 'A round says no size of its bag.' };
	if (rowKind === 'latex-round' && !colour) return { ...base, state: 'unknown', say: `Its colour is none of yours${row.colour ? `: “${row.colour}”` : ''}. Add the colour first.` };
	if (index.taken.has(flat(row.name))) return { ...base, state: 'unknown', say: 'Something of that name is there that is not offered any more.' };
	const hasColour = /^(latex|foil)/.test(rowKind) || /\b(ribbon|paint)\b/.test(words);
	const fresh = { ...PLAIN_MATERIAL, kind: rowKind, name: row.name, nominal: row.nominal, colour: (hasColour && colour?.id) || null };
	return { ...base, state: 'new', fresh, then: saidOf(row, row.count ?? 1) };
} // prettier-ignore

const saidOf = (row: ListRow, count: number): SaidOfPack => ({ code: row.code, suppliersName: row.name, count, priceMinor: row.priceMinor, depositMinor: row.depositMinor }); // prettier-ignore

function changed(
	base: Pick<RowOutcome, 'line' | 'says'>,
	row: ListRow,
	material: Material,
	pack: Pack
): RowOutcome {
	const now = saidNow(pack);
	const then: SaidOfPack = {
		code: row.code || now.code,
		// Its own name in the Stockroom is nothing the supplier calls it.
		suppliersName: row.name !== '' && row.name !== material.name ? row.name : now.suppliersName,
		count: row.count ?? now.count,
		priceMinor: row.priceMinor ?? now.priceMinor,
		depositMinor: row.depositMinor ?? now.depositMinor
	};
	return { ...base, state: isSamePack(then, now) ? 'same' : 'changes', material: material.id, pack, then };
}

function another(base: Pick<RowOutcome, 'line' | 'says'>, row: ListRow, material: Material): RowOutcome {
	const then = { ...saidOf(row, row.count ?? 1), suppliersName: row.name === material.name ? '' : row.name };
	return { ...base, state: 'another', material: material.id, then };
}

/** What a row is about, so that two rows about one thing are seen. */
const about = (o: RowOutcome): string | undefined =>
	o.pack ? `pack ${o.pack.id}` : o.material ? `another ${o.material} ${o.then?.count}` : o.fresh ? `new ${flat(o.fresh.name)}` : undefined; // prettier-ignore

/**
 * What would come of a list, row by row: each is matched by the supplier's code, by the supplier's name, by its name
 * here, by kind, size and colour, in that order. A second row about one thing is the same, or a row to look at.
 * @param onRow told how many rows are done, so that a worker can say so
 */
export function planList(
	{ rows }: Pick<Table, 'rows'>,
	{ columns, kind, ...numbers }: ListChoices,
	stock: ListStock,
	onRow: (done: number) => void = () => {}
): RowOutcome[] {
	const index = indexOf(stock);
	const style = decimalOf(rows.map((r) => r.cells[columns.price ?? -1] ?? ''), numbers.style); // prettier-ignore
	const seen = new Map<string, RowOutcome>();
	return rows.map((cells, at) => {
		if (at % 500 === 499) onRow(at + 1);
		const { row, trouble } = readListRow(cells, columns, { ...numbers, style });
		if (trouble) return { line: row.line, says: row.name || row.code || `row ${row.line}`, state: 'problem', ...trouble };
		const outcome = outcomeOf(row, index, stock, kind);
		const key = about(outcome);
		const first = key === undefined ? undefined : seen.get(key);
		if (key !== undefined && !first) seen.set(key, outcome);
		if (!first) return outcome;
		const isOne = first.then && outcome.then && isSamePack(first.then, outcome.then);
		return isOne
			? { line: outcome.line, says: outcome.says, state: 'same', say: `Row ${first.line} says the same.` }
			: { line: outcome.line, says: outcome.says, state: 'problem', field: 'price', say: `Row ${first.line} says another price or pack of it: that one counts.` };
	}); // prettier-ignore
}

/** How many rows come to what. */
export const countStates = (outcomes: readonly Pick<RowOutcome, 'state'>[]): Readonly<Record<RowState, number>> => {
	const counts = { changes: 0, another: 0, new: 0, same: 0, unknown: 0, problem: 0 };
	for (const { state } of outcomes) counts[state]++;
	return counts;
}; // prettier-ignore
