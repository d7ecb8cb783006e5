import type { EntryContext } from '../context.ts';
import { bagsOf } from './bags.ts';
import { coloursIn } from './colours.ts';
import { N, re } from './reading.ts';
import { BAG, bare, INCH, Left } from './wording.ts';

/** What a maker says of a row, each at most once. */
interface Said {
	count?: number;
	bag?: string;
	hearts?: boolean;
	size?: string;
	byEye?: boolean;
	pattern?: string;
	colours: string[];
	fill?: string;
	/** A balloon in it, as it is said. */
	inside?: string;
	treated?: string;
	neck?: string;
	twin?: string;
	side?: string;
	repeat?: number;
	height?: string;
	straight?: boolean;
	joined?: string;
	/** The row it is as large as, and so much more. */
	follows?: string;
	/** Layers, between two numbers. */
	range?: string;
}

/** Words for so many balloons tied together. */
export const CLUSTERS: Readonly<Record<string, number>> = {
	single: 1,
	pair: 2,
	duplet: 2,
	triplet: 3,
	quad: 4,
	quint: 5
};
const PATTERNS: readonly (readonly [RegExp, string])[] = [
	[
		/\b(?:candy stripes?|spiral(?:l?ing|led)?|swirl(?:ing)?)(?: to the)?(?: (left|right))?(?: of)?\b/,
		'spiral'
	],
	[/\b(?:rings?(?: of)?|striped?|stripes(?: of)?|alternat(?:e|ing)(?: rows| layers)?(?: of)?)\b/, 'rings'],
	[/\b(?:chequered|checkered|checker(?:board)?|chequerboard|checks(?: of)?)\b/, 'checker'],
	[/\b(?:gradient|ombre|fad(?:e|ing)|graded)(?: from)?\b/, 'gradient']
];

/** Parts of an inch as they are said. */
const PARTS: readonly (readonly [RegExp, string])[] = [[/half/, '½'], [/3 quarters/, '¾'], [/quarter/, '¼'], [/an?/, '1']]; // prettier-ignore
const BELOW = String.raw`(?:the )?(?:(?:row|layer|1|ring|cluster) )?(below|underneath|beneath|under)(?: it| that)?|(?:the )?(row \d+)`;
/** `half an inch more than below`, `as big as row 2`: the row whose size it takes. */
function followed(left: Left): string | undefined {
	const by = left.take(re(String.raw`,? ?\b(?:at )?(half|a half|a quarter|quarter|3 quarters(?: of)?|an?|${N})(?: an?)?(?: ?″| inch(?:es)?)? (more|bigger|larger|fuller|fatter|less|smaller|tighter|thinner) than (?:${BELOW})`)); // prettier-ignore
	const same = by
		? undefined
		: left.take(re(String.raw`,? ?\b(?:the |at the )?(?:as (?:big|large|full|fat) as|same size as|sized as|sized like) (?:${BELOW})`)); // prettier-ignore
	const found = by ?? same;
	if (!found) return undefined;
	const row = found.at(-1) ?? 'below';
	if (!by) return `as ${row}`;
	const amount = by[2] ?? PARTS.find(([word]) => word.test(by[1]!))![1];
	return `as ${row} ${/less|smaller|tighter|thinner/.test(by[3]!) ? '-' : '+'} ${amount}`;
}

