import type { EntryContext } from '../context.ts';
import { along } from './along.ts';
import { floats, foil } from './floats.ts';
import { mix } from './mix.ts';
import { onRuns } from './on-runs.ts';
import { matched, N, re, type Reading } from './reading.ts';
import { rowLine } from './row.ts';
import { nameOfThing, things } from './things.ts';
import { materialCalled } from '../names/find-material.ts';
import { carriedBy } from '../../materials/carries.ts';
import { formatLength, um } from '../../units/length.ts';
import { Left } from './wording.ts';

const STANDS =
	'(?:(?:put |stand |mount |set |rest )?(?:it all|all of it|the lot|the whole thing|everything|all) |stand it |it goes |it stands |stands |standing |mounted |it sits |put it )?';
/** `on an 8 ft pole`, `without a pole`. */
const pole: Reading = (said, context) => {
	const named = matched(String.raw`${STANDS}(?:on|with) (?:an?|the|my|our) (.+)`, said);
	const name = named && nameOfThing(named[1]!, context);
	const thing = name ? materialCalled(context.masks?.get(name) ?? name, context.materials) : undefined;
	const long = thing && carriedBy(thing);
	if (thing && long !== undefined && (thing.kind === 'base' || thing.kind === 'pipe'))
		return [
			`${thing.kind === 'pipe' ? 'stick' : 'pole'} ${formatLength({ um: um(Math.round(long * 1000)), unit: 'ft' })} of ${name}`
		];
	const kind = '(pole|stick|mast)';
	const tall = matched(
		String.raw`${STANDS}(?:on |with )?(?:an? |the )?${N} ft(?: tall| long)? ${kind}(?: (?:up|down|through|in|inside) (?:it|them|the (?:middle|centre|center|inside))| inside| under it)?`,
		said
	);
	if (tall) return [`${tall[2]} ${tall[1]} ft`];
	const of = matched(
		String.raw`${STANDS}(?:on |with )?(?:an? |the )?${kind}:?(?: of| is)? ${N} ft(?: tall| long)?`,
		said
	);
	if (of) return [`${of[1]} ${of[2]} ft`];
	const out = `(?:it does(?:n.t| not) need(?: an?| the)?|(?:it needs |need )?(?:no need (?:for|of)(?: an?| the)?|no|without(?: an?)?)|take (?:the|that) ${kind}(?: away| out| off)?|remove the|lose the)(?: ${kind})?(?: away| out| needed| at all| for this one| please)?`;
	return said.match(new RegExp(kind)) && matched(out, said) ? ['no pole'] : undefined;
};

/** Colours left out, put back, exchanged. */
const slots: Reading = (said, context) => {
	const slot = (words: string | undefined) =>
		words !== undefined &&
		context.slots.some((s) =>
			s.name
				.toLowerCase()
				.split(/\s+/)
				.some((w) => w.startsWith(words))
		);
	const out = matched('(?:leave out|without|no|take out|drop|lose)(?: the| all)? ([a-z ]+?)(?: ones)?', said);
	const away = matched('take (?:the )?([a-z ]+) out', said);
	if (away && slot(away[1])) return [`leave out ${away[1]}`];
	if (out && slot(out[1])) return [`leave out ${out[1]}`];
	const back = matched('(?:put )?back (?:the )?([a-z ]+)|(?:put )?(?:the )?([a-z ]+) back(?: in)?', said);
	if (back && slot(back[1] ?? back[2])) return [`put back ${back[1] ?? back[2]}`];
	// Of two there is one way.
	if (
		context.slots.length === 2 &&
		matched('(?:swap|exchange|turn round|switch) (?:the )?colou?rs(?: round| over)?', said)
	)
		return [`swap ${context.slots[0]!.name.toLowerCase()} and ${context.slots[1]!.name.toLowerCase()}`];
	const two = matched('(?:swap|exchange) (?:the )?([a-z ]+) (?:for|and|with) (?:the )?([a-z ]+)', said);
	return two && slot(two[1]) && slot(two[2]) ? [`swap ${two[1]} and ${two[2]}`] : undefined;
};

