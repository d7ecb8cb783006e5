import { checked } from '../language/balloon.ts';
import type { Id } from '../document/id.ts';
import { colourDistance } from '../materials/colour-distance.ts';
import { ROUND_NOMINALS, type Colour, type Material, type MaterialKind } from '../materials/material.ts';
import { formatFeet, inches, toMillimetres, um, type Micrometres } from '../units/length.ts';
import type { Answers, Asked, AskedFields, Balloon } from './asked.ts';

/** The Stockroom, as fields read it. */
export interface Stock {
	readonly materials: readonly Material[];
	readonly colours: readonly Colour[];
}

/** Colours nearer than this are not put side by side unasked, CIEDE2000. House rule. */
const TELL_APART = 25;

const ROUNDS: readonly MaterialKind[] = ['latex-round'];
/** Bags of the Stockroom, smallest first; rounds where nothing else is asked. */
export function bagsIn({ materials }: Stock, kinds = ROUNDS): Micrometres[] {
	const bags = materials.flatMap((m) => (kinds.includes(m.kind) && m.nominal !== null ? [m.nominal] : []));
	return [...new Set(bags)].sort((a, b) => a - b);
}

/** How full a bag is where nobody has said: common practice, from memory. */
const USUAL_SHARE = 0.85;

/** Another bag filled as much as the one before, to a step. @param before null is filled as usual @param step half an inch where nothing is said */
export function inBag(nominal: Micrometres, before: Balloon | null, step = inches(0.5)): Balloon {
	const share = before ? before.size / before.nominal : USUAL_SHARE;
	return { nominal, size: um(Math.max(step, Math.round((nominal * share) / step) * step)) };
}

/** The balloon asked for, of the nearest bag there is. */
function stocked(balloon: Balloon, bags: readonly Micrometres[]): Balloon {
	const { nominal } = balloon;
	if (bags.length === 0 || bags.includes(nominal)) return balloon;
	return inBag(
		bags.reduce((a, b) => (Math.abs(b - nominal) < Math.abs(a - nominal) ? b : a)),
		balloon
	);
}

/** Bags to choose from: those in stock, those that are sold where there are none, and those in use. */
export function bagsToChoose(stock: Stock, used: readonly Micrometres[], kinds = ROUNDS): Micrometres[] {
	const own = bagsIn(stock, kinds);
	const all = own.length > 0 ? own : ROUND_NOMINALS.map(inches);
	return [...new Set([...all, ...used])].sort((a, b) => a - b);
}

/** Colours of the Stockroom that can be told apart, those with balloons first. */
function someColours({ materials, colours }: Stock, count: number): Id[] {
	const bought = new Map<Id, number>();
	for (const { kind, colour } of materials)
		if (kind === 'latex-round' && colour !== null) bought.set(colour, (bought.get(colour) ?? 0) + 1);
	const order = [...colours].sort((a, b) => (bought.get(b.id) ?? 0) - (bought.get(a.id) ?? 0));
	const taken: Colour[] = [];
	for (const far of [TELL_APART, 0])
		for (const colour of order)
			if (
				taken.length < count &&
				!taken.includes(colour) &&
				taken.every((t) => colourDistance(t.hex, colour.hex) >= far)
			)
				taken.push(colour);
	return taken.map((c) => c.id);
}

function startOf(field: Asked, stock: Stock): Answers[string] {
	switch (field.kind) {
		case 'balloon':
			return stocked(field.start, bagsIn(stock, field.of));
		case 'balloon or none':
			return field.start && stocked(field.start, bagsIn(stock));
		case 'colours':
			return someColours(stock, field.start);
		case 'thing': {
			// The only one there is; where there are several she says which.
			const [only, ...others] = stock.materials.filter((m) => m.kind === field.takes);
			return only && others.length === 0 ? only.id : null;
		}
		default:
			return field.start;
	}
}

/** What fields start with in this Stockroom: bags and colours that are there. */
export const firstAnswers = (fields: AskedFields, stock: Stock): Answers =>
	Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, startOf(field, stock)]));

function wrong(field: Asked, value: Answers[string]): string | undefined {
	switch (field.kind) {
		case 'length': {
			const said = value as Micrometres;
			if (said >= field.min && said <= field.max) return undefined;
			const [low, high] = [field.min, field.max].map((v) => formatFeet(toMillimetres(v)));
			return `That is between ${low} and ${high}.`;
		}
		case 'count': {
			const said = value as number;
			const fits = Number.isInteger(said) && said >= field.min && said <= field.max;
			return fits ? undefined : `A whole number from ${field.min} to ${field.max}.`;
		}
		case 'balloon':
		case 'balloon or none': {
			if (value === null) return undefined;
			const { nominal, size } = value as Balloon;
			const verdict = checked({ kind: 'value', um: size, unit: 'in', origin: 'typed' }, size, nominal);
			return verdict.ok ? undefined : verdict.say;
		}
		case 'colours':
			return (value as readonly Id[]).length <= field.most ? undefined : `Up to ${field.most} colours.`;
		case 'text':
			return (value as string).length <= field.most ? undefined : `Up to ${field.most} letters.`;
		default:
			return undefined;
	}
}

/** What a field will not do, by its name. */
export type AnswerErrors = Readonly<Record<string, string>>;

/** What is wrong with each answer, in words that say what will do; empty where all is well. */
export const answerErrors = (fields: AskedFields, answers: Answers): AnswerErrors =>
	Object.fromEntries(
		Object.entries(fields).flatMap(([name, field]) => {
			const say = wrong(field, answers[name]!);
			return say === undefined ? [] : [[name, say] as const];
		})
	);
