import { nameOf, openName, slotName } from '../document/names.ts';
import { bill } from '../bom/bill.ts';
import { countDesigns, explode, type Exploded } from '../bom/explode.ts';
import { KIND_WORDS } from '../materials/material.ts';
import { formatInches } from '../units/length.ts';
import { printBalloon } from '../structures/kit/print-balloon.ts';
import { sizeKey } from '../sizing/size.ts';
import type { Need } from '../structures/kit/need.ts';
import type { TallyContext } from '../tally/tally.ts';
import { rational, ZERO, type Rational } from '../units/rational.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';

/** One thing a design takes, by material and size, as it is counted after the build. */
export interface CountLine {
	readonly key: string;
	readonly what: 'balloon' | 'material';
	readonly label: string;
	/** What the recipe says, for all that were built. */
	readonly recipe: Rational;
	/** Of it what designs inside take: that is changed on those. */
	readonly inside: Rational;
}

export interface CountChoice {
	readonly colourway: Id | null;
	readonly size: Id | null;
	readonly quantity: number;
}

export type BalloonNeed = Extract<Need, { what: 'balloon' }>;

/** Balloons are counted by what they are and the size they are brought to, whatever row they are in. */
export const balloonKey = ({
	kind,
	nominal,
	size,
	colour,
	slot,
	material,
	mark,
	look
}: BalloonNeed): string =>
	`balloon:${kind}/${nominal}/${sizeKey(size)}/${colour ?? `slot ${slot}`}/${material ?? ''}${mark === undefined ? '' : `/${mark}/${look ?? ''}`}`;

/** A letter by itself, a modelling balloon by its lengths: neither is told by a size. */
const markedWords = ({ kind, mark, look, nominal }: BalloonNeed): string =>
	kind === 'modelling' ? `${mark}, ${look}` : `${formatInches(nominal)} ${KIND_WORDS[kind]} ${mark}`;

/**
 * What a design takes by material and size, spares left out: balloons by their inflated size first, then the rest.
 * @throws {DomainError} as `countDesigns`
 */
export function countLines(
	recipe: Recipe,
	{ colourway, size, quantity }: CountChoice,
	{ rates, catalogue, library }: TallyContext
): CountLine[] {
	const wanted = { recipe, colourway, size, quantity: rational(quantity), pumps: rates.pumps };
	const designs = countDesigns(wanted, library);
	const exploded = explode(designs);
	const own = (e: Exploded) => e.recipe === designs[0]!.recipe;
	const balloons = new Map<string, { label: string; recipe: Rational; inside: Rational }>();
	for (const each of exploded) {
		const { need } = each;
		if (need.what !== 'balloon') continue;
		const key = balloonKey(need);
		const colour =
			need.material === null
				? (catalogue.colourNames.get(need.colour ?? '') ?? openName(slotName(need.slot, each.recipe.slots)))
				: nameOf(catalogue.materials, need.material);
		const said = { nominal: need.nominal, size: need.size, method: null, kind: need.kind as 'latex-round' };
		const sum = balloons.get(key) ?? {
			label: `${need.mark === undefined ? printBalloon(said) : markedWords(need)}, ${colour}`,
			recipe: ZERO,
			inside: ZERO
		};
		sum.recipe = sum.recipe.add(need.quantity);
		if (!own(each)) sum.inside = sum.inside.add(need.quantity);
		balloons.set(key, sum);
	}
	const context = { ...rates, catalogue };
	// Balloons stand above by their sizes: here is what is none, or follows by a rule.
	const others = exploded.filter(({ need }) => need.what !== 'balloon');
	const inside = new Map(
		bill(
			others.filter((e) => !own(e)),
			context
		).lines.map((l) => [l.key, l.used])
	);
	return [
		...[...balloons].map(([key, line]) => ({ key, what: 'balloon' as const, ...line })),
		...bill(others, context)
			.lines.filter((l) => l.role !== 'by-product')
			.map(({ key, label, used }) => ({ key, what: 'material' as const, label, recipe: used, inside: inside.get(key) ?? ZERO })) // prettier-ignore
	];
}
