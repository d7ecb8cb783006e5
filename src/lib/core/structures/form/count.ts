import { ONE_THING } from '../kit/one-thing.ts';
import { nesting, type Nesting } from '../../geometry/bands.ts';
import { modellingLitres } from '../../gas/volume.ts';
import { plainTask, type Task, type TaskCount } from '../../labour/task.ts';
import type { Id } from '../../document/id.ts';
import type { Colourway } from '../../document/slot.ts';
import type { Form, FormPiece, Model, Shaping } from './document.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import { printSize, sizeKey } from '../../sizing/size.ts';
import { calibrate, type PumpProfile } from '../../sizing/strokes.ts';
import { formatInches, formatQuarters, inches, um, type Micrometres } from '../../units/length.ts';
import { rational, ZERO, type Rational } from '../../units/rational.ts';
import type { Need } from '../kit/need.ts';
import { partNeed } from '../kit/part-need.ts';
import type { CountFacet } from '../facets/count.ts';

/** Width and length when full, as the bag says. Common practice: the first figure is inches across, the rest long. */
export const MODEL_SIZE: Readonly<
	Record<Model, { readonly width: Micrometres; readonly length: Micrometres }>
> = {
	'160': { width: inches(1), length: inches(60) },
	'260': { width: inches(2), length: inches(60) },
	'350': { width: inches(3), length: inches(50) },
	'360': { width: inches(3), length: inches(60) }
};

/** Every twist and the knot take so much of the tail. Common practice. */
export const TWIST_TAKES = inches(1);

/** Whether it is inflated: a tie is not, and what covers a stick is drawn over it as it is. */
export const isBlown = ({ bubbles, shaping }: Pick<FormPiece, 'bubbles' | 'shaping'>): boolean =>
	bubbles.length > 0 && shaping !== 'sleeve';

/** Inflated width, mm: strokes fill more of its length, not more of its width. */
export const widthOf = ({ model, size }: Pick<FormPiece, 'model' | 'size'>): number =>
	size.kind === 'unknown' || size.kind === 'strokes'
		? MODEL_SIZE[model].width / 1000
		: resolveSize(size, MODEL_SIZE[model].width).assumed;

/** One bubble filled to the last inch, as a limb is until its lengths are said. */
export const wholeLength = (model: Model): Micrometres => um(MODEL_SIZE[model].length - TWIST_TAKES);
export const isWhole = ({ model, bubbles }: Pick<FormPiece, 'model' | 'bubbles'>): boolean =>
	bubbles.length === 1 && bubbles[0] === wholeLength(model);

/** Said in strokes of a pump that nobody measured: how long it gets is not known. */
export const isLengthUnknown = (piece: FormPiece): boolean =>
	piece.size.kind === 'strokes' && piece.size.reaches === undefined && isWhole(piece);

/** Inflated length of one of the pieces, mm: each of a set that grows is longer than the one before; a series says each. */
export const lengthOf = ({ bubbles, grows, each }: FormPiece, index = 0): number =>
	bubbles.length === 0
		? 0
		: each
			? each[index % each.length]! / 1000
			: bubbles.reduce((a, b) => a + b, 0) / 1000 + (index * grows) / 1000;

/** The longest of them, mm. */
const longest = (piece: FormPiece): number =>
	Math.max(...Array.from({ length: piece.count }, (_, i) => lengthOf(piece, i)));

/** All its colours, in turn. */
export const slotsOf = ({ slot, more = [] }: FormPiece): readonly Id[] => [slot, ...more];

/** The colour of a balloon: of which of the pieces, and which strand of it. */
export const slotAt = (piece: FormPiece, index: number, strand: number): Id => {
	const slots = slotsOf(piece);
	return slots[(index * piece.strands + (piece.strands > 1 ? strand : 0)) % slots.length]!;
};

/** Balloons end to end in one strand of what fits: as many as its way takes. */
export const inARow = (piece: FormPiece): number =>
	piece.fits && piece.bubbles.length === 1
		? Math.max(1, Math.ceil((longest(piece) * 1000) / wholeLength(piece.model)))
		: 1;

