import { formatInches, parseLength, um } from '../units/length.ts';
import { MOST_TYPED, parseNumber, POINT, type NumberStyle } from '../units/number.ts';
import { printNumber } from '../units/print-number.ts';
import { rational } from '../units/rational.ts';
import { calibrate, sphereLitres, type PumpPair, type PumpProfile } from './strokes.ts';

const SAY = 'Type what you measured like “4 = 4½, 8 = 5⅝”: strokes, then the size they reached.';
/** Most pumps and pairs a studio keeps. */
const MOST = 20;
/** Two pairs of one pump that differ by more of the air are two pumps, or a slip. House rule. */
export const APART = 0.25;

/** `4 = 4½, 8 = 5⅝`; what is no eighth of an inch in millimetres. `readPumps` reads the same pairs back. */
export const printPairs = (pairs: readonly PumpPair[], style: NumberStyle = POINT): string =>
	pairs
		.map(({ strokes, diameter }) => {
			const size = um(Math.round(diameter * 1000));
			const inches = formatInches(size);
			const mm = () => `${printNumber(rational(size, 1000), style)} mm`;
			return `${printNumber(rational(strokes), style)} = ${size % 3175 === 0 ? inches : mm()}`;
		})
		.join(style.decimal === ',' ? '; ' : ', ');

/** Share by which the air of a stroke differs between the pairs of one pump. */
export function apart(pairs: readonly PumpPair[]): number {
	const each = pairs.map((p) => sphereLitres(p.diameter) / p.strokes);
	return each.length < 2 ? 0 : Math.max(...each) / Math.min(...each) - 1;
}

/** How well the pairs of a pump agree, in words. */
export function fitWords(pairs: readonly PumpPair[]): string {
	const { k, residual } = calibrate(pairs);
	return `A stroke is ${Math.round(k * 1000)} mL; the measurements differ from it by ${Math.round(residual * 1000)} mL on average.`;
}

function readPairs(text: string, style: NumberStyle): PumpPair[] | string {
	if (text.length > MOST_TYPED) return SAY;
	const pairs: PumpPair[] = [];
	// Where the comma is the decimal mark, one that parts pairs has a space behind it.
	for (const part of text.split(style.decimal === ',' ? /;|,(?=\s[^=]*=)/ : /[;,](?=[^=]*=)/)) {
		const [left, right, ...rest] = part.split('=');
		const strokes = parseNumber(left ?? '', style);
		const size = parseLength(right ?? '', 'in', style);
		if (!strokes.ok || !size.ok || rest.length > 0) return SAY;
		if (strokes.value.compare(0) <= 0 || strokes.value.compare(500) > 0)
			return 'Strokes are more than 0 and at most 500.';
		if (size.value.um === 0) return 'A size is more than 0.';
		pairs.push({ strokes: strokes.value.valueOf(), diameter: size.value.um / 1000 });
	}
	if (pairs.length > MOST) return `At most ${MOST} measurements of one pump.`;
	if (apart(pairs) > APART)
		return `These contradict each other: a stroke holds ${Math.round(apart(pairs) * 100)} % more air in one than in another. Measure again, or make two pumps of it.`;
	return pairs;
}

/**
 * Reads the pumps of the settings form: `pump-0` its name, `pairs-0` what was measured, and so on. A pump without a
 * name goes; the others keep their ids, so that designs go on counting with them.
 */
export function readPumps(
	typed: Readonly<Record<string, string>>,
	had: readonly PumpProfile[],
	style: NumberStyle
): { readonly pumps: readonly PumpProfile[]; readonly errors: Readonly<Record<string, string>> } {
	// A form that says nothing of pumps leaves them as they are.
	if (typed['pump-0'] === undefined) return { pumps: had, errors: {} };
	const pumps: PumpProfile[] = [];
	const errors: Record<string, string> = {};
	for (let i = 0; i <= MOST && typed[`pump-${i}`] !== undefined; i++) {
		const name = typed[`pump-${i}`]!.trim();
		const text = (typed[`pairs-${i}`] ?? '').trim();
		if (name === '') {
			if (text !== '') errors[`pump-${i}`] = 'Which pump is that? Give it a name.';
			continue;
		}
		if (name.length > 60) errors[`pump-${i}`] = 'A name has at most 60 letters.';
		if (pumps.some((p) => p.name.toLowerCase() === name.toLowerCase()))
			errors[`pump-${i}`] = 'There is a pump of that name already.';
		const pairs = text === '' ? [] : readPairs(text, style);
		if (typeof pairs === 'string') errors[`pairs-${i}`] = pairs;
		else pumps.push({ id: had[i]?.id ?? freeId(name, [...had, ...pumps]), name, pairs });
	}
	return { pumps, errors };
}

function freeId(name: string, taken: readonly PumpProfile[]): string {
	const plain = name.toLowerCase().replace(/[^a-z0-9]+/g, '-').slice(0, 40) || 'pump'; // prettier-ignore
	let id = plain;
	for (let n = 2; taken.some((p) => p.id === id); n++) id = `${plain}-${n}`;
	return id;
}
