import type { EntryContext } from '../context.ts';
import { coloursIn } from './colours.ts';
import { matched, N, type Reading, re } from './reading.ts';
import { Left } from './wording.ts';

const FRACTIONS: readonly (readonly [RegExp, string])[] = [
	[/\b(?:2|two) thirds(?: of)?\b/g, '67 %'],
	[/\b(?:a|1|one) third(?: of)?\b/g, '33 %'],
	[/\b(?:3|three) quarters(?: of)?\b/g, '75 %'],
	[/\b(?:a|1|one) quarter(?: of)?\b/g, '25 %'],
	[/\b(?:a |1 )?half(?: of)?\b/g, '50 %']
];
const PARTS: readonly (readonly [RegExp, string])[] = [
	[/\b(?:2 thirds|two thirds)\b/g, '2'],
	[/\b(?:1 third|one third|a third)\b/g, '1'],
	[/\b(?:1 half|half)\b/g, '1']
];

interface Part {
	readonly bag: string;
	readonly size: string | undefined;
	readonly rest: string;
}
function partOf(text: string): Part | undefined {
	const left = new Left(text);
	const size = left.take(re(String.raw`\b(?:sized(?: to)?|inflated(?: to)?|at) ${N}(?: ?″)?`))?.[1];
	const bag = left.take(/(?<!\S)(\d+)(?: ?§| ?″)?(?=\s|,|$)/)?.[1];
	return bag ? { bag, size, rest: left.text.replace(/^[\s,]+|[\s,]+$/g, '') } : undefined;
}

/** Colours with their parts: `2 white and 1 blue`. */
function coloured(text: string, context: EntryContext): string | undefined {
	let rest = text;
	for (const [words, part] of PARTS) rest = rest.replace(words, part);
	const parts = [...rest.matchAll(/(?:(\d+) )?([a-z]+(?: [a-z]+)*)/g)].flatMap(([, n, words]) => {
		const colours = coloursIn(words!, context);
		return colours ? colours.map((c) => (n ? `${n} ${c}` : c)) : [undefined];
	});
	return parts.length === 0 || parts.includes(undefined) ? undefined : parts.join(' / ');
}

const line = (share: string, { bag, size }: Part, colours: string) =>
	`${share} % ${bag}${size ? ` at ${size}` : ''} of ${colours}`;

/** Sizes of a mix with their shares; colours said once at the end are those of all. */
export const mix: Reading = (said, context) => {
	const even = matched(String.raw`(?:an? )?(?:even )?(?:mix|mixture|blend) (?:of )?(.+) and (.+?) (?:in|of) ([a-z ,/]+)|half and half,? (.+) and (.+?) (?:in|of) ([a-z ,/]+)`, said); // prettier-ignore
	if (even) {
		const [a, b] = [partOf(even[1] ?? even[4]!), partOf(even[2] ?? even[5]!)];
		const own = coloured(even[3] ?? even[6]!, context);
		if (a && b && own && a.rest === '' && b.rest === '') return [line('50', a, own), line('50', b, own)];
	}
	const ratio = matched(
		String.raw`(\d+) parts? (?:of )?(.+?)(?:,| and| to) (\d+|an?) parts? (?:of )?(.+)`,
		said
	);
	const [p, q] = [Number(ratio?.[1]), /^an?$/.test(ratio?.[3] ?? '') ? 1 : Number(ratio?.[3])];
	const whole = Math.round((100 * p) / (p + q));
	let text = (ratio && p > 0 && q > 0 ? `${whole} % ${ratio[2]}, ${100 - whole} % ${ratio[4]}` : said)
		.replace(
			/^(?:about |roughly )?(?:half and half|half half|fifty fifty|50 50),? (.+?),? and (.+)$/,
			'50 % $1, 50 % $2'
		)
		.replace(/^(?:an? )?(?:mix|mixture|blend)(?: of|:)? /, '');
	// Of colours “two thirds” says their parts, before a size its share.
	for (const [words, share] of FRACTIONS)
		text = text.replace(words, (all, at: number) => (/^\s*(?:the )?\d+ ?[§″]|^\s*of\b/.test(text.slice(at + all.length)) || at === 0 ? share : all)); // prettier-ignore
	// “the rest” is what is wanting of a whole.
	const sharesSaid = [...text.matchAll(/(\d+(?:\.\d+)?) ?%/g)].reduce((sum, [, n]) => sum + Number(n), 0);
	text = text.replace(/\b(?:the )?(?:rest|remainder)(?: of it)?(?: is| are| in)?\b/, `${100 - sharesSaid} %`);
	const shares = [
		...text.matchAll(/(\d+(?:\.\d+)?) ?%(?: of)?(?: the)? (.+?)(?=,? (?:and )?\d+(?:\.\d+)? ?%|$)/g)
	];
	if (shares.length === 0 || shares[0]!.index !== 0) return undefined;
	const parts = shares.map(([, share, what]) => ({
		share: share!,
		part: partOf(what!.replace(/(?:,|,? and)$/, ''))
	}));
	const last = parts.at(-1)?.part?.rest;
	const lines = parts.map(({ share, part }) => {
		const own = part && coloured(part.rest === '' ? (last ?? '') : part.rest, context);
		return part && own ? line(share, part, own) : undefined;
	});
	return lines.includes(undefined) ? undefined : (lines as string[]);
};
