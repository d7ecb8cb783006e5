import fc from 'fast-check';

type Json = unknown;

/** Values that do not belong: of another kind, beyond every limit, or named like what every object has. */
export const ODD: readonly Json[] = [
	null, true, '', ' ', 'x', '__proto__', 'constructor', '../..', '<script>', 'x'.repeat(3000), '1/0', '999999999999999999/1', '0.1', '-5',
	0, -1, 1e21, 0.1, 5e-324, Number.MAX_SAFE_INTEGER, [], {}, [[]], [null], { __proto__x: 1 }, Array.from({ length: 300 }, () => ({}))
]; // prettier-ignore

/** Every place in a document: the way to it. */
function places(value: Json, way: readonly (string | number)[] = []): (readonly (string | number)[])[] {
	if (typeof value !== 'object' || value === null) return [way];
	const inside = Array.isArray(value) ? value.map((v, i) => [i, v] as const) : Object.entries(value);
	return [way, ...inside.flatMap(([key, v]) => places(v, [...way, key]))];
}

type Change = (holder: Record<string | number, Json>, key: string | number, pick: number) => void;
const CHANGES: readonly Change[] = [
	(holder, key, pick) => void (holder[key] = structuredClone(ODD[pick % ODD.length])),
	(holder, key) => void (Array.isArray(holder) ? holder.splice(Number(key), 1) : delete holder[key]),
	(holder, _, pick) => void (Array.isArray(holder) ? holder.push(structuredClone(ODD[pick % ODD.length])) : (holder[`extra${pick}`] = 1)),
	// What is said twice, ids included.
	(holder) => void (Array.isArray(holder) && holder.length > 0 && holder.push(structuredClone(holder[0])))
]; // prettier-ignore

/** Documents made wrong in one to four places, always the same for one seed; one after the other, because they are large. */
export function* mutations(documents: readonly Json[], count: number, seed: number): Generator<Json> {
	const big = fc.nat(1e6);
	const picks = fc.tuple(big, fc.array(fc.tuple(big, big, big), { minLength: 1, maxLength: 4 }));
	for (const [which, changes] of fc.sample(picks, { numRuns: count, seed })) {
		const own: { document: Json } = { document: structuredClone(documents[which % documents.length]) };
		for (const [at, how, pick] of changes) {
			const ways = places(own.document, ['document']);
			const way = ways[at % ways.length]!;
			let holder: unknown = own;
			for (const step of way.slice(0, -1)) holder = (holder as Record<string | number, unknown>)[step];
			CHANGES[how % CHANGES.length]!(holder as Record<string | number, Json>, way.at(-1)!, pick);
		}
		yield own.document;
	}
}