const FIXED: Readonly<Record<string, string>> = { glue: 'glue', glued: 'glue', stick: 'strip', stuck: 'strip', tape: 'strip', taped: 'strip', tie: 'tie', tied: 'tie', tuck: 'tucked', tucked: 'tucked' }; // prettier-ignore

const HOLDS = '(glue|strips?|ties?|dash|dashes|(?:a )?trial loops?)';
/** `with two strips`, `on trial with a loop, then glued`: how a piece is fixed, as the exact grammar says it. */
function fixedBy(left: Left): string | undefined {
	const one = (word: string) =>
		word
			.replace(/^a /, '')
			.replace(/dashes$/, 'dash')
			.replace(/(?<!gla)s$/, '');
	const then = left.take(
		re(String.raw`,? ?\b(?:then|and then)(?: (?:with|by))? (glue|glued|tie|tied|strip)\b`)
	)?.[1];
	const found = left.take(
		re(String.raw`,? ?\b(?:with|using|by)(?: (\d+|0\.5|half an?|half|an?))? ${HOLDS}(?: first| on trial)?`)
	);
	const trial = found ?? left.take(/,? ?\b(?:on trial|tried) first\b|,? ?\bfirst (?:on trial|tried)\b/);
	if (!trial) return undefined;
	const amount = found?.[1]?.replace(/^half.*/, '½').replace(/^an?$/, '');
	const good = then?.replace(/d$/, '');
	return `${amount ? `${amount} ` : ''}${found ? one(found[2]!) : 'trial loop'}${good ? ` then ${good}` : ''}`;
}

/** What sits on a row: balloons, a foil, a card. */
const seated = (text: string, context: EntryContext): string | undefined => {
	const words = text.replace(/\s+/g, ' ').replace(/^[\s,]+|[\s,]+$/g, '');
	return rowLine(words, context) ?? foil(words, context);
};

/** Parts that are said by what they are: their bags come behind. */
const NAMED_FIRST = /^(?:(?:put|add|stick|glue) )?(\d+|an?) ([a-z]+) (eyes?|ears?|noses?|cheeks?|buttons?|spots?|feet|hands?|horns?|wings?|dots?|petals?),? (\d+§ (?:at \S+?)?),? ((?:on|onto|at|round|around) .+)$/; // prettier-ignore

