import type { CheckContext, CheckFacet } from '../facets/check.ts';
import type { Form, FormPiece } from './document.ts';
import type { Finding } from '../../checks/finding.ts';
import { hostLost } from '../kit/over-safe.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import { isLengthUnknown, isWhole, leftOvers, lengthOf, strokesOf, tooLong } from './count.ts';
import { fitLength, placeForm } from './place.ts';
import { formatInches, um } from '../../units/length.ts';
import { printSize } from '../../sizing/size.ts';

export const check: CheckFacet<Form> = { held: () => false, check: checkForm };

function checkForm(form: Form, { section: { name }, lost, host, rates }: CheckContext): Finding[] {
	const findings: Finding[] = [];
	for (const piece of form.pieces) {
		if (lost.includes(piece.id)) findings.push({ ...hostLost(piece.name), about: piece.id });
		if (isLengthUnknown(piece))
			findings.push({
				about: piece.id,
				code: 'not-measured',
				level: 'watch',
				say: `${piece.name}: ${printSize(piece.size)} of a pump nobody measured, so how long it gets is not known and it is drawn whole. Measure the pump in the settings.`
			});
		const strokes = strokesOff(piece, rates.pumps);
		if (strokes) findings.push({ ...strokes, about: piece.id });
		const trouble = piece.fits ? undefined : tooLong(piece);
		const off = offItsWay(piece, form, host);
		if (off) findings.push({ ...off, about: piece.id });
		if (trouble)
			findings.push({ about: piece.id, code: 'too-long', level: 'watch', say: `${piece.name}: ${trouble}` });
	}
	const short = -leftOvers(form);
	if (short > 0)
		findings.push({
			code: 'no-left-overs',
			level: 'watch',
			say: `${name}: ${short} of its pieces are made of left-over ends and there are too few: as many whole balloons are counted for them.`,
			why: 'Ends are left by pieces said to be “part used”.'
		});
	return findings;
}

/** Strokes that were said lie further than this from what is reckoned. House rule. */
const FAR_OFF = 0.2;

/** Strokes of a measured pump against what the lengths that were said take. */
function strokesOff(piece: FormPiece, pumps: readonly PumpProfile[]): Finding | undefined {
	const { size } = piece;
	const pump = size.kind === 'strokes' ? pumps.find((p) => p.id === size.pump) : undefined;
	const reckoned = pump && !isWhole(piece) && !piece.fits ? strokesOf(piece, pump) : undefined;
	if (size.kind !== 'strokes' || reckoned === undefined || !pump) return undefined;
	if (Math.abs(size.strokes / reckoned - 1) <= FAR_OFF) return undefined;
	const takes = Math.max(1, Math.round(reckoned));
	return {
		code: 'strokes-off',
		level: 'watch',
		say: `${piece.name}: ${printSize(size)} of ${pump.name} were said, and its lengths take about ${takes}. Say ${takes} strokes, or other lengths.`,
		why: 'Reckoned from the pair of strokes and size that was measured of this pump.'
	};
}

/** Shorter than its way by more than this it is not stretched over it; longer by more it hangs loose. House rule. */
const [STRETCHES, LOOSE] = [0.9, 1.35];

/** A length that was said against what it goes round or over to. */
function offItsWay(piece: FormPiece, form: Form, host: CheckContext['host']): Finding | undefined {
	if (piece.fits || piece.bubbles.length === 0 || (piece.shaping !== 'belt' && !piece.to)) return undefined;
	const on = host();
	const needs = fitLength(piece, { ...on, limbs: placeForm(form, on).limbs });
	if (needs === undefined) return undefined;
	const share = lengthOf(piece) / needs;
	if (share >= STRETCHES && share <= LOOSE) return undefined;
	const [has, way] = [lengthOf(piece), needs].map((mm) => formatInches(um(Math.round(mm / 12.7) * 12_700)));
	return {
		code: 'off-its-way',
		level: 'watch',
		say: `${piece.name}: ${has} in long, and its way is ${way} in: ${share < 1 ? 'it does not reach' : 'it hangs loose'}. Leave its length out and it is as long as its way.`,
		why: piece.to ? 'What is tied at both ends pulls its hosts together where it is short.' : 'A belt that is short cuts into its row, one that is long slides down.'
	};
} // prettier-ignore
