import { MEASURE_WORDS, type Measure } from '../document/measure.ts';
import { leadingSection } from '../recipe/scale.ts';
import { sizeOf } from '../structures/registry/variant.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { formatFeet, type Millimetres } from '../units/length.ts';
import type { Tally } from './tally.ts';

/** The one height a design is called by. */
export interface SaidHeight {
	/** mm over the floor; of a pole its length. */
	readonly mm: number;
	/** False where a size is not known: print a dash. */
	readonly known: boolean;
	readonly of: Measure;
}

/** How high a design is as it says it: over all, unless it says otherwise and has clusters or a pole to say it of. */
export function heightSaid(
	{ assembly, built }: Pick<Tally, 'assembly' | 'built'>,
	pumps: readonly PumpProfile[],
	of: Measure = built.tall ?? 'over all'
): SaidHeight {
	const lead = of === 'over all' ? undefined : leadingSection(built);
	const size = lead && sizeOf(lead.structure, pumps, of);
	if (!lead || !size || size.mm <= 0) {
		const { usual, known } = assembly.overall;
		return { mm: usual, known, of: 'over all' };
	}
	const foot = of === 'pole' ? 0 : (assembly.feet.get(lead.id)?.z ?? 0);
	return { mm: foot + size.mm, known: size.known, of };
}

/** `6′ 2″ to the top of the clusters`; nothing where there is nothing high. @param also over all as well, where that is another */
export function heightWords(said: SaidHeight, also?: Pick<Tally, 'assembly'>): string {
	if (said.mm <= 0) return '';
	const feet = (mm: number) => formatFeet(mm as Millimetres);
	const words = `${said.known ? feet(said.mm) : '—'} ${MEASURE_WORDS[said.of]}`;
	const overall = also?.assembly.overall;
	if (!overall?.known || said.of === 'over all') return words;
	return `${words}, ${feet(overall.usual)} over all`;
}
