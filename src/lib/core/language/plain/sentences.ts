import type { EntryContext } from '../context.ts';
import { materialCalled } from '../names/find-material.ts';
import { coloursIn } from './colours.ts';
import { rowLine } from './row.ts';
import { Left } from './wording.ts';

/** Lines of the exact grammar that say what a sentence says; undefined where it is none of these. */
export type Reading = (said: string, context: EntryContext) => readonly string[] | undefined;

const N = String.raw`(\d+(?:\.\d+)?)`;
const matched = (pattern: string, said: string) => new RegExp(`^${pattern}$`).exec(said);

const STANDS = '(?:stand it |it goes |it stands |put it )?';
/** `on an 8 ft pole`, `without a pole`. */
const pole: Reading = (said) => {
	const kind = '(pole|stick|mast)';
	const tall = matched(
		String.raw`${STANDS}(?:on |with )?(?:an? |the )?${N} ft(?: tall| long)? ${kind}`,
		said
	);
	if (tall) return [`${tall[2]} ${tall[1]} ft`];
	const of = matched(
		String.raw`${STANDS}(?:on |with )?(?:an? |the )?${kind}(?: of)? ${N} ft(?: tall| long)?`,
		said
	);
	if (of) return [`${of[1]} ${of[2]} ft`];
	return matched(`(?:it needs )?(?:no|without(?: an?)?) ${kind}`, said) ? ['no pole'] : undefined;
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
	const two = matched('(?:swap|exchange) (?:the )?([a-z ]+) (?:for|and|with) (?:the )?([a-z ]+)', said);
	return two && slot(two[1]) && slot(two[2]) ? [`swap ${two[1]} and ${two[2]}`] : undefined;
};

const FIXED: Readonly<Record<string, string>> = { glue: 'glue', glued: 'glue', stick: 'strip', stuck: 'strip', tie: 'tie', tied: 'tie', tuck: 'tucked', tucked: 'tucked' }; // prettier-ignore

/** `glue two red fives at 4 on the front of row 2`. */
const piece: Reading = (said, context) => {
	const left = new Left(said);
	const verb = left.take(/\b(?:put|fix|add|glued?|stick|stuck|tied?|tuck(?:ed)?)\b/);
	const at = left.take(
		/\b(?:on|onto|to|round|around)(?: the)?(?: (front|back|left|right)(?: side)?(?: of)?)?(?: the)? ?(row \d+|top row)(?:,? (?:at |on )?(?:the )?(front|back|left|right|round)\b)?/
	);
	if (!at) return undefined;
	const round = /^\s*(?:round|around)\b/.test(at[0]) ? 'round' : undefined;
	const side = at[1] ?? at[3] ?? round ?? left.take(/\bat the (front|back|left|right)\b/)?.[1];
	const fixing =
		left.take(/,? ?\bwith (glue|strip|a strip|tie|dash)\b/)?.[1]?.replace('a ', '') ??
		FIXED[verb?.[0].trim() ?? ''];
	const name = left.take(/\bas ([a-z]+)\b/)?.[1];
	const what = rowLine(left.text.replace(/[\s,]+$/, ' ').trim(), context);
	if (!what) return undefined;
	return [
		`put ${what}${name ? ` as ${name}` : ''} on ${at[2]}${side ? ` ${side}` : ''}${fixing ? ` with ${fixing}` : ''}`
	];
};