/** Takes out of a sentence what can stand anywhere in it. */
function loose(left: Left, said: Said) {
	const painted = left.take(
		/\bpainted(?: with)?(?: (dots|stripes|the top|the bottom|the side|(?:a )?swoosh))?\b/
	);
	if (painted) said.treated = `painted${painted[1] ? ` ${painted[1].replace('a ', '')}` : ''}`;
	if (left.take(/,? ?\b(?:with )?(?:the |their )?necks? (?:are )?cut(?: off)?\b/)) said.neck = 'neck cut';
	const twin = left.take(
		/,? ?\b(?:each )?(?:twisted|spiral) (?:in|into) (?:two|2)(?: bubbles)?(?: (?:of|at) (\d+(?:\.\d+)?)″?)?(?: each)?(?=[\s,]|$)/
	);
	if (twin) said.twin = 'twisted in two';
	if (twin?.[1]) said.size = twin[1];
	const half = left.take(/,? ?\bhalf[- ](?:full of|filled with) (sand|water|marbles)\b/);
	if (half) said.fill = `½ filled with ${half[1]}`;
	const some = left.take(
		/,? ?\b(?:filled )?with (\d[\d.]* ?(?:g|grams|kg|oz|ml|cups?)?) ?(?:of )?(sand|water|marbles)(?: in(?:side)?(?: (?:it|them|each))?)?\b/
	);
	if (some) said.fill = `filled with ${some[1]} ${some[2]}`;
	const inside = left.take(/\bwith (?:an? |1 )?([^,]+?) inside\b/);
	if (inside) said.inside = inside[1]!;
	const fill = left.take(
		/\b(?:filled|weighted) with (sand|water|marbles)\b|\b(sand|water|marbles?)[- ]filled\b|\bwith (sand|water|marbles) in(?: (?:it|them))?\b/
	);
	if (fill) said.fill = `filled with ${fill[1] ?? fill[2] ?? fill[3]}`;
	if (left.take(/\bby eye\b/)) said.byEye = true;
	if (left.take(/\bhearts?\b/)) said.hearts = true;
	if (left.take(/\b(?:straight|not turned|unturned|don't turn (?:it|them))\b/)) said.straight = true;
	const joined = left.take(
		/\b(?:joined|tied)(?: with| by)? (line|necks|modelling balloon|cluster to cluster|twisted on)\b/
	);
	if (joined) said.joined = joined[1]!;
	for (const [words, name] of PATTERNS) {
		const found = left.take(words);
		if (found) said.pattern = found[1] ? `${name} ${found[1]}` : name;
		if (!found) continue;
		// “from pink to white”.
		const way =
			name === 'spiral' && !found[1] ? left.take(/,? ?\b(?:to the|going|turning) (left|right)\b/) : undefined;
		if (way) said.pattern = `spiral ${way[1]}`;
		if (name === 'gradient') left.text = left.text.replace(/ to (?=[a-z])/g, ' / ');
		if (name === 'rings') left.text = left.text.replace(/\b(?:rows|layers)\b(?=\s*(?:,|$))/g, ' ');
		break;
	}
	// “one row white, one row red”.
	if (!said.pattern && /\b1 (?:row|layer)\b.*\b1 (?:row|layer)\b/.test(left.text)) {
		while (left.take(/\b1 (?:row|layer)(?: of)?\b/));
		said.pattern = 'rings';
	}
	const side = left.take(
		/\b(?:tucked in |tucked )?(?:on|at|in|to) the (front|back|left|right)(?: side)?\b|\b(front|back)\b/
	);
	if (side) said.side = side[1] ?? side[2]!;
}

/** How often, how high, how many in a cluster. @returns false where one of them is said twice */
function counts(left: Left, said: Said): boolean {
	const sets = left.take(/\b(\d+) clusters? of (\d+)(?: of)?\b/);
	if (sets) [said.repeat, said.count] = [Number(sets[1]), Number(sets[2])];
	// “24 white 11s at 9 in clusters of 4”: so many in all.
	const all = left.take(/^\s*(\d+)(?!§)(?=\s.*\bin clusters of (\d+)\b)/);
	if (all) {
		const clusters = Number(all[1]) / Number(all[2]);
		if (!Number.isInteger(clusters) || said.repeat !== undefined) return false;
		said.repeat = clusters;
		left.text = left.text.replace(/\bin (?=clusters of)/, '');
	}
	const height = left.take(
		re(String.raw`\b(?:up to|to|until it(?: i|')s)(?: about)? ${N} ft(?: tall| high)?`)
	);
	if (height) said.height = `${height[1]} ft`;
	const span = left.take(/§(\d+)-(\d+)/);
	if (span) said.repeat = Number(span[2]) - Number(span[1]) + 1;
	const range =
		left.take(/\b(\d+) (?:to|or) (\d+) (?:layers|rows)(?: of)?\b/) ?? left.take(/\bx (\d+) to (\d+)\b/);
	if (range) said.range = `x ${range[1]} to ${range[2]}`;
	const often =
		left.take(/\b(?:repeat(?:ed)?|times)[: ]*(\d+)(?: times)?\b:?/) ??
		left.take(re(String.raw`\bx ?(\d+)(?![\d.]*\s?(?:${INCH}|${BAG}|cm))\b`)) ??
		left.take(/\b(?:for )?(\d+) (?:times|layers?|rows?|sets?)(?: of)?\b/) ??
		left.take(/\bin (\d+) (?:layers?|rows?)\b/);
	if (often && said.repeat !== undefined) return false;
	if (often) said.repeat = Number(often[1]);
	else if (left.take(/\b(?:twice|doubled)\b/)) said.repeat = 2;
	else if (left.take(/\bthrice\b/)) said.repeat = 3;
	const cluster =
		left.take(/\b(?:(?:a|1) )?clusters?(?: of)? (\d+)(?: of)?\b/) ??
		left.take(re(String.raw`\bin (\d+)${BAG}`));
	if (cluster && said.count === undefined) said.count = Number(cluster[1]);
	const word = left.take(/(?:(?<!\bat )\b(a|\d+) )?\b(single|pair|duplet|triplet|quad|quint)(s?)(?: of)?\b/);
	if (word) {
		const several = Number(word[1] ?? 'a');
		if (said.count !== undefined || (several > 1 && said.repeat !== undefined)) return false;
		said.count = CLUSTERS[word[2]!]!;
		if (several > 1) said.repeat = several;
		// “white quads of elevens, five of them”.
		const after = word[3] ? left.take(/, (\d+)\s*$/) : undefined;
		if (after && said.repeat === undefined) said.repeat = Number(after[1]);
	}
	return said.height === undefined || said.repeat === undefined;
}

const BARE = /(?<!\S)(?<!\b(?:at|to|x) )(\d+(?:\.\d+)?)(?=[\s,]|$)/g;

/** “pink 36, thirty inches”: the one bare number of a sentence that begins with its colour is the bag, where it is one. */
function bagAfterColour(left: Left, said: Said, context: EntryContext) {
	if (!/^\s*[a-z]/.test(left.text) || /§/.test(left.text)) return;
	const numbers = [...left.text.matchAll(BARE)];
	const [only] = numbers;
	if (numbers.length !== 1 || !bagsOf(context).includes(Number(only![1]))) return;
	said.bag = only![1]!;
	left.text = `${left.text.slice(0, only!.index)} ${left.text.slice(only!.index + only![0].length)}`;
	if (said.repeat !== undefined && said.count === undefined) {
		said.count = said.repeat;
		delete said.repeat;
	}
	said.count ??= 1;
}

/** “single 24 gold, 20 inches”: whether a bare number that is left is the bag, so that inches are the size. */
function isBagSaid({ text }: Left, { count }: Said, context: EntryContext): boolean {
	const numbers = [...text.matchAll(BARE)];
	return count !== undefined && numbers.length === 1 && bagsOf(context).includes(Number(numbers[0]![1]));
}

/** The size it is brought to, and the bag. */
function sizes(left: Left, said: Said, context: EntryContext) {
	const word = left.take(/\b(?:at )?(?:(full)y inflated|(full|soft|loose|random))\b/);
	if (word) said.size = word[1] ?? word[2]!;
	left.take(/\bsize unknown\b|\bunknown size\b/);
	const strokes = left.take(re(String.raw`\bat ${N} strokes\b`));
	if (strokes) said.size = `${strokes[1]} strokes`;
	const sized = strokes ? undefined : left.take(
		re(String.raw`\b(?:(?:sized|inflated|blown|brought|taken|pumped)(?: up| down)?(?: to| at)?|at)(?: about| roughly| around)? ${N}(?:${INCH})?(?: to ${N})?\s*(?:${INCH}| ?(cm))?`)
	) ?? left.take(re(String.raw`(?<!\S)${N} to ${N}\s*(?:${INCH}| ?(cm))?`)); // prettier-ignore
	if (sized) {
		const [, low, high, unit] = sized;
		said.size = `${low}${high ? ` to ${high}` : ''}${unit ? ' cm' : ''}`;
		left.take(/\bor so\b/);
	}
	const bag = left.take(re(String.raw`(?<!\S)${N}${BAG}(?: or ${N}${BAG})?`));
	if (bag) said.bag = bag[2] ? `${bag[1]} or ${bag[2]}` : bag[1]!;
	// “four 16 greys to 13”.
	const brought = sized || word || strokes ? undefined : left.take(re(String.raw`\bto ${N}(?=\s*(?:,|$))`));
	if (brought) said.size = brought[1]!;
	for (;;) {
		const unit = left.take(re(String.raw`(?<!\S)${N}(?:${INCH}| cm)s?`));
		if (!unit) return;
		const cm = unit[0].includes('cm');
		if (said.bag === undefined && !isBagSaid(left, said, context))
			said.bag = cm ? String(Math.round(Number(unit[1]) / 2.54)) : unit[1]!;
		else said.size ??= `${unit[1]}${cm ? ' cm' : ''}`;
	}
}

/** What is said by its place alone: first how many, then the bag, then the size. */
function bareNumbers(left: Left, said: Said): boolean {
	for (;;) {
		const next = left.take(re(String.raw`(?<!\S)${N}(?=[\s,]|$)`));
		if (!next) return true;
		if (said.count === undefined) said.count = Number(next[1]);
		else if (said.bag === undefined) said.bag = next[1]!;
		else if (said.size === undefined) said.size = next[1]!;
		else if (
			said.repeat === undefined &&
			/^\s*$/.test(left.text.slice(next.index)) &&
			/,\s*$/.test(left.text.slice(0, next.index + 1))
		)
			said.repeat = Number(next[1]);
		else return false;
	}
}

function printed(said: Said): string {
	const { colours, pattern } = said;
	return [
		said.count,
		said.bag,
		said.hearts && 'hearts',
		said.size && `at ${said.size}`,
		said.byEye && 'by eye',
		colours.length > 1 && pattern,
		colours.join(' / '),
		said.fill,
		said.treated,
		said.neck,
		said.twin,
		said.side,
		said.straight && 'straight',
		said.joined && `joined ${said.joined}`,
		said.follows,
		said.range,
		said.height ? `to ${said.height}` : said.repeat !== undefined && said.repeat > 1 && `x${said.repeat}`
	]
		.filter(Boolean)
		.join(' ');
}

/** What a sentence says of one row; what is left over is what was not understood. */
function read(sentence: string, context: EntryContext): Said | undefined {
	const said: Said = { colours: [] };
	// Before words that say nothing are taken out: they say it here.
	const whole = new Left(sentence);
	const follows = followed(whole);
	if (follows) said.follows = follows;
	const left = new Left(bare(whole.text.trim()));
	loose(left, said);
	if (!counts(left, said)) return undefined;
	bagAfterColour(left, said, context);
	sizes(left, said, context);
	if (/^\s*(?:a|an)\b/.test(left.text)) {
		left.take(/\b(?:an?)\b/);
		said.count ??= 1;
	}
	if (!bareNumbers(left, said)) return undefined;
	// “16 inch white at 12”: one, as it is said of one.
	if (said.count === undefined && said.repeat === undefined && said.bag !== undefined && !/§/.test(sentence))
		said.count = 1;
	// “white 11 at 9”: after its colour a number is a bag.
	if (said.bag === undefined && said.count !== undefined && /^[a-z]/.test(bare(sentence))) {
		said.bag = String(said.count);
		said.count = said.repeat ?? 1;
		delete said.repeat;
	}
	// “white 11 x 4”: what is said once is how many.
	if (said.count === undefined && said.repeat !== undefined && /\b(?:x|times) ?\d/.test(sentence)) {
		said.count = said.repeat;
		delete said.repeat;
	}
	left.take(/\bx\b/);
	left.text = left.text.replace(/[:.]/g, ' ');
	const colours = coloursIn(left.text, context);
	if (!colours) return undefined;
	said.colours = colours;
	if (said.inside !== undefined) {
		const own = read(`1 ${said.inside}`, context);
		if (!own?.bag || own.colours.length !== 1) return undefined;
		said.fill = `filled with ${own.bag}${own.size ? ` at ${own.size}` : ''} ${own.colours[0]}`;
	}
	return said;
}

/** `three whites and a gold, 11s at 9` the other way round: `4 11s at 9, 3 whites and 1 gold`. */
function turnedRound(sentence: string): string {
	const found = /^(\d+) ([a-z]+)(?:,? and| with|,)? (an?|\d+) ([a-z]+),? (\d.*)$/.exec(sentence);
	if (!found) return '';
	const [, a, one, said, other, rest] = found;
	const b = /\d/.test(said!) ? said! : '1';
	return `${Number(a) + Number(b)} ${rest}, ${a} ${one} and ${b} ${other}`;
}

/** `4 11s at 9, two white and two blue`: the colours of one cluster by their counts. */
function inParts(sentence: string, context: EntryContext): string | undefined {
	const found =
		/^(.*?\S)[,:]? (\d+) ([a-z]+(?: [a-z]+)??)(?:,? and|,)? (\d+) ([a-z ]+?)((?:,? \d+ (?:rows|layers|times))?)$/.exec(
			sentence
		);
	const said = found && read(`${found[1]!.replace(/[,:]$/, '')}${found[6] ?? ''}`, context);
	if (!found || !said?.bag || said.colours.length > 0) return undefined;
	const [, , a, one, b, other] = found;
	if (Number(a) + Number(b) !== said.count) return undefined;
	const [first, second] = [coloursIn(one!, context), coloursIn(other!, context)];
	if (first?.length !== 1 || second?.length !== 1) return undefined;
	const { bag, size, repeat, height, straight, joined, side, ...own } = said;
	// What is said of the whole row stands behind its last part.
	const rest = { bag, size, repeat, height, straight, joined, side };
	return `${printed({ ...own, bag, size, count: Number(a), colours: first })} with ${printed({ ...rest, count: Number(b), colours: second })}`;
}

/** A row in plain words as the exact line that says it; undefined where a word of it is not understood. */
export function rowLine(sentence: string, context: EntryContext): string | undefined {
	const shared = inParts(sentence, context) ?? inParts(turnedRound(sentence), context);
	if (shared) return shared;
	// Unlike ones in the same cluster: “3 white 11s and 1 red one”.
	const both = /^(.*\d.*?) (and|with) (\d+ (?:[a-z ]+)(?:\d.*)?)$/.exec(sentence);
	if (both && !/inside/.test(sentence)) {
		const [one, other] = [read(both[1]!, context), read(both[3]!, context)];
		if (one && other && one.count !== undefined && other.colours.length === 1 && one.colours.length === 1) {
			const bag = one.bag ?? other.bag;
			const size = one.size ?? other.size;
			const whole = { ...one, bag, size };
			// “and” with another bag is a row of its own.
			const apart =
				both[2] === 'and' && one.bag !== undefined && other.bag !== undefined && one.bag !== other.bag;
			if (bag !== undefined && !apart && whole.repeat === undefined && whole.height === undefined)
				return `${printed(whole)} with ${printed({ ...other, bag: other.bag ?? bag, size: other.size ?? size })}`;
		}
	}
	const said = read(sentence, context);
	return said && said.count !== undefined && said.bag !== undefined && said.colours.length > 0
		? printed(said)
		: undefined;
}
