import type { CheckContext, CheckFacet } from '../facets/check.ts';
import type { Form, FormPiece } from './document.ts';
import type { Finding } from '../../checks/finding.ts';
import { hostLost } from '../kit/over-safe.ts';
import { isLengthUnknown, leftOvers, lengthOf, tooLong } from './count.ts';
import { fitLength, placeForm } from './place.ts';
import { formatInches, um } from '../../units/length.ts';
import { printSize } from '../../sizing/size.ts';

export const check: CheckFacet<Form> = { held: () => false, check: checkForm };

function checkForm(form: Form, { section: { name }, lost, host }: CheckContext): Finding[] {
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