/** Balloons and foils on ribbon, words of foils, weights. */
const floats: Reading = (said, context) => {
	const word = matched(
		String.raw`(?:spell |write |(?:the )?(?:word|letters) )([a-z0-9&!?]+) (?:in|of) ([a-z ]+?)(?: ${N}″ letters)?`,
		said
	);
	if (word) return [`letters ${word[1]}${word[3] ? ` at ${word[3]}` : ''} of ${word[2]}`];
	const weight = matched(
		'weight:? (.+)|(?:an? )?(.+) as (?:a |the )?weight|hold (?:it|them) down with (.+)',
		said
	);
	if (weight) return [`weight ${(weight[1] ?? weight[2] ?? weight[3])!.replace(/^an? /, '')}`];
	if (/^without a weight$/.test(said)) return ['no weight'];
	const left = new Left(said);
	const gas = left.take(/,? ?\b(?:(?:in|with|of) |filled with )?(helium|air)(?:[- ]filled)?\b/)?.[1];
	const ribbon = left.take(
		new RegExp(String.raw`,? ?(?:\bon )?(?:an? )?${N} ft(?: of)? ribbon(?: in)?(?: ([a-z]+))?`)
	);
	if (!gas && !ribbon) return undefined;
	const rest = left.text.trim();
	const foil = matched(String.raw`(?:(\d+|an?) )?([a-z ]*?)(?: ?foils?)(?: ([a-z ]+?)s?)?`, rest);
	const count = foil?.[1] && /\d/.test(foil[1]) ? foil[1] : '1';
	const what = foil ? `${count} ${(foil[2] || foil[3])?.replace(/s$/, '')} foil` : rowLine(rest, context);
	if (!what) return undefined;
	const on = ribbon ? ` on ${ribbon[1]} ft ribbon${ribbon[2] ? ` ${ribbon[2]}` : ''}` : '';
	return [`${what}${gas ? ` in ${gas}` : ''}${on}`];
};

/** A garland, a runner, an arch, a wall with its measures. */
const along: Reading = (said, context) => {
	const line = matched(
		String.raw`(?:an? )?(?:${N} ft )?(table runner|runner|garland)(?:,?(?: of)? ${N} ft)?(?: long)?( along the wall| on the wall| against the wall| along a wall)?`,
		said
	);
	const long = line && (line[1] ?? line[3]);
	if (line && long) {
		const runner = line[2] !== 'garland';
		return [
			`run ${runner ? 'runner' : 'garland'}`,
			`line ${long} ft`,
			...(runner ? ['on a table'] : line[4] ? ['against a wall'] : [])
		];
	}
	const table = matched(String.raw`(?:an? )?(?:table )?runner for an? ${N} ft table`, said);
	if (table) return ['run runner', `line ${table[1]} ft`, 'on a table'];
	if (/\barch\b/.test(said)) {
		const left = new Left(said.replace(/\b(?:an?|the|arch|and|of|with)\b|,/g, ' '));
		const by = left.take(new RegExp(String.raw`${N}(?: ft)? by ${N}(?: ft)?`));
		const wide = by?.[1] ?? left.take(new RegExp(String.raw`${N} ft wide`))?.[1];
		const high = by?.[2] ?? left.take(new RegExp(String.raw`${N} ft (?:high|tall)`))?.[1];
		if (wide && high && left.text.trim() === '') return ['run arch', `arch ${wide} ft by ${high} ft`];
	}
	const wall = matched(String.raw`(?:an? )?wall of ${N} rows of ${N} links(?: at ${N})? ([a-z ]+)`, said);
	if (wall && coloursIn(wall[4]!, context))
		return [
			'weave wall',
			`wall of ${wall[2]} links${wall[3] ? ` at ${wall[3]}` : ''}`,
			`${wall[1]} rows ${wall[2]} ${wall[4]}`
		];
	const to = matched(String.raw`(?:make it |it is )?${N} ft long`, said);
	if (to) return [`line ${to[1]} ft`];
	const hooks = matched(
		String.raw`(?:hang (?:it |them )?|hung |it hangs )?(?:on|from) (hooks|pins|fishing line|a stand|a backdrop)(?: every ${N} ft)?`,
		said
	);
	if (hooks) return [`hung on ${hooks[1]!.replace('a ', '')}${hooks[2] ? ` every ${hooks[2]} ft` : ''}`];
	if (/^(?:fuller|fatter|wider) in the middle$/.test(said)) return ['thicker in the middle'];
	return matched('(?:it hangs |hang it |it is )?against (?:a|the) wall', said)
		? ['against a wall']
		: undefined;
};

