import { findMaterial } from '../names/find-material.ts';
import { coloursIn } from './colours.ts';
import { LONG, matched, N, oneOf, type Reading } from './reading.ts';
import { rowLine } from './row.ts';

const spaced = (length: string): string => length.replace('″', ' in').replace(/(\d) ?(ft|m|cm|in)/, '$1 $2');

/** A length nobody knows yet: `between 8 and 12 ft long`. */
const open: Reading = (said) => {
	const unknown = String.raw`(?:(?:we|i|you|they|nobody) (?:do(?:n.?t| not)|does(?:n.?t| not)|can(?:.?t|not)) (?:know|say|tell) (?:how long(?: it (?:is|gets|will be))?|the length)|not sure (?:how long(?: it is)?|of the length)|(?:the )?length (?:is |stays )?(?:open|unknown|not known))(?: yet)?[,:]? (?:but )?`;
	const found = matched(
		String.raw`(?:${unknown}|it (?:is|will be|should be|may be|might be|can be|could be|ends up|comes out)(?: at)? |make it |(?:leave|keep) it open,? )?(?:some(?:where|thing) )?(?:between |from )?(\d+(?:\.\d+)?)(?: ?ft)? (?:and|to|or) (${LONG})(?: long)?`,
		said
	);
	return found ? [`open ${found[1]} to ${spaced(found[2]!)}`] : undefined;
};

/** `leave 2 ft bare at 6 ft`. */
const free: Reading = (said) => {
	const found = matched(
		String.raw`(?:leave|keep) (?:the )?(?:(?<first>first) )?(?<long>${LONG}|an? (?:foot|metre)|\d+§) (?:free|bare|empty|open|without(?: any)? balloons|clear)(?:,? (?:at|from|after|starting at) (?:(?<start>the (?:start|beginning))|(?<at>${LONG}))(?: on(?:wards)?)?)?`,
		said
	);
	const { first, long, start, at } = found?.groups ?? {};
	if (!long || (!first && !start && !at)) return undefined;
	// “2 ft” before “balloons” was taken for a bag of that size.
	const bag = /^(\d+)§$/.exec(long);
	const length = bag
		? `${bag[1]} in`
		: /^an? /.test(long)
			? `1 ${long.endsWith('foot') ? 'ft' : 'm'}`
			: spaced(long);
	return [`free ${length} at ${at ? spaced(at) : 'start'}`];
};

const SIZE = String.raw`(?<size>\d+(?:\.\d+)?)(?: ?(?:″|in|inch(?:es)?))?`;
/** Clusters that get smaller towards an end. */
const thinner: Reading = (said) => {
	const found = oneOf(
		[
			String.raw`(?:make it |it (?:is|gets) )?(?:thin(?:ner)?|taper(?:ed|s|ing)?|small(?:er)?) (?:at|to|towards) (?<at>both|the|each|1) (?<end>ends?|start|beginning),? (?:down )?to ${SIZE} (?:over|in) (?:the last |the first )?(?<n>\d+) clusters?`,
			String.raw`(?:taper|thin|narrow|slim) (?:out |down |off )?(?:it (?:at|towards) )?(?<at>both|the|each|1) (?<end>ends?|start|beginning)(?: down| out| off)?,? (?:down )?to ${SIZE} (?:over|in) (?:the last |the first )?(?<n>\d+) clusters?`,
			String.raw`(?:the |make the )?(?<end>last|first|outer|outermost) (?<n>\d+) clusters? (?:at (?<at>both|each) ends? )?(?:get |go |are |is )?(?:smaller|thinner),? (?:and smaller,? |and thinner,? )?(?:down )?to ${SIZE}`
		],
		said
	);
	const { at, end, size, n } = found?.groups ?? {};
	if (!size || !n) return undefined;
	const start = end === 'start' || end === 'beginning' || end === 'first';
	const both = end === 'ends' || at === 'both' || at === 'each' || end === 'outer' || end === 'outermost';
	return [`${both ? 'ends' : start ? 'start' : 'end'} thinner to ${size} in over ${n} clusters`];
};

