/** Without letters that are taken for figures (Crockford's base 32, from memory). */
const SIGNS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/**
 * The code on the shelf of a material: eight signs out of its id, the same for ever. 40 bits of FNV-1a (64 bits, published:
 * Fowler, Noll and Vo): of ten thousand materials two have the same once in some 20,000 Stockrooms.
 */
export function shelfCode(id: string): string {
	let hash = 0xcbf29ce484222325n;
	for (const byte of new TextEncoder().encode(id))
		hash = BigInt.asUintN(64, (hash ^ BigInt(byte)) * 0x100000001b3n);
	let bits = hash & 0xffffffffffn;
	let code = '';
	for (let i = 0; i < 8; i++) {
		code = SIGNS[Number(bits & 31n)]! + code;
		bits >>= 5n;
	}
	return code;
}

/** A code as it is scanned or typed: letters that are taken for figures are those. */
export const codeRead = (typed: string): string =>
	typed.toUpperCase().replace(/[\s-]/g, '').replace(/O/g, '0').replace(/[IL]/g, '1');

interface Coded {
	readonly id: string;
	readonly codes: readonly string[];
}

/**
 * What a scanned or typed code means: that of a shelf, or the order code of a pack.
 * @returns every material it may be
 */
export function byCode<M extends Coded>(typed: string, materials: readonly M[]): readonly M[] {
	const wanted = typed.trim().toLowerCase();
	if (wanted === '') return [];
	const shelf = codeRead(typed);
	const own = materials.filter((m) => shelfCode(m.id) === shelf);
	return own.length > 0 ? own : materials.filter((m) => m.codes.some((c) => c.toLowerCase() === wanted));
}
