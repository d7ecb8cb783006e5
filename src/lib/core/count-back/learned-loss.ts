import { isMaterialKey, readMaterialKey } from '../materials/material-key.ts';
import { matchKey, type Catalogue } from '../materials/catalogue.ts';
import type { MaterialKind } from '../materials/material.ts';
import { rational, type RationalText } from '../units/rational.ts';

/** A line of a count after a build, as far as it is read here: what it took is an exact fraction. */
interface CountedLine {
	readonly key: string;
	readonly took: RationalText;
	readonly lost: number;
}

/** A share of loss nobody counted weighs as much as this many pieces that were. House rule. */
export const PRIOR_PIECES = 200;

/** Pieces of a material that were counted after builds, and how many of them were lost. */
export interface Lost {
	readonly used: number;
	readonly lost: number;
}

/**
 * The share lost of a piece: losses come at a rate a piece (Poisson), the rate is gamma before anything was counted, with
 * the share that was said as its mean and the weight of {@link PRIOR_PIECES}. Its posterior is gamma too, the textbook's
 * closed form: shape a + lost, rate b + used.
 * @param said the share before, 0 to under 1
 * @returns its mean and standard deviation
 */
export function learnedLoss(
	said: number,
	{ used, lost }: Lost
): { readonly share: number; readonly sd: number } {
	const shape = said * PRIOR_PIECES + lost;
	const rate = PRIOR_PIECES + used;
	return { share: shape / rate, sd: Math.sqrt(shape) / rate };
}

/** The material a counted line is of; undefined where it says a colour or size the Stockroom lacks. */
function materialOf(key: string, { materials, byMatch }: Catalogue): string | undefined {
	if (isMaterialKey(key)) {
		const own = readMaterialKey(key).material;
		return materials.has(own) ? own : undefined;
	}
	const balloon = /^balloon:([^/]+)\/(\d+)\/.*\/([^/]*)\/([^/]*)$/.exec(key);
	if (!balloon) return undefined;
	const [, kind, nominal, colour, material] = balloon as unknown as [
		string,
		MaterialKind,
		string,
		string,
		string
	];
	if (material !== '') return materials.has(material) ? material : undefined;
	return byMatch.get(matchKey(kind, Number(nominal) as never, colour, null))?.id;
}

/** What was counted of each material, over all builds, by its id. */
export function lostOf(
	counts: readonly (readonly CountedLine[])[],
	catalogue: Catalogue
): ReadonlyMap<string, Lost> {
	const found = new Map<string, Lost>();
	for (const { key, took, lost } of counts.flat()) {
		const id = materialOf(key, catalogue);
		if (id === undefined) continue;
		const before = found.get(id) ?? { used: 0, lost: 0 };
		found.set(id, { used: before.used + rational(took).valueOf(), lost: before.lost + lost });
	}
	return found;
}