/** `glue two red fives at 4 on the front of row 2`, `one red 5 at 3 either side of row 2`. */
const fixingWords = (fixing: string | undefined): string => (fixing ? ` with ${fixing}` : '');
const piece: Reading = (sentence, context) => {
	// “two black eyes, 5s at 2, on row 3”.
	const named = sentence.replace(NAMED_FIRST, (_, n: string, colour: string, name: string, bag: string, rest: string) => `${n} ${bag} ${colour} as ${name} ${rest}`); // prettier-ignore
	// “eyes on row 3, two black 5s at 2, glued”.
	const said = named.replace(/^(?:the )?([a-z]+) (?:on|for) (row \d+|top row|bottom row)[,:] (.+?)(?:,? (glued|stuck|tied|tucked)(?: on)?)?$/, (_, name: string, row: string, what: string, how?: string) => `${how ?? ''} ${what} on ${row} as ${name}`.trim()); // prettier-ignore
	// “two to four”: as many as it needs.
	const many = /^(?:[a-z]+ )?(\d+) (?:to|or) (\d+) (?=\S)/.exec(said);
	const left = new Left(
		many
			? said.replace(`${many[1]} to ${many[2]}`, many[1]!).replace(`${many[1]} or ${many[2]}`, many[1]!)
			: said
	);
	const between = left.take(
		/,? ?\b(?:between|in between) (?:the )?(row \d+) and (?:the )?(row \d+)(?:,? (?:at |on |in )?(?:the )?(front|back|left|right|round|all round))?/
	);
	const middle = between
		? undefined
		: left.take(
				/,? ?\b(?:in|into|inside) the (?:middle|heart|inside) of (?:the )?(row \d+|top row|bottom row)/
			);
	const held = fixedBy(left);
	const verb = left.take(
		/,? ?\b(?:put|fix|add|glued?|stick|stuck|taped?|tied?|tuck(?:ed)?|set|place|hang)\b/
	);
	const both = left.take(
		/,? ?\b(?:(?:1 )?(?:on )?(?:either|each) side(?: of)?|(?:on )?both sides(?: of)?|(?:1 )?(?:on (?:the )?|at (?:the )?)?(left|front) and (?:1 )?(?:on the |at the |the )?(right|back)(?: side)?(?: of| on)?)(?: the)? ?(row \d+|top row|bottom row)/
	);
	const at =
		both ??
		left.take(
			/(?:,|\b(?:on|onto|to|round|around|in|at))(?: the)?(?: (front|back|left|right)(?: side)?(?: of| on| at)?)?(?: the)? ?(row \d+|top row|bottom row)(?:,? (?:at |on |in )?(?:the )?(front|back|left|right|round)\b)?/
		);
	if (between || middle) {
		const own = seated(left.text.replace(/^[\s,]+|[\s,]+$/g, ''), context);
		const how = fixingWords(held ?? FIXED[verb?.[0].replace(/^,/, '').trim() ?? '']);
		const where = middle
			? `${middle[1]!.replace('bottom row', 'row 1')} middle`
			: `between ${between![1]} and ${between![2]} ${(between![3] ?? 'front').replace('all ', '')}`;
		return own ? [`put ${own} on ${where}${how}`] : undefined;
	}
	if (!at) return undefined;
	const row = (both ? at[3]! : at[2]!).replace('bottom row', 'row 1');
	const round = /^\s*(?:round|around)\b/.test(at[0]) ? 'round' : undefined;
	const side = both
		? undefined
		: (at[1] ?? at[3] ?? round ?? left.take(/\b(?:at|on) the (front|back|left|right)\b/)?.[1]);
	const fixing = held ?? FIXED[verb?.[0].replace(/^,/, '').trim() ?? ''];
	const name = left.take(/\b(?:as|for)(?: the| an?)? ([a-z]+)\b/)?.[1];
	const text = left.text.replace(/^[\s,]+|[\s,]+$/g, '');
	const what = seated(text, context) ?? (both ? seated(`1 ${text}`, context) : undefined);
	if (!what) return undefined;
	const how = `${name ? ` as ${name}` : ''}`;
	const by = fixing ? ` with ${fixing}` : '';
	if (many && both) return undefined;
	const seen = many ? what.replace(/^\d+/, `${many[1]} to ${many[2]}`) : what;
	if (!both) return [`put ${seen}${how} on ${row}${side ? ` ${side}` : ''}${by}`];
	const half = Math.max(
		1,
		// “two either side” are two on each; “two left and right” are two in all.
		Math.floor(Number(/^\d+/.exec(what)![0]) / (/^\s*(?:[2468])\b/.test(text) && !/either|each/.test(both[0]) ? 2 : 1)) // prettier-ignore
	);
	const [one, other] = [both[1] ?? 'left', both[2] ?? 'right'];
	return [
		`put ${what.replace(/^\d+/, String(half))}${how} on ${row} ${one}, ${half} on ${row} ${other}${by}`
	];
};

