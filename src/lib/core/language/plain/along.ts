import type { EntryContext } from '../context.ts';
import { printLines } from '../print.ts';
import { coloursIn } from './colours.ts';
import { LONG, matched, N, oneOf, type Reading, re } from './reading.ts';
import { rowLine } from './row.ts';
import { someThing } from './things.ts';
import { Left } from './wording.ts';

const KINDS = '(table runner|runner|garland|swag|demi[- ]arch)';
const WHERE: readonly (readonly [RegExp, string])[] = [
	[/,? ?\b(?:(?:for|to go) )?(?:along|on|against|for|across|over) (?:the|a) wall\b/, 'against a wall'],
	[/,? ?\b(?:along|on|across|over|for) (?:the|a|our) table\b/, 'on a table'],
	[/,? ?\b(?:hanging free|free hanging|all round|seen from all sides)\b/, 'all round']
];

/** A garland or a runner with its length. */
const garland: Reading = (said) => {
	const left = new Left(said.replace(/\b(?:long|of|an?|the|that is|is)\b/g, ' '));
	const where = WHERE.filter(([words]) => new Left(said).take(words)).map(([, line]) => line);
	const own = new Left(said);
	for (const [words] of WHERE) own.take(words);
	const table = own.take(re(String.raw`\bfor an? (${LONG})(?: long)? table\b`));
	const kind = own.take(re(String.raw`\b${KINDS}\b`));
	const long = table ?? own.take(re(String.raw`(?<![\d.])(${LONG})(?: long)?`));
	if (!kind || !long || left.text === '') return undefined;
	if (
		own.text
			.replace(
				/\b(?:an?|the|of|long|that is|is|with|about|organic|full|lush|simple|classic|free-form)\b|[,:]/g,
				' '
			)
			.trim() !== ''
	)
		return undefined;
	const runner = /runner/.test(kind[1]!) || table !== undefined;
	const name = runner ? 'runner' : kind[1] === 'garland' ? 'garland' : kind[1]!.replace(/ ?-?arch/, '');
	const lies = runner && where.length === 0 ? ['on a table'] : where;
	return [`run ${name}`, `line ${spaced(long[1]!)}`, ...lies];
};
const spaced = (length: string): string =>
	length.replace(
		/(\d) ?(ft|m|cm|in|″)/,
		(_, n: string, unit: string) => `${n} ${unit === '″' ? 'in' : unit}`
	);

const arch: Reading = (said) => {
	if (!/\barch\b/.test(said)) return undefined;
	const left = new Left(
		said
			.replace(/\b(?:an?|the|arch|and|of|with|that is|is)\b|,/g, ' ')
			.replace(/^(.*\bwide\b.*\b(?:high|tall)\b) +(ft|m|cm)\s*$/, '$1')
			.replace(/(\d) wide (?:by|x) (\d)/, '$1 by $2')
			.replace(/(by \S+(?: ?(?:ft|m|cm))?) (?:high|tall)\b/, '$1')
	);
	const by = left.take(re(String.raw`${N}(?: ?(ft|m|cm))? (?:by|x) ${N}(?: ?(ft|m|cm))?`));
	const wide = by ?? left.take(re(String.raw`${N}(?: ?(ft|m|cm))? (?:wide|across)`));
	const high = by ? undefined : left.take(re(String.raw`${N}(?: ?(ft|m|cm))? (?:high|tall)`));
	if (!wide || (!by && !high) || left.text.trim() !== '') return undefined;
	const unit = (by ? (by[4] ?? by[2]) : (wide[2] ?? high?.[2])) ?? 'ft';
	const tall = by ? `${by[3]} ${unit}` : `${high![1]} ${high![2] ?? unit}`;
	return ['run arch', `arch ${wide[1]} ${wide[2] ?? unit} by ${tall}`];
};

