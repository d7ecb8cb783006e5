import type { EntryContext } from '../context.ts';
import { parseEntry } from '../read.ts';
import { coloursIn } from './colours.ts';
import { N, re, type Reading } from './reading.ts';
import { Left } from './wording.ts';

const TIMES: Readonly<Record<string, number>> = { once: 1, twice: 2, thrice: 3 };
const OFTEN = String.raw`(once|twice|thrice|\d+ times)`;
const ROW = String.raw`(row \d+|top row|bottom row)`;
/** What limbs are for a maker, as they are named behind their balloon: “two red 260 arms”. */
const NAMES = 'arms?|legs?|belts?|tails?|feelers?|antennae?|fins?|ears?|wings?|tentacles?|horns?|handles?|curls?|roots?|stems?|whiskers?|bands?|sashes|sash|hoses?|ropes?|ribs?|tongues?|beaks?|manes?|collars?|straps?'; // prettier-ignore
const MODEL = '(?:160|260|350|360)§?';

/** Ways of saying a limb, as one: what is done to it stands behind it, what it is called behind “as”. */
const SAME: readonly (readonly [RegExp, string])[] = [
	[re(String.raw`^(?:wrap|wind|twine|coil|spiral) (.+?)(?: ${OFTEN})? (?:round|around|about) `), '$1 wound $2 round '],
	[re(String.raw`^bend (.+?) (?:by|to) (\d+)(?: degrees|°)?`), '$1 bent $2'],
	[re(String.raw`^fold (.+?)(?: in half| over| double)?(?=,? (?:round|around|on)\b)`), '$1 folded'],
	[/^(?:add|put|fix|use|take|tie on|tie|set|stretch|run|pull|lay) (?=an? |\d)/, ''],
	[re(String.raw`(?<=\b${MODEL})(.*?) (?:spiral|twined|wrapped|winding|wrapping|coiled)(?= (?:${OFTEN} )?(?:round|around)\b)`), '$1 wound'],
	[re(String.raw`^(an?|\d+) (?!(?:an?|as)\b)(${NAMES}),? (?:of |from |in |with )?(?:an? |\d )?(.*\b${MODEL}.*)$`), '$1 $3, as $2'],
	[re(String.raw`(\b${MODEL}) (${NAMES})(?=[\s,]|$)`), '$1 as $2'],
	[/ {2,}/g, ' ']
]; // prettier-ignore

/** The name of one of them. */
const oneOf = (name: string) =>
	/^(?:sashes|antennae)$/.test(name) ? name.replace(/es$|e$/, '') : name.replace(/(?<=[a-z]{2})s$/, '');

/** What is done with a limb, a word of the exact grammar each. */
function shapes(left: Left): string[] {
	const own: string[] = [];
	const bent = left.take(/\bbent(?: by| to)? (\d+)(?: degrees|°)?/)?.[1];
	const turned =
		bent === undefined && left.take(/\bbent\b(?: round| over| back)?/)
			? left.take(/, (\d{2,3})(?: degrees|°)?\s*$/)?.[1]
			: undefined;
	if ((bent ?? turned) !== undefined) own.push(`bent ${bent ?? turned}`);
	for (const word of ['wound', 'trained', 'softened'])
		if (left.take(re(String.raw`\b${word}\b`))) own.push(word);
	if (left.take(/\b(?:curled|coiled|spiral)\b/) && !own.includes('wound')) own.push('wound');
	if (left.take(/,? ?\bfolded(?: in half| over| double)?\b/)) own.push('folded');
	if (left.take(/,? ?\b(?:with )?(?:the |their )?necks? (?:are )?cut(?: off)?\b/)) own.push('neck cut');
	if (left.take(/,? ?\b(?:with )?(?:the |their )?ends? trimmed(?: off)?\b|\btrimmed\b/)) own.push('trimmed');
	if (left.take(/,? ?\b(?:as (?:an? )?(?:sleeve|cover)|drawn|pulled|slipped) (?:over|for) (?:the |it|a )(?:stick|pole|mast)?/)) own.push('sleeve'); // prettier-ignore
	return own;
}

/** How long: `24`, `8, 10, 12`, `4 + 4 + 4`. */
function lengths(left: Left): string | undefined {
	const bubbles = left.take(re(String.raw`,? ?\b(?:in|into|twisted in|twisted into) (\d+) bubbles(?: of ${N} ?″?)?(?: each)?`)); // prettier-ignore
	if (bubbles?.[2]) return Array.from({ length: Number(bubbles[1]) }, () => bubbles[2]).join(' + ');
	const series = left.take(re(String.raw`,? ?\b(?:of |at |in )?(\d[\d.]*(?: ?″)?(?:(?:, | then |, then )\d[\d.]*(?: ?″)?)*(?:,? and |,? then )\d[\d.]*) ?″(?: long)?(?=[\s,]|$)`)); // prettier-ignore
	if (series) return series[1]!.replace(/ ?″/g, '').replace(/,? and |,? then |, /g, ', ');
	const long =
		left.take(re(String.raw`,? ?\b(?:of )?${N} ?″(?: long| bubbles?)?`))?.[1] ??
		left.take(re(String.raw`,? ?\b${N} long`))?.[1];
	return bubbles && long ? `${long} in ${bubbles[1]} bubbles` : long;
}