const JOINED: readonly (readonly [string, string])[] = [
	['(?:with |by )?(?:(?:fishing )?line|fishing line)', 'line'],
	['(?:by )?(?:the )?necks|neck to neck', 'necks'],
	['(?:with |by )?(?:modelling balloons?|260s?)', 'modelling balloon'],
	['cluster to cluster', 'cluster to cluster'],
	['twisted(?: on)?', 'twisted on']
];
/** From so far along it is made another way. */
const from: Reading = (said, context) => {
	const found = matched(
		String.raw`(?:from|after) (${LONG})(?: on(?:wards)?| along)?,? (?:(?:they are |it is |is |are )?(joined|tied|tie|join)(?: them| it)? (.+)|(?:use|on|along|the spine is|spine is|on to|onto|tied? to) (.+?)(?: as the spine)?)`,
		said
	);
	if (!found) return undefined;
	const at = spaced(found[1]!);
	const how = found[3] && JOINED.find(([words]) => matched(words, found[3]!))?.[1];
	if (how) return [`from ${at} joined ${how}`];
	const name = found[4]?.replace(/^(?:an?|the) /, '');
	const thing = name ? findMaterial(name.split(' '), context.materials) : undefined;
	return thing?.ok ? [`from ${at} spine ${name}`] : undefined;
};

/** `fill in with threes of gold 5s at 2, two to a foot`: small ones tied together. */
const filled: Reading = (said, context) => {
	const found = matched(
		String.raw`(?:infill|fill(?: it)?(?: in)?|small ones|fillers?)(?: with| of|:)? (?:(\d+)§? of |(?:clusters|bunches|groups) of (\d+) |(pairs|triplets|quads) of )(.+?),? (\d+)(?: to (\d+))? (?:to |per |in |on )?(?:a|every|each|the) foot`,
		said
	);
	if (!found) return undefined;
	const each = found[1] ?? found[2] ?? { pairs: '2', triplets: '3', quads: '4' }[found[3]!];
	const row = rowLine(`1 ${found[4]!}`, context);
	if (!row || !each) return undefined;
	return [
		`infill ${found[5]}${found[6] ? ` to ${found[6]}` : ''} a foot clusters of ${each} ${row.replace(/^1 /, '')}`
	];
};

/** `48 clusters in all`, `scatter the colours`. */
const small: Reading = (said) => {
	const all = matched(
		String.raw`(?:put |it takes |it has |make it |with |spread )?${N} clusters (?:in all|all in all|altogether|in total|on it|over it|along it|over the whole (?:length|way))`,
		said
	);
	if (all) return [`${all[1]} clusters in all`];
	if (
		matched(
			'(?:scatter|mix|sprinkle) (?:the )?(?:colou?rs|them|balloons)(?: (?:at random|at will|anyhow|randomly|up))?|colou?rs (?:at random|at will|anyhow|scattered)',
			said
		)
	)
		return ['scattered'];
	return undefined;
};

/** `about 10 of each shade, 5s at 4.5 in blue, white and grey`. */
const each: Reading = (said, context) => {
	const found = matched(
		String.raw`(?:(?:about|around|roughly|some) )?${N} of each(?: (?:colou?r|shade|tone|1))?[,:]? (\d+§?(?: hearts)?(?: at \d+(?:\.\d+)?)?)(?:,| in| of)+ (.+)`,
		said
	);
	const colours = found && coloursIn(found[3]!, context);
	const row = found && colours?.length ? rowLine(`1 ${found[2]!} ${colours[0]!}`, context) : undefined;
	if (!found || !row || !colours) return undefined;
	const balloon = row.replace(/^1 /, '').slice(0, -colours[0]!.length).trim();
	return [`about ${found[1]} of each ${balloon} of ${colours.join(' / ')}`];
};

/** What is said of a run in hand besides where it goes: somewhere along it, and what is not known. */
export const onRuns: Reading = (said, context) => {
	const own = context.sections?.find((s) => s.id === context.section)?.structure;
	if (!own || !('path' in own)) return undefined;
	return (
		open(said, context) ??
		free(said, context) ??
		thinner(said, context) ??
		from(said, context) ??
		small(said, context) ??
		each(said, context) ??
		filled(said, context)
	);
};
