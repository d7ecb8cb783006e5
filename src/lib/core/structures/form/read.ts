import { got, refuse, type Parsed } from '../../errors.ts';
import { MODEL_SIZE, tooLong, wholeLength } from './count.ts';
import { UNKNOWN_SIZE } from '../../sizing/size.ts';
import { MICROMETRES, um, type Micrometres } from '../../units/length.ts';
import { carriesBelt, GOES_OVER, GOES_ROUND, MODELS, type FormPiece, type Model } from './document.ts';
import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { FormSaid } from './said.ts';
import type { Section } from '../../recipe/recipe.ts';
import type { ColourRef } from '../../language/said.ts';
import { MEANT } from '../../language/context.ts';
import { sizeOf } from '../../language/balloon.ts';
import { saidColour } from '../../language/fill.ts';
import { hostHere, hostOf, wholeCount } from '../../language/host.ts';
import type { Reader } from '../../language/reader.ts';
import { isWord } from '../../language/tokens.ts';

const SHAPED = [
	'wound',
	'trained',
	'bent',
	'growing',
	'together',
	'softened',
	'neck',
	'part',
	'cut',
	'scrap',
	'whole',
	'tie',
	'trimmed',
	'folded',
	'belt',
	'twined',
	'sleeve',
	'leaving',
	'to'
];

/**
 * A line of a form in hand: `6 260 black 7 + 6 as leg on row 3 round`, `8 260 pink 40 wound`, `5 260 brown 12 growing 9½ bent 180`,
 * `4 260 clear tie`, `2 160 gold 12 trained softened cut in 2`. Undefined where no form is in hand.
 */
export function formPiece(r: Reader): Parsed<FormSaid> | undefined {
	const own = r.context.sections?.find((s) => s.id === r.context.section);
	if (own?.structure.kind !== 'form' || r.now?.kind !== 'number') return undefined;
	// “2 moss mat” is a line of extras.
	if (r.next?.kind === 'word' && !isWord(r.next, 'x', 'of')) return undefined;
	const count = wholeCount(r);
	if (count === undefined) return refuse('not-whole', 'How many pieces? A whole number from 1 to 200.');
	r.word('x', 'of');
	const model = MODELS.find((m) => r.now?.kind === 'number' && r.now.text.trim() === m);
	if (!model)
		return refuse(
			'unknown-word',
			`Which modelling balloon? Type ${MODELS.join(', ')}, like “6 260 black 7 + 6”.`
		);
	r.at++;
	const size = isWord(r.now, 'at') ? sizeOf(r, MODEL_SIZE[model].width) : got(UNKNOWN_SIZE);
	if (!size.ok) return size;
	const first = saidColour(r, [...SHAPED, 'in']);
	if (!first.ok) return first;
	const { words, colour } = first.value;
	const more = furtherColours(r);
	if (!more.ok) return more;
	// “1 360 red at 8 strokes” says the same as “1 360 at 8 strokes red”.
	const late = isWord(r.now, 'at') ? sizeOf(r, MODEL_SIZE[model].width) : size;
	if (!late.ok) return late;
	const unsold = unsoldIn(r, model, words, colour);
	if (unsold) return unsold;
	const bubbles = bubblesOf(r);
	if (!bubbles.ok) return bubbles;
	const tails = tailsOf(r);
	if (!tails.ok) return tails;
	const hosts = hostsIn(r, own);
	if (!hosts.ok) return hosts;
	const { name, uninflated, leaves, ...shaped } = tails.value;
	const { each, lengths: said } = bubbles.value;
	const flat = uninflated || (shaped.take.kind === 'scrap' && said.length === 0);
	const given = said.length > 0 || leaves === 0 ? said : [um(MODEL_SIZE[model].length - leaves)];
	const fits =
		!flat && given.length === 0 && (GOES_ROUND.has(shaped.shaping) || hosts.value.to !== undefined);
	const lengths = flat || fits ? [] : given.length > 0 ? given : [wholeLength(model)];
	const trouble =
		tooLong({ model, bubbles: lengths, each, grows: shaped.grows, count }) ??
		(flat && given.length > 0 ? 'A tie is left uninflated: leave its length out, or “tie”.' : undefined);
	if (trouble) return refuse('too-big', trouble);
	const clash = clashIn({ ...shaped, each, lengths, ...hosts.value });
	if (clash) return refuse('refused', clash);
	const piece = {
		...shaped,
		name: (name || words.join(' ')).slice(0, 80),
		model,
		colour,
		...(more.value.length > 0 && { more: more.value }),
		count,
		bubbles: lengths,
		...(fits && { fits: true as const }),
		...(each && { each }),
		size: late.value,
		at: hosts.value.at,
		...(hosts.value.to && { to: hosts.value.to })
	};
	return got({ kind: 'form piece', piece, section: hosts.value.section });
}

