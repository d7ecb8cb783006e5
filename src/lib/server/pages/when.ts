import { dayWords } from '../../core/quote/day-words.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import { dayIn } from '../services/day-in.ts';

/** A day and the time of it, where the studio is. */
export const whenWords = (settings: Settings) => {
	const clock = new Intl.DateTimeFormat('en-GB', { timeZone: settings.zone, timeStyle: 'short' });
	return (at: Date): string => `${dayWords(dayIn(settings.zone, at), settings)}, ${clock.format(at)}`;
};
