import type { EntryContext } from '../context.ts';
import { partsInHand, type PartInHand } from '../sentences/parts.ts';
import { changed, slotsIn, takenApart, together } from './changes.ts';
import { coloursIn } from './colours.ts';
import { matched, N, type Reading, re } from './reading.ts';
import { IDLE } from './wording.ts';

/** Words around what is named. */
const [BEFORE, AFTER] = [
	'(?:(?:all|each|both)(?: of)? )?(?:the |those |these |that |my )?',
	' (?:rows?|layers?|1s?|ones?|clusters?|quads?|balls?|balloons?|section|bit|part)'
];
const ENDS: readonly (readonly [RegExp, 'first' | 'last'])[] = [
	[
		re(
			String.raw`\b${BEFORE}(?:(?:very )?(?:top|topmost|uppermost|highest|last)(?:${AFTER}| \d+(?= (?:in|at|to|of)\b))|(?:the |my )topper|top(?= (?:could|should|is|as)\b))\b`
		),
		'last'
	],
	[
		re(
			String.raw`\b${BEFORE}(?:(?:very )?(?:bottom|lowest|lowermost|first)(?:${AFTER}| \d+(?= (?:in|at|to|of)\b))|(?:the |my )(?:base|foot)|base(?= (?:could|should|is|as)\b))\b`
		),
		'first'
	]
];

interface Named {
	readonly part: PartInHand;
	/** The sentence with `row 2` in the place of its name. */
	readonly said: string;
	/** The sentence without it. */
	readonly rest: string;
}

/** The one part of what is in hand that a sentence names: by its place, its colour, its bag; undefined where none or several could be meant. */
export function namedPart(said: string, context: EntryContext): Named | undefined {
	const parts = partsInHand(context);
	const at = (part: PartInHand | undefined, from: number, to: number): Named | undefined =>
		part && {
			part,
			said: `${said.slice(0, from)}${part.called}${said.slice(to)}`,
			rest: `${said.slice(0, from)} ${said.slice(to)}`.replace(/\s+/g, ' ').trim()
		};
	// “the middle row” is one of an odd number of them; of others it is none.
	const middle = /\b(?:the )?middle (?:row|layer|1|one)\b/.exec(said);
	if (middle)
		return at(
			parts.length % 2 === 1 ? parts[(parts.length - 1) / 2] : undefined,
			middle.index,
			middle.index + middle[0].length
		);
	const row = /\brow (\d+)\b/.exec(said);
	if (row) return at(parts[Number(row[1]) - 1], row.index, row.index + row[0].length);
	for (const [words, end] of ENDS) {
		const found = words.exec(said);
		if (found)
			return at(end === 'last' ? parts.at(-1) : parts[0], found.index, found.index + found[0].length);
	}
	// “two more rows of white”: rows they are still.
	for (const { 1: colour, 0: all, index } of said.matchAll(ROWS_OF)) {
		const own = withColour(parts, colour!, context);
		if (own) return at(own, index, index + all.length);
	}
	for (const { 1: colour, 2: bare, 0: all, index } of said.matchAll(COLOURED)) {
		const own = withColour(parts, (colour ?? bare)!, context);
		// “only four white rows” are so many rows.
		const kept = /(?: rows?| layers?)$/.exec(all)?.[0].length ?? 0;
		if (own) return at(own, index, index + all.length - kept);
	}
	const leading =
		/^([a-z]+)(?::| (?=(?:(?:should|must|can|could|wants?|needs?|is|are) (?:to )?(?:be |have |go to |get )?)?(?:at \d|\d+ (?:rows|layers)\b)))/.exec(
			said
		);
	const led = leading && withColour(parts, leading[1]!, context);
	if (led) return at(led, 0, leading[0].length);
	const bag = /\b(?:all |each )?(?:the )(\d+)§/.exec(said);
	const bagged = bag ? parts.filter((p) => re(String.raw`^\d+ (?:× )?${bag[1]} `).test(p.text)) : [];
	return bag && bagged.length === 1 ? at(bagged[0], bag.index, bag.index + bag[0].length) : undefined;
}
const ROWS_OF = /(?<=\b(?:rows?|layers?)) (?:of|in) (?:the )?([a-z]+)\b/g;
const COLOURED = new RegExp(
	String.raw`\b${BEFORE}([a-z]+)(?:s|${AFTER})(?= |$)|\b(?:of |from |in )?the ([a-z]+)(?=$| (?:down|up|to|at|in|should|could|must|can|is|are|wants?|needs?|an?|bigger|smaller|larger|out|off|go|goes)\b)`,
	'g'
);
const withColour = (parts: readonly PartInHand[], colour: string, context: EntryContext) => {
	const own = parts.filter((p) => slotsIn(p.text, context).some((s) => s.split(/\s+/).includes(colour)));
	return own.length === 1 ? own[0] : undefined;
};

