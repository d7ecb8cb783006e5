import jstat from 'jstat';
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

/** Pieces of a material that were counted after builds, how many of them were lost, and in how many builds. */
export interface Lost {
	readonly used: number;
	readonly lost: number;
	readonly jobs: number;
}

/** A share of loss as it is known: its mean, and where it lies with nine chances in ten. */
export interface LearnedLoss {
	readonly share: number;
	readonly low: number;
	readonly high: number;
}

/**
 * The share lost of a piece: each piece is lost or not (binomial), the share is beta before anything was counted, with
 * what was said as its mean and the weight of {@link PRIOR_PIECES}. Its posterior is beta too, the textbook's closed
 * form: a + lost, b + not lost.
 * @param said the share before, 0 to under 1 @param lost at most as many as were used; more counts as all of them
 */
export function learnedLoss(said: number, { used, lost }: Pick<Lost, 'used' | 'lost'>): LearnedLoss {
	const a = said * PRIOR_PIECES + lost;
	const b = (1 - said) * PRIOR_PIECES + Math.max(0, used - lost);
	// Of next to nothing that was ever said or lost all chance is at 0: what counts is how many were not lost.
	if (a < 0.5) return { share: a / (a + b), low: 0, high: jstat.beta.inv(0.9, 1, b) };
	return { share: a / (a + b), low: jstat.beta.inv(0.05, a, b), high: jstat.beta.inv(0.95, a, b) };
}

/** The material a counted line is of, by its id; undefined where it says a colour or size the Stockroom lacks. */
export function materialOf(key: string, { materials, byMatch }: Catalogue): string | undefined {
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
	for (const lines of counts) {
		const inThis = new Set<string>();
		for (const { key, took, lost } of lines) {
			const id = materialOf(key, catalogue);
			if (id === undefined) continue;
			const before = found.get(id) ?? { used: 0, lost: 0, jobs: 0 };
			const jobs = before.jobs + (inThis.has(id) ? 0 : 1);
			inThis.add(id);
			found.set(id, { used: before.used + rational(took).valueOf(), lost: before.lost + lost, jobs });
		}
	}
	return found;
}
