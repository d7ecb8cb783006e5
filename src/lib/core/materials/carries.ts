import { formatFeet, parseLength, type Millimetres } from '../units/length.ts';
import type { Material } from './material.ts';

/** A length in the name of a thing: “stand with 8 ft pole”. */
const IN_NAME = /(\d+(?:[.,]\d+)?\s*[¼½¾⅛⅜⅝⅞]?)\s*(ft|feet|foot|in|inch|cm|m)\b/i;

/** How long a pole, a stick or the pole of a stand is, mm: by its size, else by what its name says; undefined where nothing says it. */
export function carriedBy({ nominal, name }: Pick<Material, 'nominal' | 'name'>): number | undefined {
	if (nominal !== null) return nominal / 1000;
	const [, amount, unit] = IN_NAME.exec(name) ?? [];
	if (amount === undefined || unit === undefined) return undefined;
	const parsed = parseLength(`${amount} ${unit.toLowerCase()}`, 'ft');
	return parsed.ok ? parsed.value.um / 1000 : undefined;
}

/** What may be hidden in the topmost balloon, mm. House rule. */
export const HIDDEN_IN_TOP = 25.4;

/**
 * Why a stand or a pole cannot carry what is threaded on it, with those that can; undefined where it can, or nobody
 * knows its length.
 * @param needed of upright, mm @param all things to choose from
 */
export function tooShort(
	chosen: Material | undefined,
	needed: number,
	all: readonly Material[]
): string | undefined {
	const has = chosen && carriedBy(chosen);
	if (has === undefined || needed - has <= HIDDEN_IN_TOP) return undefined;
	const feet = (mm: number) => formatFeet(mm as Millimetres);
	const fit = all
		.filter((m) => m.kind === chosen!.kind && (carriedBy(m) ?? 0) >= needed - HIDDEN_IN_TOP)
		.map((m) => m.name);
	const instead =
		fit.length > 0
			? `These reach: ${fit.slice(0, 3).join('; ')}.`
			: 'None of the Stockroom reaches that far: make it lower, or add a longer one there.';
	return `${chosen!.name} is too short: the rows take ${feet(needed)} of it. ${instead}`;
}