/** Words of a change that say nothing of it. */
const BESIDES = new Set(
	`we you they could can should would please make have let be is are do put turn use go give get if possible maybe perhaps actually instead just only
	now then oh ok no and but at the a of to in with for say says said on it them that this want wants wanted like need needs rather rows row layers layer`.split(
		/\s+/
	)
);
const without = (text: string, idle: ReadonlySet<string>) =>
	text
		.split(/[\s,]+/)
		.filter((w) => w !== '' && !idle.has(w))
		.join(' ');

/** “shrink it by an inch”: with what is shrunk taken out of the sentence. */
const BY: readonly (readonly [RegExp, string])[] = [
	[/^(?:reduce|shrink|lower|drop|cut|take)(?: down)? by (.+)$/, '$1 smaller'],
	[/^(?:increase|enlarge|raise|grow|blow up|open up)(?: up)? by (.+)$/, '$1 bigger']
];
const AIR_TO = /^(?:size|blow|inflate|pump|fill|bring|take|let|deflate|set)(?: (?:up|down|out))* to (?=\d)/;
const ROWS_TO =
	/^(?:cut|bump|push|move|get|bring|take|go|reduce|shorten|extend|raise|increase|drop)(?: (?:up|down|back|out))* to (?=\d+ (?:rows|layers))|^(?:make|have|let) /;

/** Fewer, more, out, other: a change of the one part that is named, in whatever order it is said. */
export const namedChange: Reading = (said, context) => {
	const named = namedPart(said, context);
	const now = named && takenApart(named.part);
	if (!now) return undefined;
	const { part } = named;
	const rest = named.rest.replace(/^(?:from|of|for) | (?:from|of|for)$/g, '');
	const words = without(rest, BESIDES);
	const rows = matched(
		String.raw`(?:(?:cut|bring|take|get|reduce|shorten|raise|go|going|down|up|back|to|should|must|has|have|can|be|is|are|make|only|just|at) )*(\d+) (?:rows|layers)(?: (?:high|tall|only|instead|please|now))*`,
		rest
	);
	if (rows && Number(rows[1]) > 0) return [`${part.called} becomes ${together({ ...now, repeat: Number(rows[1]) })}`]; // prettier-ignore
	if (/^(?:can|must|should|has to|may) go(?: now| please)?$/.test(rest)) return [`${part.called} taken out`];
	if (
		/^(?:(?:take|leave|throw|strike|get|drop|lose|remove|delete|scrap|skip|ditch|cut|bin|forget|scratch|rid|out|off|away|without|altogether|don.?t|dont|do not|not|any more|anymore|after all) ?)+$/.test(
			words
		) &&
		!/^(?:get|cut|take|leave)$/.test(words)
	)
		// “take a white row away” is one of them.
		return now.repeat > 1 &&
			/\ban? (?:[a-z]+ )?(?:row|layer)\b|\b(?:1|one) (?:[a-z]+ )?(?:row|layer)\b|\b1 of the\b/.test(said)
			? [`${part.called} becomes ${together({ ...now, repeat: now.repeat - 1 })}`]
			: [`${part.called} taken out`];
	const lower = matched(String.raw`(shorter|lower|smaller|taller|higher) by (\d+)`, words);
	const fewer = matched(
		String.raw`(?:take|lose|drop|remove|leave|cut|skip|knock|chop|shave)(?: out| off| away)? (\d+)(?: rows| layers)?(?: out| off| away)?`,
		words
	);
	const more = matched(
		String.raw`(?:add |put )?(\d+)(?: (more|extra|further|fewer|less))(?: rows?| layers?)?`,
		words
	);
	const by = lower
		? Number(lower[2]) * (/taller|higher/.test(lower[1]!) ? 1 : -1)
		: fewer
			? -Number(fewer[1])
			: more
				? Number(more[1]) * (/fewer|less/.test(more[2]!) ? -1 : 1)
				: 0;
	const times = /^(?:double|twice(?: as many)?)$/.test(words)
		? 2
		: /^(?:halve|half(?: as many)?)$/.test(words)
			? 0.5
			: 0;
	if (times > 0 && /\b(?:rows|layers)\b/.test(said) && Number.isInteger(now.repeat * times))
		return [`${part.called} becomes ${together({ ...now, repeat: now.repeat * times })}`];
	if (by !== 0)
		return now.repeat + by > 0
			? [`${part.called} becomes ${together({ ...now, repeat: now.repeat + by })}`]
			: undefined;
	const next =
		changed(now, rest, context, 'what is said') ??
		changed(now, rest.replace(AIR_TO, 'at '), context, 'what is said') ??
		changed(
			now,
			BY.reduce((text, [words, plain]) => text.replace(words, plain), rest),
			context,
			'what is said'
		) ??
		changed(now, rest.replace(ROWS_TO, ''), context, 'what is said') ??
		changed(now, without(rest, BESIDES), context, 'what is said') ??
		perRow(rest, now, context);
	return next && [`${part.called} becomes ${together(next)}`];
};