const BAND = String.raw`\d+ (?:rows?|layers?)(?: of| in)? [a-z ]+?`;
/** Bands before what all of them are of. */
const BANDS_FIRST = new RegExp(
	`^(${BAND}(?:(?:,| and| then|, then) ${BAND})+),? (?:all )?((?:quads?|pairs?|triplets?|clusters?|\\d+§).*)$`
);
/** `4 11s at 9, 2 rows black then 2 rows gold`, `three rows red, three rows white, quads of 11s at 9`: rows alike but for their colour, one on the other. */
const bands: Reading = (sentence, context) => {
	const turned = BANDS_FIRST.exec(sentence);
	// One row of each in turn is a pattern, no bands.
	const said =
		turned && /\b(?:[2-9]|1\d) (?:rows|layers)/.test(turned[1]!) ? `${turned[2]}, ${turned[1]}` : sentence;
	const found = /^(.*?\d.*?),? ((?:\d+ (?:rows?|layers?)(?: of| in)? [a-z ]+?)(?:(?:,| and| then|, then) \d+ (?:rows?|layers?)(?: of| in)? [a-z ]+?)+)$/.exec(said); // prettier-ignore
	if (!found) return undefined;
	const parts = [
		...found[2]!.matchAll(/(\d+) (?:rows?|layers?)(?: of| in)? ([a-z ]+?)(?=$|,| and \d| then)/g)
	];
	const lines = parts.map(([, n, colour]) =>
		rowLine(`${found[1]} ${colour}${Number(n) > 1 ? ` x${n}` : ''}`, context)
	);
	return parts.length > 1 && lines.every((l) => l !== undefined) ? lines : undefined;
};

/** `standing on a box`, `put it on the table`. */
const stands: Reading = (said, context) => {
	const found = matched(
		'(?:it |this |that )?(?:stands?|standing|stood|put (?:it|this)|(?:stand|set|rest|lay) (?:it|this|that)|sits|place it|goes) on (?:the |an? )?(floor|ground|table|board|box|shelf|plinth)',
		said
	);
	if (!found) return undefined;
	const along = context.recipe?.sections.find((s) => s.id === context.section && 'path' in s.structure);
	if (along && found[1] === 'table') return ['on a table'];
	return [`stands on ${/floor|ground/.test(found[1]!) ? 'the' : 'a'} ${found[1]}`];
};

/** `split row 2 after four layers`. */
const split: Reading = (said) => {
	const found = matched(
		String.raw`(?:split|cut|divide|part) (row \d+|top row|bottom row)(?: in (?:two|2))? (?:after|at)(?: layer)? (\d+)(?: (?:layers?|rows?))?`,
		said
	);
	return found ? [`${found[1]!.replace('top row', 'top')} split after ${found[2]}`] : undefined;
};

/** `remind the crew: face the stripes outwards`: a step of her own. */
const reminded: Reading = (said) => {
	const found = matched(
		'(?:remind|tell|warn) (?:the crew|them|everybody|everyone|whoever builds it)(?::| to|,| that)? (.+)|(?:remember|don.t forget) to (.+)|(?:crew|note for the crew|note to the crew): (.+)',
		said
	);
	const words = found?.[1] ?? found?.[2] ?? found?.[3];
	return words ? [`step ${words}`] : undefined;
};

/** `priced at 40 percent margin`. */
const priced: Reading = (said) => {
	const found = matched(String.raw`(?:(?:priced?|sell|sold|quote|charge|offer|calculate|reckon|work)(?: (?:it|this|that|them))?(?: out)? (?:at|by|with|for|on) |(?:i|we) (?:want|need|take) )?(?:an? )?(?:(margin|markup) (?:of )?${N} ?%?|${N} ?% (margin|markup))(?: on (?:this|it|that|the lot)(?: one)?)?`, said); // prettier-ignore
	return found ? [`priced by ${found[1] ?? found[4]} ${found[2] ?? found[3]} %`] : undefined;
};

/** In the order in which they are asked. */
export const READINGS: readonly Reading[] = [
	pole,
	stands,
	priced,
	reminded,
	split,
	slots,
	bands,
	piece,
	mix,
	floats,
	onRuns,
	along,
	things
];
