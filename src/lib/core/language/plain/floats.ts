import type { EntryContext } from '../context.ts';
import { coloursIn } from './colours.ts';
import { N, oneOf, type Reading, re } from './reading.ts';
import { rowLine } from './row.ts';
import { nameOfThing, someThing } from './things.ts';
import { Left } from './wording.ts';

/** Words of foils: `the word TIDE in gold 34 inch letters`. */
const letters: Reading = (said, context) => {
	const tall = new Left(said.replace(/\b([a-z0-9])(?: ([a-z0-9]))(?: ([a-z0-9]))+ (?=in\b|of\b)/g, (all) => `${all.trim().replaceAll(' ', '')} `)); // prettier-ignore
	const size = tall.take(re(String.raw`,? ?\b(?:at |of )?${N} ?″(?: (?:tall|high))?`))?.[1];
	const rest = tall.text
		.replace(/\bfoil\b/g, ' ')
		.replace(/\s+/g, ' ')
		.trim();
	const found = oneOf(
		[
			String.raw`(?:spell(?: out)?|write|put up) (?:the (?:word|name) )?([a-z0-9&!?]+) (?:in|of|with|from) ([a-z ]+?)(?: letters)?`,
			String.raw`(?:the )?(?:word|letters|name|lettering)[: ]+([a-z0-9&!?]+),? (?:in |of )?([a-z ]+?)(?: letters)?`,
			String.raw`([a-z0-9&!?]+) in ([a-z ]+) letters`,
			String.raw`(?<colour>[a-z ]+) letters ([a-z0-9&!?]+)`,
			String.raw`(?:the )?(?:(?!an?\b)[a-z ]+ )?letters ([a-z0-9&!?]+) in ([a-z ]+)`
		],
		rest
	);
	const [word, colour] = found?.groups?.colour ? [found[2], found[1]] : [found?.[1], found?.[2]];
	if (word === undefined || coloursIn(colour!, context)?.length !== 1) return undefined;
	return [`letters ${word}${size ? ` at ${size}` : ''} of ${colour}`];
};

/** What holds a bunch down. */
const weight: Reading = (said, context) => {
	if (/^(?:without a|no|take off the|leave off the) weight(?: on (?:it|them))?$/.test(said))
		return ['no weight'];
	const found = oneOf(
		[
			'with (.+?),? (?:as|for) (?:a |the |its )?weight',
			'(?:the )?weight (?:is|should be) (.+)',
			'(.+?),? (?:as|for|is) (?:a |the |its )?weight',
			'(?:hold|held|weighed|kept|tied|weigh|weight|tie|keep|anchor|anchored|ballast)(?: (?:it|them|that))?(?: down)? (?:down )?(?:with|by|to) (.+)',
			'(.+) (?:to hold|holds|holding|weighing) (?:it|them) down',
			'weighted (?:down )?(?:with|by) (.+)',
			'weight:? (.+)'
		],
		said
	);
	if (!found) return undefined;
	const what = found
		.slice(1)
		.find((w) => w !== undefined)!
		.replace(/\bwith (sand|water|marbles)$/, 'filled with $1');
	const thing = someThing(what, context);
	return [`weight ${thing?.replace(/^1 /, '') ?? rowLine(what, context)?.replace(/^1 /, '') ?? what.replace(/^an? /, '')}`]; // prettier-ignore
};

/** Balloons and foils in a gas, on ribbon. */
const inGas: Reading = (said, context) => {
	const left = new Left(said);
	const firm = left.take(/,? ?\b(?:and )?(?:firm|hard|tight)\b/) !== undefined;
	const gas = left.take(
		/,? ?\b(?:(?:in|with|of|on) |filled with |full of )?(helium|air)(?:[- ]?filled)?\b|\b(floating)\b/
	);
	const length =
		left.take(re(String.raw`,? ?(?:\bon |\bwith |\beach on |\b(?:tied |each )*(?:on|to|with) )?(?:an? )?${N} ft(?: long)?(?: of)? (?:ribbons?|strings?)(?: in ([a-z]+))?`)) ??
		left.take(re(String.raw`,? ?(?:\bon |\bwith )?(?:ribbons?|strings?) (?:of |at )?${N} ft`)); // prettier-ignore
	const ribbon = length ?? left.take(/,? ?\b(?:on|with) (?:an? )?(?:ribbons?|strings?)\b/);
	if (!gas && !ribbon) return undefined;
	const rest = left.text.replace(/\s+/g, ' ').replace(/^ |[ ,]+$/g, '');
	const what = rowLine(rest, context) ?? foil(rest, context);
	if (!what) return undefined;
	const own = ribbon?.[1] && /\d/.test(ribbon[1]) ? ` ${ribbon[1]} ft` : '';
	const on = ribbon ? ` on${own} ribbon${ribbon[2] ? ` ${ribbon[2]}` : ''}` : '';
	return [`${what}${gas ? ` in ${gas[2] ? 'helium' : gas[1]}` : ''}${firm ? ' firm' : ''}${on}`];
};

/** `two moon foils`, `a foil moon`: foils by the words of their names. */
export function foil(said: string, context: EntryContext): string | undefined {
	const own = someThing(said, context);
	if (own) return own;
	const found = /^(?:(\d+|an?) )?(?:foil )?([a-z ]+?)(?: foil)?s?$/.exec(said.replace(/\bfoils?\b/g, 'foil'));
	const count = found?.[1] && /\d/.test(found[1]) ? found[1] : '1';
	const name =
		found && (nameOfThing(`${found[2]} foil`, context) ?? nameOfThing(`foil ${found[2]}`, context));
	return name ? `${count} ${name}` : undefined;
}

/** `3 pink 11s and a moon foil, all helium`: several that are in one gas. */
const allInGas: Reading = (said, context) => {
	const found = /^(.+?)(?:,| and) (.+?),? (?:all|both|everything)(?: of (?:it|them))? (?:(?:in|with|filled with|of) )?(helium|air)(?:[- ]filled)?$/.exec(said); // prettier-ignore
	if (!found) return undefined;
	const each = [found[1]!, found[2]!].map((own) =>
		inGas(`${own.replace(/^and /, '')} in ${found[3]}`, context)
	);
	return each.includes(undefined) ? undefined : each.flatMap((l) => l!);
};

/** `bouquet of five pink 11s in helium`: a bunch begins, with what is in it, where none is in hand. */
const bouquet: Reading = (said, context) => {
	const found = /^(?:an? )?(bouquet|bunch)(?: of)?:? (.+)$/.exec(said);
	const inHand = context.sections?.some((s) => s.id === context.section && 'weight' in s.structure);
	const own = found && !inHand ? inGas(found[2]!, context) : undefined;
	return own && [`bunch ${found![1]}`, ...own];
};

/** Balloons and foils on ribbon, words of foils, weights. */
export const floats: Reading = (said, context) =>
	bouquet(said, context) ??
	letters(said, context) ??
	weight(said, context) ??
	allInGas(said, context) ??
	inGas(said, context);
