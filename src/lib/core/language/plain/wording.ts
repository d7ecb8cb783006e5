import { SPOKEN } from '../tokens.ts';

/** A number that names a bag: “11s”, “elevens”. */
export const BAG = '§';
/** Inches behind a number. */
export const INCH = '″';

const FRACTIONS: Readonly<Record<string, string>> = { '½': '.5', '¼': '.25', '¾': '.75', '⅛': '.125', '⅜': '.375', '⅝': '.625', '⅞': '.875' }; // prettier-ignore
const PLURAL =
	/^(?:fives|sixes|nines|tens|elevens|twelves|sixteens|eighteens|fours|threes|twos|thirty-sixes|twenty-fours|eights|sevens)$/;
/** Words said besides what is meant. */
const FILLERS = [
	/^(?:please|now|next|then|and|add|put|place|take|use|make|do|finish with|top it with|cap it with|followed by)\b[:,]?/,
	/^(?:i want|id like|i'd like|i would like|give me|lets have|we need|i need)\b/,
	/^(?:the )?(?:bottom|base|top|topper|collar|foot)(?: row| layer)?\b:?(?: of\b)?/,
	/^(?:a|1) (?:layer|row) of\b/,
	/\bplease\b/g,
	/\bof (?:them|the)\b/g,
	/\b(?:latex )?balloons?\b/g,
	/(?<=\d)\s?(?:no|pcs|pieces?)\b\.?(?: of\b)?/g,
	/\b(?:roughly|about|around|approx(?:imately)?\.?|ca\.?)(?= \d)/g,
	/\bones?\b(?=\s*(?:at\b|$))/g,
	/\b(?:for|as) (?:the|an?) (?:base|foot|bottom|collar|topper)\b/g,
	/\bon (?:those|these|that|it)\b/g,
	/\b(?:on (?:the )?top|above that)\b/g
];

/** A sentence with its numbers as figures and its marks as words: one way of writing each thing. */
export function plainly(text: string): string {
	let said = ` ${text.toLowerCase()} `
		.replace(/[’']s(?=\s|$|,)/g, 's')
		.replace(/×/g, ' x ')
		.replace(/@/g, ' at ')
		.replace(/&/g, ' and ')
		.replace(/[–—]/g, '-')
		.replace(/\bpercent\b|\bper cent\b/g, '%')
		.replace(/[!?]+(?=\s|$)/g, ' ');
	said = said.replace(/\bsix[- ]?packs?\b/g, 'cluster 6').replace(/-(?=(?:inch|foot|feet|ft|cm)\b)/g, ' ');
	said = figures(said);
	said = said
		.replace(/(\d)\s*(?:"|″|''|-\s?inch(?:es)?|\s?inch(?:es)?\b|\s?in\.)/g, `$1${INCH} `)
		// “at 9 in hive gold” says a colour; “at 9 in” ends with the unit.
		.replace(/(\d)\s+in(?=\s*(?:,|$|at\b|for\b|on\b|x\b|and\b|sized\b|to\b))/g, `$1${INCH}`)
		.replace(/(\d)-(?=ft|foot|feet|cm)/g, '$1 ')
		.replace(/(\d)\s*(?:'|′|\s?foot\b|\s?feet\b|\s?ft\b\.?)/g, '$1 ft')
		.replace(/(\d)\s*(?:cms?|centimet(?:re|er)s?)\b/g, '$1 cm')
		.replace(/\bbetween (\S+) and (\S+)/g, '$1 to $2')
		.replace(/(\d)\s*-\s*(?=\d)/g, '$1 to ');
	return said.replace(/\s+/g, ' ').trim();
}

/** Numbers in words as figures, halves with them; bags of a plural with their sign. */
function figures(text: string): string {
	return text
		.replace(/(\d+)\s*([½¼¾⅛⅜⅝⅞])/g, (_, n: string, part: string) => `${n}${FRACTIONS[part]}`)
		.replace(/(^|\s)([½¼¾⅛⅜⅝⅞])/g, (_, gap: string, part: string) => `${gap}0${FRACTIONS[part]}`)
		.replace(/(\d+) (1|3|5|7)\/(2|4|8)\b/g, (_, n: string, a: string, b: string) =>
			String(Number(n) + Number(a) / Number(b))
		)
		.replace(/\b(\d+)s\b/g, `$1${BAG}`)
		.replace(/[a-z]+(?:-[a-z]+)?/g, (word) => {
			const n = SPOKEN.get(word);
			if (n === undefined || /^(?:single|pair|duplet|quad)s?$/.test(word)) return word;
			return PLURAL.test(word) ? `${n}${BAG}` : String(n);
		})
		.replace(/(\d+) and (?:a|1) half\b/g, (_, n: string) => String(Number(n) + 0.5))
		.replace(/(\d+) and (?:a|3) quarters?\b/g, (_, n: string) => String(Number(n) + 0.25));
}

/** Without what is said besides. */
export function bare(said: string): string {
	let text = said;
	for (let before = ''; before !== text;) {
		before = text;
		for (const filler of FILLERS) text = text.replace(filler, ' ').replace(/\s+/g, ' ').trim();
	}
	return text;
}

/** A text from which is taken what is understood, piece by piece; what is left is what was not. */
export class Left {
	text: string;
	constructor(text: string) {
		this.text = ` ${text} `;
	}
	/** Takes the first match out. */
	take(pattern: RegExp): RegExpExecArray | undefined {
		const found = pattern.exec(this.text);
		if (!found) return undefined;
		this.text = `${this.text.slice(0, found.index)} ${this.text.slice(found.index + found[0].length)}`;
		return found;
	}
}
