import { MICROMETRES, um, type LengthUnit, type Micrometres } from '../units/length.ts';
import type { Rational } from '../units/rational.ts';
import { refuse } from '../errors.ts';
import { shorten } from '../units/number.ts';
import { KEYWORDS, type EntryContext } from './context.ts';
import { isMark, isWord, type Token } from './tokens.ts';

const UNITS: Readonly<Record<string, LengthUnit>> = {
	in: 'in',
	inch: 'in',
	inches: 'in',
	ft: 'ft',
	foot: 'ft',
	feet: 'ft',
	cm: 'cm',
	mm: 'mm',
	m: 'm',
	'"': 'in',
	'″': 'in',
	"'": 'ft',
	'′': 'ft'
};

/** Words of the language that a name may begin with. */
const SIDED = ['left', 'right', 'front', 'back', 'top', 'bottom'];

/** Whether a token is this word, or this figure. */
const isSaid = (token: Token | undefined, word: string): boolean =>
	token?.kind === 'number' ? String(token.value.valueOf()) === word : isWord(token, word);

/** A reader over tokens; every `take…` moves on only where it finds what it looks for. */
export class Reader {
	at = 0;
	/** Layers said by “two quads of …”. */
	layersSaid = 1;
	constructor(
		readonly all: readonly Token[],
		readonly context: EntryContext
	) {}
	get now(): Token | undefined {
		return this.all[this.at];
	}
	get next(): Token | undefined {
		return this.all[this.at + 1];
	}
	word(...words: string[]): string | undefined {
		if (!isWord(this.now, ...words)) return undefined;
		return this.all[this.at++]!.text;
	}
	mark(mark: string): boolean {
		const found = isMark(this.now, mark);
		if (found) this.at++;
		return found;
	}
	/** Several words and figures in a row, or nothing. */
	phrase(phrase: string): boolean {
		const words = phrase.split(' ');
		if (!words.every((w, i) => isSaid(this.all[this.at + i], w))) return false;
		this.at += words.length;
		return true;
	}
	/** What is done to a balloon begins here: names end before it. */
	get #isTreated(): boolean {
		return (
			(isWord(this.now, 'neck') && isWord(this.next, 'cut')) ||
			(isWord(this.now, 'twisted') && isWord(this.next, 'in'))
		);
	}
	/** Words of a name, up to one of these, a keyword or something that is no word. */
	words(...until: string[]): string[] {
		const found: string[] = [];
		while (
			this.now?.kind === 'word' &&
			!KEYWORDS.has(this.now.text) &&
			!until.includes(this.now.text) &&
			!this.#isTreated
		)
			found.push(this.all[this.at++]!.text);
		return found;
	}
	/** Words of the name of a piece: it may begin with a side, like “left arm”. */
	name(...until: string[]): string[] {
		const { next } = this;
		const goesOn = next?.kind === 'word' && !KEYWORDS.has(next.text) && !until.includes(next.text);
		const side = goesOn ? this.word(...SIDED) : undefined;
		return [...(side === undefined ? [] : [side]), ...this.words(...until)];
	}
	number(): Rational | undefined {
		const { now } = this;
		if (now?.kind !== 'number') return undefined;
		this.at++;
		return now.value;
	}
	unit(): LengthUnit | undefined {
		const unit = this.now && this.now.kind !== 'number' ? UNITS[this.now.text] : undefined;
		if (unit) this.at++;
		return unit;
	}
	/** What a long length is in where nobody says: feet; metres, and large numbers centimetres, where the studio measures so. */
	long(value: Rational): LengthUnit {
		if (this.context.lengths !== 'cm') return 'ft';
		return value.compare(10) < 0 ? 'm' : 'cm';
	}
	rest(): string {
		return this.all
			.slice(this.at)
			.map((t) => t.text)
			.join(' ');
	}
}

/** A height or an upright: between 6 in and 100 ft, else undefined. */
export function lengthOf(value: Rational, unit: LengthUnit): Micrometres | undefined {
	const length = Math.round(value.mul(MICROMETRES[unit]).valueOf());
	return length >= MICROMETRES.in * 6 && length <= MICROMETRES.ft * 100 ? um(length) : undefined;
}

/** A refusal of what was not read; undefined where all of it was. */
export const leftOver = (reader: Reader): ReturnType<typeof refuse> | undefined =>
	reader.now &&
	refuse(
		'unknown-word',
		`I read all but “${shorten(reader.rest())}”. Take it out, or see the shorthand page.`
	);