/** “five in each row”: so many to a cluster. */
function perRow(rest: string, now: Parameters<typeof together>[0], context: EntryContext) {
	const found = re(String.raw`\b${N} (?:balloons )?(?:in|to|on|for|a|per)(?: (?:each|every|a))? (?:row|layer|ring|cluster)\b|\bcluster of ${N}\b`).exec(rest); // prettier-ignore
	const count = found?.[1] ?? found?.[2];
	return count ? changed(now, count, context, 'what is said') : undefined;
}

const SWAPS: readonly (readonly [RegExp, 'new first' | 'old first'])[] = [
	[/\b(?:instead of|in place of|rather than|where(?: (?:it|there)(?: says)?)?|for what is|not)\b/, 'new first'],
	[/\b(?:becomes?|into|(?:should|must|could|has to)(?: [a-z]+)? be|replaced (?:by|with)|for|to|as|turns?|goes)\b/, 'old first']
]; // prettier-ignore

/** Two colours, one of them of the design, and a word between them that says which takes whose place. */
export const swapped: Reading = (sentence, context) => {
	// “instead of white use pink”.
	const said = sentence.replace(
		/^instead of (?:the )?([a-z]+),? (?:(?:use|put|have|take|do|lets have) )?(?:the )?([a-z ]+)$/,
		'$2 instead of $1'
	);
	for (const [mark, order] of SWAPS) {
		const found = mark.exec(said);
		if (!found) continue;
		const [a, b] = [said.slice(0, found.index), said.slice(found.index + found[0].length)].map((text) =>
			without(text, IDLE)
		);
		const [to, from] = order === 'new first' ? [a!, b!] : [b!, a!];
		const old = from.replace(
			/^(?:change|swap|switch|replace|exchange|turn|recolou?r|redo|trade|sub|substitute|everything|whatever is|anything)(?: out)? /,
			''
		);
		if (/\d/.test(to + old) || to === '' || old === '') continue;
		const own = context.slots.filter(({ name }) =>
			name
				.toLowerCase()
				.split(/\s+/)
				.some((w) => w === old || w === old.replace(/s$/, ''))
		);
		if (own.length !== 1 || coloursIn(to, context)?.length !== 1) continue;
		return [`${own[0]!.name} becomes ${to}`];
	}
	return undefined;
};