/** `wall of 8 rows of 10 links at 9 red`, in whatever order. */
const wall: Reading = (said, context) => {
	if (!/^(?:an? )?(?:link )?wall\b/.test(said) || !/\blinks?\b/.test(said)) return undefined;
	const left = new Left(
		said.replace(/\b(?:an?|wall|of|links?|with|and|high|tall)\b|[,:]/g, ' ').replace(/\s+/g, ' ')
	);
	const bag = left.take(/\b(\d+) ?(?:″|§|in\b|inch\b)/)?.[1];
	const rows = left.take(re(String.raw`${N} rows?`)) ?? left.take(re(String.raw`${N} (?:levels|layers)`));
	const size = left.take(re(String.raw`\b(?:at|sized(?: to)?|inflated to) ${N}(?: ?″)?`));
	const across = left.take(re(String.raw`\b(?:by |x )?${N}(?: (?:across|wide|a row|each))?(?=\s|$)`));
	const colour = left.text.replace(/\bin\b/g, ' ').trim();
	if (!rows || !across || coloursIn(colour, context)?.length !== 1) return undefined;
	const own = context.sections?.find((s) => s.id === context.section)?.structure;
	const isBegun = own !== undefined && 'woven' in own && own.rows.length === 0;
	return [
		...(isBegun ? [] : ['weave wall']),
		`wall of ${bag ?? across[1]} links${size ? ` at ${size[1]}` : ''}`,
		`${rows[1]} rows ${across[1]} ${colour}`
	];
};

const THICK: readonly (readonly [string, string])[] = [
	['(?:make it |have it |it is |it gets )?(?:thin|slim|narrow|light)(?:ner|mer|er)? (?:at|towards) (?:the|both) ends', 'in the middle'],
	['(?:full(?:er|est)?|fat(?:ter|test)?|wider?|thick(?:er)?) (?:in|at|towards) the (?:middle|centre|center)(?:,? and (?:thin|slim|narrow|light)(?:ner|mer|er)? (?:at|towards) (?:the|both) ends)?', 'in the middle'],
	['(?:fuller|fatter|wider|thicker) (?:at|towards) the (?:start|beginning|left)|(?:thin(?:s|ner)?|taper(?:s|ed|ing)?|thin it|taper it)(?: off)? (?:at|to|towards) the (?:end|right)', 'at the start'],
	['(?:fuller|fatter|wider|thicker) (?:at|towards) the (?:end|right)|(?:thin(?:s|ner)?|taper(?:s|ed)?|thin it)(?: off)? (?:at|to|towards) the (?:start|beginning|left)', 'at the end']
]; // prettier-ignore

/** How long the straight path in hand is, in the unit in which it is printed. */
function lineInHand({ recipe, section, materials }: EntryContext) {
	const own = recipe?.sections.find((s) => s.id === section);
	const path =
		own &&
		printLines(own, recipe!, (id) => materials.find((m) => m.id === id)).find((l) => l.about === 'path');
	const found = path && /^line ([\d.]+) (ft|m)\b/.exec(path.text);
	return found ? { length: Number(found[1]), unit: found[2]! } : undefined;
}

