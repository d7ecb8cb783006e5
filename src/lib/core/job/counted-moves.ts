import { COUNTED_BUILD } from '../stock/losses.ts';
import type { LossCause, Move } from '../stock/ledger.ts';
import { rational } from '../units/rational.ts';
import type { CountedMaterial } from './counted.ts';

/** What a count of a job takes off the shelf of one material: thousandths, by what became of it. */
type Taken = ReadonlyMap<LossCause | 'used' | 'lost', number>;

function takenOf(material: string, all: readonly CountedMaterial[], backs: ReadonlySet<string>): Taken {
	const taken = new Map<LossCause | 'used' | 'lost', number>();
	const put = (of: LossCause | 'used' | 'lost', n: number) => taken.set(of, (taken.get(of) ?? 0) + n);
	for (const { material: own, took, lost, cause } of all) {
		if (own !== material) continue;
		// What comes home is not used up: of it only what did not is gone.
		if (!backs.has(material)) put('used', Math.round(rational(took).valueOf() * 1000) - lost * 1000);
		put(cause ?? 'lost', lost * 1000);
	}
	return taken;
}

/**
 * What a count of a job writes into the ledger. A count put right writes what is different only, so that the ledger always
 * says what the last count says.
 * @param before the count it takes the place of; nothing is the first
 * @param about the job, the revision of its count, what is written beside it, and ids of what comes home
 */
export function countedMoves(
	before: readonly CountedMaterial[],
	after: readonly CountedMaterial[],
	{ job, revision, day, note, backs }: { readonly job: string; readonly revision: number; readonly day: string; readonly note: string; readonly backs: ReadonlySet<string> }
): ReadonlyMap<string, readonly Move[]> {
	const materials = [...new Set([...before, ...after].map((m) => m.material))];
	return new Map(
		materials.map((material) => {
			const [was, is] = [takenOf(material, before, backs), takenOf(material, after, backs)];
			const moves = [...new Set([...was.keys(), ...is.keys()])].flatMap((of): Move[] => {
				const more = (is.get(of) ?? 0) - (was.get(of) ?? 0);
				if (more === 0) return [];
				const kind = of === 'used' ? 'used' : 'lost';
				return [
					{
						id: `${COUNTED_BUILD}job/${job}/${revision}/${of}/${material}`,
						day,
						// Less than was written down before comes back by a correction, which goes either way.
						kind: more > 0 ? kind : 'counted',
						thousandths: -more,
						costMinor: null,
						note,
						...(more > 0 && kind === 'lost' && of !== 'lost' && { cause: of as LossCause })
					}
				];
			});
			return [material, moves] as const;
		})
	);
} // prettier-ignore
