/** What of the browser's speech recognition is used here; some browsers have it under a name of their own. */
interface Recognition {
	lang: string;
	interimResults: boolean;
	onresult: ((event: { results: ArrayLike<ArrayLike<object>> }) => void) | null;
	onend: (() => void) | null;
	onerror: ((event: { error: string }) => void) | null;
	start(): void;
	stop(): void;
}
type Recogniser = new () => Recognition;

/** The browser's speech recognition; undefined where it has none. */
export function recogniser(): Recogniser | undefined {
	const own = globalThis as { SpeechRecognition?: Recogniser; webkitSpeechRecognition?: Recogniser };
	return own.SpeechRecognition ?? own.webkitSpeechRecognition;
}

/** The words of what was heard: of all the browser says of it, the one that is text. */
function wordsOf(heard: object): string {
	for (const key in heard) {
		const said = (heard as Record<string, unknown>)[key];
		if (typeof said === 'string') return said;
	}
	return '';
}

/** Why nothing was heard, in a sentence. */
const WHY: Readonly<Record<string, string>> = {
	'not-allowed': 'The browser may not listen here. Allow the microphone for this page, or type the line.',
	'no-speech': 'Nothing was heard. Press the microphone and say the line.',
	network: 'This browser needs a connection to listen. Type the line.',
	'audio-capture': 'There is no microphone to listen with. Type the line.'
};

/**
 * Listens to one line. @returns a function that stops
 * @param heard gets what was heard so far, again and again @param ended once, with a sentence where it went wrong
 */
export function listen(heard: (text: string) => void, ended: (why: string) => void): () => void {
	const Recogniser = recogniser();
	if (!Recogniser) {
		ended('This browser cannot listen. Type the line.');
		return () => undefined;
	}
	const own = new Recogniser();
	let why = '';
	own.lang = 'en';
	own.interimResults = true;
	own.onresult = ({ results }) =>
		heard(
			Array.from(results)
				.map((r) => wordsOf(r[0] ?? {}))
				.join(' ')
				.trim()
		);
	own.onerror = ({ error }) => void (why = WHY[error] ?? 'Nothing was understood. Say it again, or type it.');
	own.onend = () => ended(why);
	own.start();
	return () => own.stop();
}