/** Colours behind the first: balloon after balloon takes the next of them. */
function furtherColours(r: Reader): Parsed<ColourRef[]> {
	const more: ColourRef[] = [];
	while (r.mark('/')) {
		const next = saidColour(r, [...SHAPED, 'in']);
		if (!next.ok) return next;
		more.push(next.value.colour);
		if (more.length > 11) return refuse('too-big', 'At most 12 colours in turn.');
	}
	return got(more);
}

interface FormHosts {
	readonly at: Host | null;
	readonly to?: Host | undefined;
	/** Section it sits on, where it says one. */
	readonly section: Id | null;
	/** Its other end is in another section: how far that is follows from where both stand. */
}

/** What it is on, and what its other end is tied to. */
function hostsIn(r: Reader, own: Section): Parsed<FormHosts> {
	if (!isWord(r.now, 'on')) return got({ at: null, section: null });
	const first = hostOf(r, own.stand.by, ['to']);
	if (!first.ok) return first;
	const second = r.word('to') ? (r.word('on'), hostHere(r, first.value.section, ['to'])) : undefined;
	if (second && !second.ok) return second;
	const [here, there] = [first.value.section, second?.value.section ?? null].map((id) => (id === own.id ? null : id)); // prettier-ignore
	const section = here ?? there ?? null;
	if (own.stand.by !== null && section !== null && section !== own.stand.by)
		return refuse('refused', 'Pieces of one form sit on one section. Say a form of its own for the others.');
	const over = here !== null && there !== null && there !== undefined && here !== there;
	if (over && second && (second.value.host.on === 'path' || second.value.host.on === 'spot'))
		return refuse('refused', 'The other end is tied to a row, a balloon, a piece or a limb of the other section.');
	return got({ at: first.value.host, ...(second && { to: second.value.host }), section });
} // prettier-ignore

/** What cannot be meant together. */
function clashIn({ grows, each, lengths, shaping, at, to }: Pick<FormPiece, 'grows' | 'each' | 'shaping'> & FormHosts & { readonly lengths: readonly Micrometres[] }): string | undefined {
	if (grows > 0 && (lengths.length !== 1 || each)) return 'Only pieces of one bubble grow from one to the next.';
	if (shaping === 'belt' && !carriesBelt(at))
		return 'What does the belt go round? Say it like “belt on row 3 round”, or “belt on row 3 front” for half of it.';
	if (to && !GOES_OVER.has(shaping)) return 'What is tied at both ends goes straight over: leave its shape out.';
	return undefined;
} // prettier-ignore

/** A few letters that find a colour of which this model is not sold may have meant another thing: it is asked, not taken. */
function unsoldIn(r: Reader, model: Model, words: readonly string[], colour: ColourRef) {
	const { materials, colours } = r.context;
	const own = 'colour' in colour ? colours.find((c) => c.id === colour.colour) : undefined;
	if (!own || own.name.toLowerCase() === words.join(' ')) return undefined;
	const sold = materials.filter((m) => m.kind === 'modelling' && m.mark === model);
	if (sold.length === 0 || sold.some((m) => m.colour === own.id)) return undefined;
	const names = sold.flatMap((m) => colours.find((c) => c.id === m.colour)?.name ?? []).slice(0, 6);
	return refuse(
		'unknown-word',
		`“${words.join(' ')}” could be ${own.name}, and there is no ${model} of it in the Stockroom: there is ${names.join(', ')}. Type “${own.name}” in full to mean it all the same.`
	);
}

interface Lengths {
	readonly lengths: readonly Micrometres[];
	/** A series, one after the other. */
	readonly each?: readonly Micrometres[] | undefined;
}

/** `7 + 6` twisted in one, `8, 10, 12` one after the other, `24 6 bubbles` alike. */
function bubblesOf(r: Reader): Parsed<Lengths> {
	const bubbles: Micrometres[] = [];
	let series = false;
	while (r.now?.kind === 'number' && !isWord(r.next, 'together')) {
		const long = Math.round(
			r
				.number()!
				.mul(MICROMETRES[r.unit() ?? 'in'])
				.valueOf()
		);
		if (long < MICROMETRES.in / 2 || long > MICROMETRES.in * 60)
			return refuse('too-big', 'A bubble is between ½ and 60 in long.');
		bubbles.push(um(long));
		if (bubbles.length > 40) return refuse('too-big', 'A balloon is twisted into at most 40 bubbles.');
		if (bubbles.length === 1 && r.now?.kind === 'number' && isWord(r.next, 'bubbles', 'bubble')) return alike(r, long);
		const isNext = Boolean(r.mark(',') || r.word('then'));
		if (isNext && bubbles.length > 1 && !series) return refuse('refused', 'A series has pieces of one bubble each: “8, 10, 12”.');
		series ||= isNext;
		if (!isNext && (series || !r.mark('+'))) break;
	}
	return got(series ? { lengths: bubbles.slice(0, 1), each: bubbles } : { lengths: bubbles });
} // prettier-ignore