const PARTS: readonly (readonly [RegExp, string])[] = [
	[/\b(?:2 thirds|two thirds)\b/g, '2'],
	[/\b(?:1 third|one third|a third)\b/g, '1'],
	[/\b(?:1 half|half)\b/g, '1']
];

/** `60 percent white 5s at 4`, `half fives, half elevens in white`. */
const mix: Reading = (said, context) => {
	const halves = matched(
		String.raw`half (?:the )?(\d+)§(?: at ${N})?,? (?:and )?half (?:the )?(\d+)§(?: at ${N})?(?: in| of)? ([a-z ,/]+)`,
		said
	);
	if (halves) {
		const [, a, atA, b, atB, colours] = halves;
		const own = coloursIn(colours!, context)?.join(' / ');
		if (own) return [[a, atA], [b, atB]].map(([bag, at]) => `50 % ${bag}${at ? ` at ${at}` : ''} of ${own}`); // prettier-ignore
	}
	const share = matched(
		String.raw`${N} ?%(?: of)? (.+)`,
		said
			.replace(/^(?:a|1) third(?: of)?/, '33 %')
			.replace(/^(?:a |1 )?half(?: of)?/, '50 %')
			.replace(/^(?:a|1) quarter(?: of)?/, '25 %')
	);
	if (!share) return undefined;
	const left = new Left(share[2]!);
	const size = left.take(new RegExp(String.raw`\b(?:sized(?: to)?|inflated(?: to)?|at) ${N}(?:″)?`))?.[1];
	const bag = left.take(/(?<!\S)(\d+)(?:§|″)?(?=\s|,|$)/)?.[1];
	let rest = left.text;
	for (const [words, part] of PARTS) rest = rest.replace(words, part);
	const parts = [...rest.matchAll(/(?:(\d+) )?([a-z]+(?: [a-z]+)*)/g)].flatMap(([, n, words]) => {
		const colours = coloursIn(words!, context);
		return colours ? colours.map((c) => (n ? `${n} ${c}` : c)) : [undefined];
	});
	if (!bag || parts.length === 0 || parts.includes(undefined)) return undefined;
	return [`${share[1]} % ${bag}${size ? ` at ${size}` : ''} of ${parts.join(' / ')}`];
};

/** Things of the Stockroom, as many as are said. */
const things: Reading = (said, context) => {
	let rest = said;
	let role = '';
	const roles: readonly (readonly [RegExp, string])[] = [
		[/^(?:maybe|perhaps|optionally|optional:?) /, ' optional'],
		[/,? optional(?:ly)?$/, ' optional'],
		[/,? taken along$/, ' taken along'],
		[/^bring (.+) along$/, ' taken along'],
		[/^(?:take|bring) along (.+)$/, ' taken along']
	];
	for (const [words, name] of roles) {
		if (!words.test(rest)) continue;
		rest = rest.replace(words, (_, own?: string | number) => (typeof own === 'string' ? own : ''));
		role = name;
		break;
	}
	rest = rest.replace(/^an? (.+) or 2$/, '1 to 2 $1').replace(/^(\d+) of the /, '$1 ');
	const parts = rest.split(' or ').map((part) => {
		const found = matched(
			String.raw`(?:(\d+(?:\.\d+)?(?: to \d+(?:\.\d+)?)?|an?) )?(?:(?:sets?|pairs?) of )?([a-z][a-z0-9 ,'-]*)`,
			part.trim()
		);
		const name = found && nameOf(found[2]!, context);
		return name ? `${found[1] && /\d/.test(found[1]) ? found[1] : '1'} ${name}` : undefined;
	});
	return parts.includes(undefined) ? undefined : [`${parts.join(' or ')}${role}`];
};

/** What a thing is called in the Stockroom: as said, or of several one. */
function nameOf(said: string, { materials }: EntryContext): string | undefined {
	return [said, said.replace(/s$/, ''), said.replace(/es$/, '')].find(
		(name) => materialCalled(name, materials) !== undefined
	);
}

/** In the order in which they are asked. */
export const READINGS: readonly Reading[] = [pole, slots, piece, mix, floats, along, things];