/** How it hangs, where it lies, how full it is, how it is counted. */
const settings: Reading = (sentence, context) => {
	const said = sentence
		.replace(
			/^(?:it (?:should|must|has to|needs to) be|have it|i want it|keep it|make it(?: run| go| hang| lie)?|it should (?:run|go|hang|lie))(?= (?:thick|full|fat|wide|even|in |along|against|on |free))/,
			''
		)
		.trim();
	const to = matched(
		String.raw`(?:(?:make|have|let|cut|bring|take|keep|shorten|stretch|extend) (?:it|this|that)(?: (?:be|to|(?:down|up|out|back) to))? |it (?:is|should be|must be|needs to be|has to be|wants to be) )?(${LONG})(?<long> long)?(?: instead| now| please)*`,
		said
	);
	const goesAlong = context.sections?.some((s) => s.id === context.section && 'path' in s.structure);
	if (to && (to.groups?.long !== undefined || (goesAlong && to[0] !== to[1])))
		return [`line ${spaced(to[1]!)}`];
	const longer = matched(
		String.raw`(?:make it |have it |it should be )?(?:${N} (ft|m)|(?:an?|another) (foot|metre)) (longer|shorter)`,
		said
	);
	const now = longer && lineInHand(context);
	if (longer && now && now.unit === (longer[2] ?? { foot: 'ft', metre: 'm' }[longer[3]!])) {
		const next = now.length + Number(longer[1] ?? 1) * (longer[4] === 'longer' ? 1 : -1);
		return next > 0 ? [`line ${next} ${now.unit}`] : undefined;
	}
	const hooks = oneOf(
		[
			String.raw`(?:(?:hang|hung|it hangs|fix|fixed|put)(?: it| them)? )?(?:on|from|with|by) (?:an? |the )?(hooks|pins|fishing line|stand|backdrop|ties)(?:,? (?:1 )?every (${LONG}))?(?:,? (?:with|using) (.+)|, (.+))?`,
			String.raw`(hooks|pins|fishing line|ties) every (${LONG})(?:,? (?:with|using) (.+)|, (.+))?`,
			String.raw`(hooks|pins|fishing line|ties|line) every (${LONG}) to (?:hang|hold|fix) (?:it|this)`
		],
		said
	);
	if (hooks) {
		const thing = hooks[3] ?? hooks[4];
		const own = thing === undefined ? undefined : someThing(thing, context)?.replace(/^1 /, '');
		if (thing !== undefined && own === undefined) return undefined;
		return [
			`hung on ${hooks[1] === 'line' ? 'fishing line' : hooks[1]}${hooks[2] ? ` every ${spaced(hooks[2])}` : ''}${own ? ` with ${own}` : ''}`
		];
	}
	for (const [words, line] of THICK) if (matched(words, said)) return [`thicker ${line}`];
	if (
		matched(
			'(?:the same|even|evenly|equal(?:ly)?)(?: (?:thick|thickness|full))?(?: all)?(?: the way)? ?along',
			said
		)
	)
		return ['even along'];
	if (
		matched(
			'(?:it (?:hangs|goes|lies|is) |hang it |put it )?(?:against|along|on|flat on) (?:an?|the) wall',
			said
		)
	)
		return ['against a wall'];
	if (matched('(?:it (?:goes|lies|is) |put it |lay it )?(?:along|on) (?:an?|the) table', said))
		return ['on a table'];
	if (
		matched(
			'(?:it is |it hangs )?(?:seen from all sides|all round|free|in the open|hanging free|free hanging|freely)',
			said
		)
	)
		return ['all round'];
	const spare = matched(
		String.raw`${N} (?:spare|extra) clusters|(?:plus )?${N} clusters (?:spare|extra|over)`,
		said
	);
	if (spare) return [`spare ${spare[1] ?? spare[2]} clusters`];
	const by = matched(
		'(?:use clusters,? )?(?:count(?:ed)?|work(?:ed)? out)(?: it)? by (?:the )?(clusters|foot|packing)',
		said
	);
	if (by) return [`counted by ${by[1] === 'foot' ? 'the foot' : by[1]}`];
	return undefined;
};

/** Small ones between the large: `filler 3 to 5 a foot, red 5s at 3`. */
const infill: Reading = (sentence, context) => {
	// “three infill 5s at 3 in pink per foot”.
	const said = sentence
		.replace(/^(\d+) (?:infill|filler)s? (.+)$/, 'infill $1 $2')
		// “pink 5s at 3, three a foot, in the gaps”.
		.replace(/^(.+?),? (?:in|into|between|to fill) (?:the )?gaps$/, 'infill $1');
	const verb = matched(
		'(?:infill|fillers?|fill(?: it)?(?: in)?|stuff(?: it)?|small ones|gap fillers?)(?: with| of|:)? (.+)',
		said
	);
	if (!verb) return undefined;
	const left = new Left(verb[1]!);
	const a = left.take(/,? ?\b(?:(a|per|every|each) foot|in (all))\b/);
	const n =
		left.take(re(String.raw`(?<!\S)${N} to ${N}(?=\s|$)`)) ?? left.take(re(String.raw`(?<!\S)${N}(?=\s|$)`));
	if (!a || !n) return undefined;
	const row = rowLine(`1 ${left.text.replace(/^[\s,]+|[\s,]+$/g, '')}`, context);
	if (!row) return undefined;
	return [
		`infill ${n[1]}${n[2] ? ` to ${n[2]}` : ''} ${a[2] ? 'in all' : 'a foot'} ${row.replace(/^1 /, '')}`
	];
};

/** A garland, a runner, an arch, a wall with its measures, and what is said of them. */
export const along: Reading = (said, context) =>
	garland(said, context) ??
	arch(said, context) ??
	wall(said, context) ??
	settings(said, context) ??
	infill(said, context);
