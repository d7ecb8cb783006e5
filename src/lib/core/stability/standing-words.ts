import type { Ground } from '../document/ground.ts';
import type { Material } from '../materials/material.ts';
import { formatFeet, type Millimetres } from '../units/length.ts';
import { inUnit } from '../units/quantity.ts';
import type { Steadiness, StandingUp } from './standing-up.ts';

/** Grounds a piece may stand on, with the friction of a base on each. From memory. */
export const GROUNDS = [
	['paving', 'stone or paving', 0.4],
	['stage', 'a stage', 0.4],
	['indoors', 'a smooth floor', 0.3],
	['table', 'a table', 0.3],
	['grass', 'grass', 0.5]
] as const satisfies readonly (readonly [Ground, string, number])[];

/** How a foot grips a ground, and whether stakes can be driven into it. */
export const footingOn = (ground: Ground): [friction: number, where: { readonly staked: boolean }] => [
	GROUNDS.find(([id]) => id === ground)![2],
	{ staked: ground === 'grass' }
];

/** @param kg of mass */
export const inPounds = (kg: number): number => inUnit(kg * 1000, 'mass', 'lb');
/** `12 lb`, to the half pound under ten. @param kg 0 or more */
export const weightWords = (kg: number): string => {
	const pounds = inPounds(kg);
	return `${pounds < 10 ? Math.round(pounds * 2) / 2 : Math.round(pounds)} lb`;
};
/** `14 mph`, down to whole ones. @param speed m/s */
export const windWords = (speed: number): string => `${Math.floor(inUnit(speed, 'speed', 'mph') + 1e-9)} mph`;

/** So many of the heaviest weight of the Stockroom that weighs anything; undefined where none does. */
export function ballastIn(
	kg: number,
	materials: Iterable<Material>
): { readonly count: number; readonly name: string } | undefined {
	const own = [...materials]
		.filter((m) => m.kind === 'weight' && m.grams !== null && m.grams >= 500)
		.sort((a, b) => b.grams! - a.grams!)[0];
	return own && { count: Math.ceil((kg * 1000) / own.grams! - 1e-9), name: own.name };
}

/** Where the work can hurt someone: said under every figure here. */
export const INDICATIVE =
	'Indicative only: local codes and the venue decide; a structural engineer for what people go under or lean on.';

/** A sentence she can send to a venue. @param gust reckoned with, m/s */
export function venueSentence(
	name: string,
	piece: StandingUp,
	{ wind }: Steadiness,
	{ gust, ballast }: { readonly gust: number; readonly ballast: string }
): string {
	const tall = formatFeet(piece.top as Millimetres);
	const weighs = `${name} stands ${tall} tall and weighs ${weightWords(piece.kg)}`;
	if (!wind) return `${weighs}. What it stands on is not settled yet. ${INDICATIVE}`;
	const first = Math.min(wind.tipsAt, wind.slidesAt);
	const holds = wind.holds
		? `reckoned to stand gusts of ${windWords(gust)} with half as much again in hand`
		: `with ${ballast} on its foot reckoned to stand gusts of ${windWords(gust)}`;
	return `${weighs}, ${holds}; it is taken down before gusts of ${windWords(wind.holds ? first : gust)}. ${INDICATIVE}`;
}