function alike(r: Reader, long: number): Parsed<Lengths> {
	const many = r.number()!.valueOf();
	r.word('bubbles', 'bubble');
	if (!Number.isInteger(many) || many < 1 || many > 40)
		return refuse('not-whole', 'Into how many bubbles? A whole number from 1 to 40.');
	return got({ lengths: Array.from({ length: many }, () => um(Math.round(long / many))) });
}

type Tails = Pick<FormPiece, 'take' | 'shaping' | 'angle' | 'grows' | 'strands' | 'softened' | 'neckOff'> & {
	readonly name: string;
	readonly uninflated: boolean;
	/** So much at its end is not filled; 0 is not said. */
	readonly leaves: Micrometres | 0;
};

/** Everything said behind the lengths, in any order. */
function tailsOf(r: Reader): Parsed<Tails> {
	let tails: Tails = {
		take: { kind: 'whole' }, shaping: 'plain', angle: 0, grows: 0, strands: 1, softened: false, neckOff: false, name: '', uninflated: false, leaves: 0
	}; // prettier-ignore
	const add = (more: Partial<Tails>) => (tails = { ...tails, ...more });
	for (;;) {
		if (r.word('wound')) add({ shaping: 'wound' });
		else if (r.word('trained')) add({ shaping: 'trained' });
		else if (r.word('softened')) add({ softened: true });
		else if (r.word('whole')) add({ take: { kind: 'whole' } });
		else if (r.word('scrap')) add({ take: { kind: 'scrap' } });
		else if (r.word('tie')) add({ uninflated: true });
		else if (r.phrase('neck cut')) add({ neckOff: true });
		else if (r.phrase('part used')) add({ take: { kind: 'part' } });
		else if (r.word('trimmed')) add({ take: { kind: 'trimmed' } });
		else if (r.word('folded')) add({ shaping: 'folded' });
		else if (r.word('belt')) add({ shaping: 'belt' });
		else if (r.word('sleeve')) add({ shaping: 'sleeve' });
		else if (r.word('twined')) {
			const turns = r.now?.kind === 'number' ? r.number()!.valueOf() : 2;
			r.word('times');
			if (!(turns >= 0.25 && turns <= 20))
				return refuse('too-big', 'How often does it go round? Between ¼ and 20 times, like “twined 3”.');
			add({ shaping: 'twined', angle: turns * 360 });
		} else if (r.word('leaving')) {
			const value = r.number();
			const leaves = value && Math.round(value.mul(MICROMETRES[r.unit() ?? 'in']).valueOf());
			if (!leaves || leaves < MICROMETRES.in / 2 || leaves > MICROMETRES.in * 48)
				return refuse('too-big', 'How much is left empty at its end? Between ½ and 48 in, like “leaving 4”.');
			add({ leaves: um(leaves) });
		} else if (r.phrase('cut in')) {
			const pieces = r.number()?.valueOf() ?? 0;
			if (!Number.isInteger(pieces) || pieces < 2 || pieces > 24)
				return refuse('not-whole', 'Cut in how many? A whole number from 2 to 24, like “cut in 3”.');
			add({ take: { kind: 'cut', pieces } });
		} else if (r.word('bent')) {
			const angle = r.number()?.valueOf() ?? 0;
			r.mark('°');
			if (!(angle > 0 && angle <= 360))
				return refuse('too-big', 'Bent over how far? Between 1 and 360 degrees, like “bent 180”.');
			add({ shaping: 'bent', angle });
		} else if (r.word('growing')) {
			const value = r.number();
			const grows = value && Math.round(value.mul(MICROMETRES[r.unit() ?? 'in']).valueOf());
			if (!grows || grows > MICROMETRES.in * 60)
				return refuse('too-big', 'How much longer is each? Type it like “growing 9½”.');
			add({ grows: um(grows) });
		} else if (r.now?.kind === 'number' && isWord(r.next, 'together')) {
			const strands = r.number()!.valueOf();
			r.word('together');
			if (!Number.isInteger(strands) || strands < 1 || strands > 6)
				return refuse('not-whole', 'Between 1 and 6 go together.');
			add({ strands });
		} else if (r.word('as')) {
			const name = r.name(...MEANT).join(' ');
			if (name === '') return refuse('missing', 'Name it after “as”, like “as leg”.');
			add({ name });
		} else return got(tails);
	}
}
