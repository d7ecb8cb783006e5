import type { Bill } from '../bom/bill.ts';
import type { Cost } from '../cost/cost.ts';
import type { Finding } from './finding.ts';

export function checkBill(counted: Bill, made: Cost): Finding[] {
	if (counted.lines.length === 0) {
		return [
			{
				code: 'empty',
				level: 'watch',
				say: 'Nothing in this design yet. Say the lowest layer, like “4 16 at 13 grey”.'
			}
		];
	}
	const findings: Finding[] = [];
	for (const line of counted.lines) {
		if (line.balloon && line.status === 'listed' && line.loss === 0) {
			findings.push({
				about: line.key,
				code: 'no-spare',
				level: 'watch',
				say: `${line.label}: its loss is set to 0, so not one spare is counted. Say what you lose of it at the Stockroom.`,
				why: 'One that bursts on the day is missing in the piece.'
			});
		}
		if (line.status === 'open' && line.balloon) {
			findings.push({
				about: line.key,
				code: 'open-slot',
				level: 'watch',
				say: `${line.label}: no colour chosen in this colourway, so its cost is unknown.`
			});
		} else if (line.status !== 'listed') {
			findings.push({
				about: line.key,
				code: 'unlisted',
				level: 'watch',
				say: `${line.label} is not in the Stockroom, so its cost is unknown. Add it there.`
			});
		} else if (made.total.unknown.includes(line.label)) {
			findings.push({
				about: line.key,
				code: 'unknown-cost',
				level: 'watch',
				say: `${line.label} has no pack price, so its cost is unknown. Fill it in at the Stockroom.`
			});
		}
	}
	return findings;
}
