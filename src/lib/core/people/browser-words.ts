/**
 * What kind of thing a browser says it runs on, in the word a person knows it by. Roughly: it may say anything.
 * @param said its user agent; `Mobi` is what browsers of phones agree on (RFC 9110 10.1.5 leaves the rest to each)
 */
export function browserWords(said: string): string {
	if (said.trim() === '') return 'something unknown';
	if (/Tablet|Pad\b/i.test(said)) return 'a tablet';
	if (/Mobi/i.test(said)) return 'a phone';
	return /Mozilla/i.test(said) ? 'a computer' : 'a program';
}