interface Hosts {
	/** A line for each of them; of two, by their sides. */
	readonly on: readonly string[];
	readonly sides?: readonly [string, string];
	/** How often it goes round. */
	readonly wound?: string | undefined;
}
/** Where it sits, or from where to where it goes. */
function hosts(left: Left): Hosts {
	const low = (row: string) => row.replace('bottom row', 'row 1');
	const over = left.take(re(String.raw`,? ?\bfrom (?:the )?(left|right|front|back) of ${ROW} (?:over )?to (?:the )?(left|right|front|back) of ${ROW}`)); // prettier-ignore
	if (over) return { on: [`on ${low(over[2]!)} ${over[1]} to ${low(over[4]!)} ${over[3]}`] };
	const wraps = left.take(re(String.raw`,? ?\bwound (?:${OFTEN} )?(?:round|around|about) (?:the |it|a )?(?:column|pole|mast|stick|whole thing|lot)?(?: ?${OFTEN})?`)); // prettier-ignore
	const both = left.take(re(String.raw`,? ?\b(?:(?:1 )?(?:on |at )?(?:the )?(left|front)(?: side)?(?:,? and|,)? (?:1 )?(?:on |at )?(?:the )?(right|back)(?: side)?(?: of| on)?|(?:on )?(?:either|each) side(?: of)?|on both sides(?: of)?)(?: the)? ${ROW}`)); // prettier-ignore
	if (both) {
		const sides = [both[1] ?? 'left', both[2] ?? 'right'] as const;
		return { on: sides.map((side) => `on ${low(both[3]!)} ${side}`), sides };
	}
	const at = left.take(re(String.raw`,? ?\b(?:(on|onto|to|at|round|around)(?: the)?(?: (front|back|left|right)(?: side)?(?: of)?)?(?: the)? ?)${ROW}(?:,? (?:at |on )?(?:the )?(front|back|left|right|round))?`)); // prettier-ignore
	const wound = wraps && String(TIMES[wraps[1] ?? wraps[2] ?? ''] ?? parseInt(wraps[1] ?? wraps[2] ?? '2', 10)); // prettier-ignore
	if (!at) return { on: [wraps ? 'on row 1 round' : ''], wound };
	const round = /round|around/.test(at[1]!) ? 'round' : undefined;
	const side = round ?? at[2] ?? at[4];
	return { on: [`on ${low(at[3]!)}${side ? ` ${side}` : ''}`], wound };
}

/** `six red 260s, 24 inches, wound, as legs round row 1`: curls and limbs of modelling balloons. */
export const limbs: Reading = (sentence, context) => {
	if (!/\b(?:160|260|350|360)§?(?=[\s,]|$)/.test(sentence)) return undefined;
	const tie = /^tie (?:it|them|that) with (?:an? )?(?:uninflated )(.+)$/.exec(sentence);
	const told = tie ? `${tie[1]} uninflated` : sentence;
	const left = new Left(SAME.reduce((text, [words, same]) => text.replace(words, same), told));
	const model = left.take(/\b(160|260|350|360)§?(?=[\s,]|$)/)!;
	const flat =
		left.take(/,? ?\b(?:as an? tie|to tie(?: it| them)?(?: up)?(?: with)?|for tying)\b/) !== undefined;
	const dry = left.take(/,? ?\b(?:uninflated|not inflated|empty|flat)\b/) !== undefined;
	const name = left.take(/,? ?\b(?:as|for)(?: the| an?)? ([a-z]+)\b/)?.[1];
	const isTie = flat || dry || name === 'tie';
	const unfilled = left.take(re(String.raw`,? ?\b(?:with |leaving )?${N} ?″ (?:left|free|empty|unfilled|not filled)(?: over)?(?: (?:at|on) the (?:end|tip))?|,? ?\bleaving ${N} ?″?`)); // prettier-ignore
	const { on, sides, wound } = hosts(left);
	const size = left.take(re(String.raw`\bat ${N}(?: ?″)?(?: across)?(?=[\s,]|$)`))?.[1];
	const isBelt = name !== undefined && oneOf(name) === 'belt';
	const together = left.take(/,? ?\b(?:twisted|spiral) together\b|,? ?\b(?:a )?twist of\b/) !== undefined;
	const shaped = shapes(left);
	const long = lengths(left);
	const count = Number(left.take(/(?<!\S)(\d+)(?=[\s,]|$)/)?.[1] ?? '1');
	const colour = left.text
		.replace(/\b(?:modelling|in|an?|the|long|inches|of)\b|[,.]/g, ' ')
		.replace(/\s+/g, ' ')
		.trim();
	const colours = coloursIn(colour, context);
	if (!colours || colours.length < 1 || colours.length > 6) return undefined;
	if (together) shaped.push(`${Math.max(2, colours.length)} together`);
	if (unfilled) shaped.push(`leaving ${unfilled[1] ?? unfilled[2]}`);
	if (isBelt) shaped.push('belt');
	if (wound) shaped.push(`twined ${wound}`);
	if (count % on.length !== 0) return undefined;
	const own = on.map((host, i) => {
		const called = name === undefined || isTie ? undefined : sides ? `${sides[i]} ${oneOf(name)}` : name; // prettier-ignore
		return [
			count / on.length,
			model[1],
			size && `at ${size}`,
			colours.length > 1 ? colours.join(' / ') : colour,
			long,
			...shaped,
			isTie && 'tie',
			called && `as ${called}`,
			host
		]
			.filter(Boolean)
			.join(' ');
	});
	return parseEntry(own[0]!, context).ok ? own : opened(own, context);
};

/** Lines of limbs where no limbs are in hand: they go into the limbs of the design, and what was in hand is so again. */
function opened(lines: readonly string[], { recipe, section }: EntryContext): string[] | undefined {
	const own = recipe?.sections.find((s) => s.id === section);
	if (!own || !('layers' in own.structure)) return undefined;
	const on = lines.map((line) => line.replace(/\bon (?=row \d|top row)/, `on ${own.name} `));
	return [`form limbs on ${own.name}`, ...on, `section ${own.name}`];
}
