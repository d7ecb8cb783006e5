import type { CheckContext, CheckFacet } from '../facets/check.ts';
import type { Form } from './document.ts';
import type { Finding } from '../../checks/finding.ts';
import { hostLost } from '../kit/over-safe.ts';
import { isLengthUnknown, tooLong, leftOvers } from './count.ts';
import { printSize } from '../../sizing/size.ts';

export const check: CheckFacet<Form> = { held: () => false, check: checkForm };

function checkForm(form: Form, { section: { name }, lost }: CheckContext): Finding[] {
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
		const trouble = tooLong(piece.model, piece.bubbles, piece.grows * (piece.count - 1));
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