/** Why the longest of them does not go into a balloon; every twist takes some of its tail. */
export function tooLong({ model, bubbles, each, grows, count }: Pick<FormPiece, 'model' | 'bubbles' | 'each' | 'grows' | 'count'>): string | undefined {
	const own = each ? [Math.max(...each)] : bubbles;
	const long = own.reduce((a, b) => a + b, 0) + grows * (count - 1);
	const most = MODEL_SIZE[model].length;
	if (long + own.length * TWIST_TAKES <= most || own.length === 0) return undefined;
	return `A ${model} is ${formatInches(most)} in long when full, and each twist takes an inch: ${formatInches(um(long))} in do not go into it. Make it shorter.`;
} // prettier-ignore

/** Its lengths as they are typed; blank where it is as long as its way. */
export const lengthsText = ({ fits, each, bubbles }: FormPiece): string =>
	fits ? '' : each ? each.map(formatInches).join(', ') : bubbles.map(formatInches).join(' + ');

/** How often it goes round, to a hundredth. */
export const turnsOf = ({ angle }: Pick<FormPiece, 'angle'>): number => Math.round((angle / 360) * 100) / 100;

/** `25 strokes of hand pump`, for every pump that was measured; what was said of a pump is what is printed for it. */
export const strokeWords = (piece: FormPiece, pumps: readonly PumpProfile[]): string[] =>
	pumps.flatMap((pump) => {
		const { size } = piece;
		if (size.kind === 'strokes' && size.pump === pump.id) return [`${printSize(size)} of ${pump.name}`];
		const strokes = strokesOf(piece, pump);
		return strokes === undefined ? [] : [`${Math.max(1, Math.round(strokes))} strokes of ${pump.name}`];
	});

/**
 * Strokes of a calibrated pump that fill one piece: its air, twice where it is wound, shared by nothing.
 * @returns undefined for what is not inflated, and for a pump without a measured pair
 */
export function strokesOf(piece: FormPiece, pump: PumpProfile): number | undefined {
	if (!isBlown(piece) || pump.pairs.length === 0) return undefined;
	return (litresOf(piece) / calibrate(pump.pairs).k) * (piece.shaping === 'wound' ? 2 : 1);
}

/** Litres of one piece, filled once: every bubble a tube with round ends. */
export function litresOf(piece: FormPiece): number {
	const width = widthOf(piece);
	return piece.bubbles.reduce((a, b) => a + modellingLitres(Math.max(width, b / 1000), width), 0);
}

/**
 * Left-over ends: what pieces that use a part leave, less those that scraps are made of. Below 0 whole ones are opened.
 * Where no piece leaves any, scraps come from another job: 0.
 */
export const leftOvers = ({ pieces }: Form): number =>
	!pieces.some((p) => p.take.kind === 'part')
		? 0
		: pieces.reduce(
				(a, p) => a + (p.take.kind === 'part' ? each(p) : p.take.kind === 'scrap' ? -each(p) : 0),
				0
			);

const each = (piece: FormPiece): number => piece.count * piece.strands * inARow(piece);

/** Balloons a piece takes, whole ones where it is cut from them. */
function balloonsFor(piece: FormPiece): Rational {
	if (piece.take.kind === 'scrap') return ZERO;
	return piece.take.kind === 'cut' ? rational(each(piece), piece.take.pieces) : rational(each(piece));
}

/** A set of bands: whether it lies flat, from the inside out. Undefined for what is no set. */
export function nestingOf(piece: FormPiece): Nesting | undefined {
	if (piece.shaping !== 'bent' || piece.count < 2 || piece.bubbles.length === 0 || !(piece.angle > 0))
		return undefined;
	const width = widthOf(piece);
	const bands = Array.from({ length: piece.count }, (_, i) => ({ length: lengthOf(piece, i), width }));
	return nesting(bands, (piece.angle * Math.PI) / 180);
}

