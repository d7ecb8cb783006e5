import { got, refuse, type Parsed } from '../errors.ts';
import { MOST_TYPED, parseNumber, type NumberStyle } from './number.ts';

const SECONDS: Readonly<Record<string, number>> = {
	s: 1, sec: 1, second: 1, seconds: 1, min: 60, mins: 60, minute: 60, minutes: 60, h: 3600, hour: 3600, hours: 3600,
	hr: 3600, hrs: 3600, day: 86_400, days: 86_400
}; // prettier-ignore

/** A week: waits are no longer. */
export const LONGEST_WAIT = 604_800;

/** A time as typed: `90 s`, `10 min`, `1½ h`; a plain number is minutes. @returns whole seconds; null for a blank */
export function parseWait(text: string, style: NumberStyle): Parsed<number | null> {
	if (text.length > MOST_TYPED)
		return refuse('too-big', 'That is too long for a time. Type it like “90 s” or “1 h”.');
	const said = text.trim();
	if (said === '') return got(null);
	let seconds = 0;
	// “1 h 30 min”: each number with its unit.
	for (const part of said.split(/(?<=[a-z])\.?\s*(?:and\s+)?(?=[\d½¼¾−-])/iu)) {
		const found = /^(.*?)\s*([a-z]*)\.?$/i.exec(part);
		const name = found?.[2]?.toLowerCase() || 'min';
		const unit = Object.hasOwn(SECONDS, name) ? SECONDS[name] : undefined;
		const number = parseNumber(found?.[1] ?? '', style);
		if (unit === undefined || !number.ok)
			return refuse('not-a-number', 'Type a time like “90 s”, “10 min” or “1 h”.');
		const own = Math.round(number.value.mul(unit).valueOf());
		if (own < 0) return refuse('negative', 'A wait cannot be negative. Leave it blank for none.');
		seconds += own;
	}
	return seconds > LONGEST_WAIT ? refuse('too-big', 'A wait is at most a week.') : got(seconds);
}

/** `90 s`, `10 min`, `1 h 30 min`; nothing for no wait. `parseWait` reads the same seconds back. */
export function formatWait(seconds: number): string {
	if (seconds <= 0) return '';
	if (seconds % 60 !== 0 && seconds < 600) return `${seconds} s`;
	const parts = [
		[Math.floor(seconds / 3600), 'h'],
		[Math.floor((seconds % 3600) / 60), 'min'],
		[seconds % 60, 's']
	] as const;
	return parts.flatMap(([n, unit]) => (n > 0 ? [`${n} ${unit}`] : [])).join(' ');
}
