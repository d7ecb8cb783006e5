import { learnedLoss, type LearnedLoss, type Lost } from '../count-back/learned-loss.ts';
import { LOSS_CAUSES, type LossCause, type Move } from './ledger.ts';

/** What was lost of a part of what was bought: of one supplier, or of one lot. */
export interface LossOf extends LearnedLoss {
	readonly of: string;
	/** Pieces. */
	readonly bought: number;
	readonly lost: number;
}

/** What is known of the losses of a material. */
export interface LossReport extends LearnedLoss {
	/** What it rests on: pieces used and lost, and the builds and days that told of them. */
	readonly used: number;
	readonly lost: number;
	readonly told: number;
	/** Pieces that were mended, and are not lost. */
	readonly repaired: number;
	/** Pieces lost by each cause, the most first; null is not said. */
	readonly causes: readonly { readonly cause: LossCause | null; readonly pieces: number }[];
	readonly suppliers: readonly LossOf[];
	readonly batches: readonly LossOf[];
}

/** Movements that a count after a build wrote begin so: what they tell is told by the count already. */
export const COUNTED_BUILD = 'build/';

const pieces = (moves: readonly Move[]): number =>
	moves.reduce((a, m) => a + Math.abs(m.thousandths), 0) / 1000;

/** What tells of losses: pieces used and lost, how many of them were mended, builds and days that told. */
type Told = Pick<LossReport, 'used' | 'lost' | 'told' | 'repaired'>;

function toldOf(moves: readonly Move[], counted: Lost | undefined): Told {
	const byHand = moves.filter((m) => !m.id.startsWith(COUNTED_BUILD));
	const of = (kind: Move['kind']) => byHand.filter((m) => m.kind === kind);
	const repaired = pieces(of('repaired'));
	const lostByHand = pieces(of('lost'));
	return {
		used: (counted?.used ?? 0) + pieces(of('used')) + lostByHand,
		lost: Math.max(0, (counted?.lost ?? 0) + lostByHand - repaired),
		repaired,
		told: (counted?.jobs ?? 0) + new Set([...of('used'), ...of('lost')].map((m) => m.day)).size
	};
}

/**
 * What is known of the share lost of a material, by counts after builds and by the ledger together.
 * @param said the share before anything was counted @returns undefined where nothing told of it
 */
export function lossNow(
	moves: readonly Move[],
	counted: Lost | undefined,
	said: number
): (LearnedLoss & Told) | undefined {
	const told = toldOf(moves, counted);
	return told.told === 0 ? undefined : { ...learnedLoss(said, told), ...told };
}

/**
 * The same with why it was lost, and of whom and of which lot.
 * @param said the share before anything was counted @param counted by counts after builds
 */
export function lossReport(moves: readonly Move[], counted: Lost | undefined, said: number): LossReport {
	const told = toldOf(moves, counted);
	const lost = moves.filter((m) => m.kind === 'lost');
	const causes = [...LOSS_CAUSES, null]
		.map((cause) => ({ cause, pieces: pieces(lost.filter((m) => (m.cause ?? null) === cause)) }))
		.filter((c) => c.pieces > 0)
		.sort((a, b) => b.pieces - a.pieces);
	return {
		...learnedLoss(said, told),
		...told,
		causes,
		suppliers: parts(moves, said, (m) => m.supplier),
		batches: parts(moves, said, (m) => m.batch)
	};
} // prettier-ignore

/** What was lost of each part of what was bought, where that is said. */
function parts(moves: readonly Move[], said: number, partOf: (move: Move) => string | undefined): LossOf[] {
	const found = new Map<string, { bought: number; lost: number }>();
	for (const move of moves) {
		const part = partOf(move);
		if (part === undefined || !/^(bought|lost|repaired)$/.test(move.kind)) continue;
		const own = found.get(part) ?? { bought: 0, lost: 0 };
		if (move.kind === 'bought') own.bought += move.thousandths / 1000;
		else own.lost -= move.thousandths / 1000;
		found.set(part, own);
	}
	return [...found]
		.map(([of, { bought, lost }]) => ({ of, bought, lost, ...learnedLoss(said, { used: Math.max(bought, lost), lost: Math.max(0, lost) }) }))
		.sort((a, b) => b.share - a.share);
} // prettier-ignore
