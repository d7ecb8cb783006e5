import { coloursIn } from './colours.ts';
import { matched, N, oneOf, re, type Reading } from './reading.ts';
import { rowLine } from './row.ts';
import { Left } from './wording.ts';

const TIMES: Readonly<Record<string, number>> = { once: 1, twice: 2 };

/** `six red 260s, 24 inches, wound, as legs round row 1`: curls and limbs of modelling balloons. */
const limbs: Reading = (said, context) => {
	const tie = matched('tie (?:it|them|that) with (?:an? )?(?:uninflated )(.+)', said);
	const left = new Left(tie ? `${tie[1]} uninflated` : said);
	const model = left.take(/\b(160|260|350|360)§?(?=[\s,]|$)/);
	if (!model) return undefined;
	const name = left.take(/,? ?\b(?:as|for)(?: the| an?)? ([a-z]+)\b/)?.[1];
	const flat = left.take(/,? ?\b(?:uninflated|not inflated|flat|as a tie)\b/) !== undefined || name === 'tie';
	if (flat) left.take(/\bas an? tie\b/);
	const over = left.take(
		/,? ?\bfrom (?:the )?(left|right|front|back) of (row \d+|top row) (?:over )?to (?:the )?(left|right|front|back) of (row \d+|top row)/
	);
	const wraps = left.take(
		/,? ?\b(?:wound|wrapped|twined|winding|wrapping) (?:(once|twice|\d+ times) )?(?:round|around) (?:the |it|a )?(?:column|pole|mast|stick)?(?: ?(once|twice|\d+ times))?/
	);
	const isBelt = name === 'belt' || left.take(/,? ?\bas an? belt\b/) !== undefined;
	const at = left.take(
		/,? ?\b(on|onto|to|round|around)(?: the)?(?: (front|back|left|right)(?: side)?(?: of)?)?(?: the)? ?(row \d+|top row)(?:,? (?:at the )?(front|back|left|right|round))?/
	);
	const size = left.take(re(String.raw`\bat ${N}(?: ?″)?(?: across)?(?=[\s,]|$)`))?.[1];
	const bent = left.take(/\bbent(?: by| to)? (\d+)(?: degrees|°)?/)?.[1];
	const turned =
		bent === undefined && left.take(/\bbent\b(?: round| over| back)?/)
			? left.take(/, (\d{2,3})(?: degrees|°)?\s*$/)?.[1]
			: undefined;
	const shapes = ['wound', 'trained', 'softened'].filter((s) => left.take(re(String.raw`\b${s}\b`)));
	if (left.take(/\b(?:curled|coiled|spiral)\b/)) shapes.push('wound');
	const long =
		left.take(re(String.raw`,? ?\b${N} ?″(?: long| bubbles?)?`))?.[1] ??
		left.take(re(String.raw`,? ?\b${N} long`))?.[1];
	const count = left.take(/(?<!\S)(\d+)(?=[\s,]|$)/)?.[1] ?? '1';
	if (left.take(/,? ?\bfolded(?: in half| over| double)?\b/)) shapes.push('folded');
	if (isBelt) shapes.push('belt');
	if (wraps)
		shapes.push(`twined ${TIMES[wraps[1] ?? wraps[2] ?? ''] ?? parseInt(wraps[1] ?? wraps[2] ?? '2', 10)}`);
	const colour = left.text
		.replace(/\b(?:modelling|in|an?|the|long|inches)\b|[,.]/g, ' ')
		.replace(/\s+/g, ' ')
		.trim();
	const colours = coloursIn(colour, context);
	if (!colours || colours.length < 1 || colours.length > 6) return undefined;
	const round = at && /round|around/.test(at[1]!) ? 'round' : undefined;
	const host = over
		? ` on ${over[2]} ${over[1]} to ${over[4]} ${over[3]}`
		: wraps && !at
			? ' on row 1 round'
			: at
				? ` on ${at[3]}${round || at[2] || at[4] ? ` ${round ?? at[2] ?? at[4]}` : ''}`
				: '';
	const shaped = [(bent ?? turned) === undefined ? '' : `bent ${bent ?? turned}`, ...shapes]
		.filter(Boolean)
		.join(' ');
	return [
		`${count} ${model[1]}${size ? ` at ${size}` : ''} ${colours.length > 1 ? colours.join(' / ') : colour}${long ? ` ${long}` : ''}${shaped ? ` ${shaped}` : ''}${flat ? ' tie' : ''}${name && name !== 'tie' ? ` as ${name}` : ''}${host}`
	];
};

/** Rows of what is woven, and what its knots are joined with. */
const woven: Reading = (said, context) => {
	const rows = matched(String.raw`(\d+) rows? of (\d+)(?: links?)?(?: in| of)? ([a-z ]+)`, said);
	if (rows && coloursIn(rows[3]!, context)) return [`${rows[1]} rows ${rows[2]} ${rows[3]}`];
	const joined = matched('(?:join (?:it|them)|joined|the knots are|knotted) with (.+)', said);
	const own = joined && rowLine(`1 ${joined[1]}`, context);
	return own ? [`joined with ${own.replace(/^1 /, '')}`] : undefined;
};

const BESIDE: Readonly<Record<string, string>> = { 'on top of': 'on', on: 'on', 'in front of': 'front of', behind: 'back of', left: 'left of', right: 'right of', round: 'round', around: 'round' }; // prettier-ignore
const WHERE = String.raw`(?:,? (?:on the |to the |at the )?(on top of|on|in front of|behind|left|right|round|around)(?: of)? (?:the )?([a-z0-9 ]+))?`;

/** `a part called arm on the left of the column`, `use the whisk on top of the column`. */
const parts: Reading = (said) => {
	const named = matched(
		String.raw`(?:an? )?(?:new )?(?:section|part|piece)(?: called| named)? ([a-z]+(?: [a-z]+)?)${WHERE}`,
		said.replace(/,/g, '')
	);
	if (named) return [`section ${named[1]}${named[2] ? ` ${BESIDE[named[2]]} ${named[3]}` : ''}`];
	const used = matched(
		String.raw`(?:use|add|put|take) (?:an?|the|my|our) ([a-z][a-z0-9 ]*?)(?: design)?${WHERE}`,
		said
	);
	return used ? [`use ${used[1]}${used[2] ? ` ${BESIDE[used[2]]} ${used[3]}` : ''}`] : undefined;
};

/** Sizes, and steps of the plan. */
const design: Reading = (said) => {
	const size = oneOf(
		[
			String.raw`(?:an? )?([a-z]+) size(?: of| at|:|,)? ${N} (ft|cm|m)(?: tall| high)?`,
			String.raw`(?:a )?size (?:called )?([a-z]+),? (?:of )?${N} (ft|cm|m)(?: tall| high)?`
		],
		said
	);
	if (size) return [`size ${size[1]} ${size[2]} ${size[3]}`];
	const step = matched(
		'(?:note|remember|dont forget|reminder)(?: (?:for|to) (?:the |my |our )?(?:crew|team|helpers?|us|me|self|myself))?(?: to)?[:,]? (.+)',
		said
	);
	return step ? [`step ${step[1]}`] : undefined;
};

/** Of every kind what it brings of its own. */
export const KINDS: readonly Reading[] = [limbs, woven, parts, design];