/** `10 + 8 in`, `2 in wide`; as they are read at the bench. */
export function bubbleWords(piece: FormPiece): string {
	const { bubbles, size, grows, each: series } = piece;
	if (bubbles.length === 0) return 'not inflated';
	if (!isBlown(piece)) return `not inflated, over ${formatQuarters(lengthOf(piece))} in`;
	if (isLengthUnknown(piece)) return `${printSize(size)}, length not known: measure the pump`;
	const lengths = (series ?? bubbles)
		.map((b) => (b % 3175 === 0 ? formatInches(b) : formatQuarters(b / 1000)))
		.join(series ? ', ' : ' + ');
	const wide = size.kind === 'value' ? `, ${formatInches(size.um)} wide` : '';
	const said = size.kind === 'strokes' ? `${printSize(size)}, about ` : '';
	return `${said}${lengths} in${grows > 0 ? `, each ${formatInches(um(grows))} longer` : ''}${wide}`;
}

function needs(form: Form, colourway: Colourway | undefined): Need[] {
	const found: Need[] = [];
	const short = Math.max(0, -leftOvers(form));
	let opened = short;
	for (const piece of form.pieces) {
		const more = piece.take.kind === 'scrap' ? Math.min(opened, each(piece)) : 0;
		opened -= more;
		const quantity = balloonsFor(piece).add(more);
		found.push(...partNeed('limb', piece.count));
		if (quantity.equals(0)) continue;
		for (const [slot, share] of sharesOf(piece))
			found.push({
				what: 'balloon',
				kind: 'modelling',
				nominal: MODEL_SIZE[piece.model].width,
				slot,
				colour: colourway?.fills[slot] ?? null,
				material: null,
				mark: piece.model,
				size: piece.size,
				method: piece.size.kind === 'strokes' ? 'strokes' : 'eye',
				...(isBlown(piece) ? {} : { tie: true as const }),
				look: `${bubbleWords(piece)}${piece.shaping === 'wound' ? ', wound, filled twice' : ''}`,
				quantity: quantity.mul(share)
			});
	}
	return found;
}

/** Which part of its balloons is of each colour. */
export function sharesOf(piece: FormPiece): Map<Id, Rational> {
	const counts = new Map<Id, number>();
	for (let i = 0; i < piece.count; i++)
		for (let k = 0; k < piece.strands; k++) {
			const slot = slotAt(piece, i, k);
			counts.set(slot, (counts.get(slot) ?? 0) + 1);
		}
	return new Map([...counts].map(([slot, n]) => [slot, rational(n, piece.count * piece.strands)]));
}

/** Nothing is done to these but fixing them. */
const UNSHAPED: ReadonlySet<Shaping> = new Set<Shaping>(['plain', 'belt', 'sleeve']);

/** The work of one kind of piece, in the order it is done. */
export function pieceTasks(piece: FormPiece): TaskCount[] {
	const found: TaskCount[] = [];
	const push = (task: Task, count: number, ...batches: string[]) => {
		if (count > 0) found.push(plainTask(task, count, ...batches));
	};
	const { count, strands, bubbles, shaping } = piece;
	const all = each(piece);
	if (isBlown(piece)) {
		push('inflate modelling', all * (shaping === 'wound' ? 2 : 1), `${piece.model}/${sizeKey(piece.size)}`);
		push('tie', all);
		push('twist', count * (strands * (bubbles.length - 1) + strands - 1) + all - count * strands);
	}
	push('shape', (UNSHAPED.has(shaping) ? 0 : all) + (piece.softened ? all : 0));
	push(
		'cut',
		(piece.take.kind === 'cut' || piece.take.kind === 'trimmed' ? all : 0) + (piece.neckOff ? all : 0)
	);
	// A band from part to part is tied at both ends.
	if (piece.at !== null) push('fix', count * (piece.to ? 2 : 1));
	return found;
}

function tasks({ pieces }: Form): TaskCount[] {
	if (pieces.length === 0) return [];
	return pieces.flatMap(pieceTasks);
}

/** Limbs, bands, curls, bows. */
export const count: CountFacet<Form> = {
	sold: 'other',
	soldBy: () => 0,
	balloons: ({ pieces }) => pieces.reduce((a, p) => a + Math.ceil(balloonsFor(p).valueOf()), 0),
	...ONE_THING,
	needs,
	tasks,
	site: ({ pieces }) => (pieces.length > 0 ? { how: 'on a table', mm: 600 } : null)
};
