import { safeVerdict } from '../../sizing/fill.ts';
import { formatInches, type Micrometres } from '../../units/length.ts';
import type { Finding } from '../../checks/finding.ts';

/** What is said of a balloon over its safe size; undefined where it is safe. @param high largest it may be, mm */
export function overSafe(
	nominal: Micrometres,
	safe: Micrometres,
	high: number
): Pick<Finding, 'code' | 'level' | 'say' | 'why'> | undefined {
	const verdict = safeVerdict(high, safe / 1000);
	if (verdict === 'safe') return undefined;
	const [bag, limit, said] = [nominal, safe, Math.round(high * 1000) as Micrometres].map(formatInches);
	const why = 'A balloon over its safe size bursts in the hand, in the sun or against the next one.';
	return verdict === 'refused'
		? {
				code: 'size-refused',
				level: 'bad',
				say: `A ${bag} in balloon cannot be sized to ${said} in: it is safe up to ${limit} in. Take a larger balloon.`,
				why
			}
		: {
				code: 'over-safe',
				level: 'watch',
				say: `${said} in is over the safe ${limit} in of this ${bag} in balloon: it may burst. Size it down or take a larger one.`,
				why
			};
}

/** What is said of a piece whose host is gone. */
export const hostLost = (name: string): Finding => ({
	code: 'host-lost',
	level: 'watch',
	say: `${name}: what it was fixed to is not there any more. Choose another row for it, or take it out.`,
	why: 'It is still counted and paid for, and the picture cannot show it.'
});
