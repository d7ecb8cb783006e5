import { got, refuse, type Parsed } from '../../errors.ts';
import { MODEL_SIZE, tooLong, wholeLength } from './count.ts';
import { UNKNOWN_SIZE } from '../../sizing/size.ts';
import { MICROMETRES, um, type Micrometres } from '../../units/length.ts';
import { MODELS, type FormPiece, type Model } from './document.ts';
import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { FormSaid } from './said.ts';
import type { ColourRef } from '../../language/said.ts';
import { MEANT } from '../../language/context.ts';
import { sizeOf } from '../../language/balloon.ts';
import { saidColour } from '../../language/fill.ts';
import { hostOf, wholeCount } from '../../language/host.ts';
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
	'tie'
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
	const said = saidColour(r, [...SHAPED, 'in']);
	if (!said.ok) return said;
	const { words, colour } = said.value;
	// “1 360 red at 8 strokes” says the same as “1 360 at 8 strokes red”.
	const late = isWord(r.now, 'at') ? sizeOf(r, MODEL_SIZE[model].width) : size;
	if (!late.ok) return late;
	const unsold = unsoldIn(r, model, words, colour);
	if (unsold) return unsold;
	const bubbles = bubblesOf(r);
	if (!bubbles.ok) return bubbles;
	const tails = tailsOf(r);
	if (!tails.ok) return tails;
	const { name, uninflated, ...shaped } = tails.value;
	const flat = uninflated || (shaped.take.kind === 'scrap' && bubbles.value.length === 0);
	const lengths = flat ? [] : bubbles.value.length > 0 ? bubbles.value : [wholeLength(model)];
	const trouble =
		tooLong(model, lengths, shaped.grows * (count - 1)) ??
		(flat && bubbles.value.length > 0
			? 'A tie is left uninflated: leave its length out, or “tie”.'
			: undefined);
	if (trouble) return refuse('too-big', trouble);
	if (shaped.grows > 0 && lengths.length !== 1)
		return refuse('refused', 'Only pieces of one bubble grow from one to the next.');
	let at: Host | null = null;
	let section: Id | null = null;
	if (isWord(r.now, 'on')) {
		const host = hostOf(r, own.stand.by);
		if (!host.ok) return host;
		({ host: at, section } = host.value);
		if (own.stand.by !== null && section !== own.stand.by)
			return refuse(
				'refused',
				'Pieces of one form sit on one section. Say a form of its own for the others.'
			);
	}
	const piece = {
		...shaped,
		name: (name || words.join(' ')).slice(0, 80),
		model,
		colour,
		count,
		bubbles: lengths,
		size: late.value,
		at
	};
	return got({ kind: 'form piece', piece, section });
}

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

function bubblesOf(r: Reader): Parsed<Micrometres[]> {
	const bubbles: Micrometres[] = [];
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
		if (!r.mark('+')) break;
	}
	return got(bubbles);
}

type Tails = Pick<FormPiece, 'take' | 'shaping' | 'angle' | 'grows' | 'strands' | 'softened' | 'neckOff'> & {
	readonly name: string;
	readonly uninflated: boolean;
};

/** Everything said behind the lengths, in any order. */
function tailsOf(r: Reader): Parsed<Tails> {
	let tails: Tails = {
		take: { kind: 'whole' }, shaping: 'plain', angle: 0, grows: 0, strands: 1, softened: false, neckOff: false, name: '', uninflated: false
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
		else if (r.phrase('cut in')) {
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
			const name = r.words(...MEANT).join(' ');
			if (name === '') return refuse('missing', 'Name it after “as”, like “as leg”.');
			add({ name });
		} else return got(tails);
	}
}
