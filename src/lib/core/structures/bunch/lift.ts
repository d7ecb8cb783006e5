import { fillLitres, FILLING_KG, type Weighing } from '../../document/inside.ts';
import { liftPerLitre } from '../../gas/atmosphere.ts';
import { litresHeld } from '../../gas/volume.ts';
import { float, type Float, type Place as Where } from '../../gas/float.ts';
import { matchKey, type Catalogue } from '../../materials/catalogue.ts';
import type { Material } from '../../materials/material.ts';
import type { Bunch, BunchItem } from './document.ts';
import type { Colourway } from '../../document/slot.ts';
import type { OwnBalloon } from '../../document/cluster.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { inches, MICROMETRES, type LengthUnit, type Micrometres } from '../../units/length.ts';
import { inflatedIn, kindOfLetter, lettersOf, ON_SPOT, ribbonsOf, roomOf } from './count.ts';
import { litresIn } from '../kit/filled.ts';

/** What one line of a bunch lifts and weighs, at its place. */
export interface LiftPart {
	readonly name: string;
	/** Litres of helium in it. */
	readonly litres: number;
	/** Grams it weighs, empty, with its ribbons. */
	readonly grams: number;
	/** Whose figure its weight or volume is: the Stockroom's, or worked out from its size. */
	readonly estimated: boolean;
}

export interface BunchLift extends Float {
	readonly parts: readonly LiftPart[];
	/** Litres of helium in all. */
	readonly litres: number;
	/** Grams carried in all. */
	readonly carried: number;
	/** What nobody has weighed: left out of the sum. */
	readonly unweighed: readonly string[];
	/** Grams of what is said to hold it; null where that is not known. */
	readonly held: number | null;
	/** The item without which it would float: the heaviest that hangs on it; null where it floats anyway. */
	readonly sunkBy: string | null;
}

/** Weights where the Stockroom has none, from memory: weigh one and put it there. */
export const WEIGHS = {
	/** Latex: an 11 in weighs about 3 g, others go with the square of their size. */
	latex: (nominal: Micrometres): number => 3 * (nominal / inches(11)) ** 2,
	/** Two sheets of foil, 28 g a square metre each. */
	foil: (flat: Micrometres): number => 2 * 28 * Math.PI * (flat / 2e6) ** 2,
	letter: (height: Micrometres): number => 2 * 28 * 0.62 * (height / 1e6) ** 2,
	/** A 260. */
	modelling: 1.4,
	/** Ribbon, g a foot. */
	ribbon: 0.3
} as const;

interface Context {
	readonly catalogue: Catalogue;
	readonly colourway: Colourway | undefined;
	readonly where: Where;
}

/** Pieces of forms that hang on items of a bunch. */
const hangingOn = ({ sections }: Recipe, { items }: Bunch) =>
	sections.flatMap(({ structure }) =>
		structure.kind !== 'form'
			? []
			: structure.pieces.filter(({ at }) => at?.on === 'place' && items.some((i) => i.id === at.place))
	);

/**
 * Lift of a bunch where it will be, against everything it carries. The maker's volumes and the weights of the Stockroom
 * go first; what they lack is worked out from sizes and said to be so.
 * @param margin share more than its pull that the weight has to have
 */
export function liftOf(recipe: Recipe, bunch: Bunch, context: Context, margin = 0.5): BunchLift {
	const unweighed: string[] = [];
	const parts = bunch.items.map((item) => partOf(item, context, unweighed));
	for (const piece of hangingOn(recipe, bunch)) {
		const colour = context.colourway?.fills[piece.slot] ?? null;
		const grams = context.catalogue.byMatch.get(matchKey('modelling', null, colour, piece.model))?.grams;
		const count = piece.count * piece.strands;
		parts.push({
			name: piece.name,
			litres: 0,
			grams: (grams ?? WEIGHS.modelling) * count,
			estimated: grams == null
		});
	}
	const litres = parts.reduce((a, p) => a + p.litres, 0);
	const carried = parts.reduce((a, p) => a + p.grams, 0);
	const found = float(litres, carried, context.where, margin);
	const heaviest = parts.filter((p) => p.litres === 0).sort((a, b) => b.grams - a.grams)[0];
	const without = heaviest && float(litres, carried - heaviest.grams, context.where, margin);
	const sunkBy = found.verdict !== 'floats' && without?.verdict === 'floats' ? heaviest!.name : null;
	return { ...found, parts, litres, carried, unweighed, held: heldBy(bunch, context.catalogue), sunkBy };
}

function partOf(item: BunchItem, context: Context, unweighed: string[]): LiftPart {
	const { catalogue, colourway } = context;
	const { what, count, name, gas } = item;
	const tied = ribbonGrams(item, catalogue);
	const room = gas === 'helium' ? roomOf(what) : undefined;
	const each = (own: Material | undefined, grams: number) => ({
		litres: room ? litresHeld(room, own?.litres ?? litresByLift(own)) : 0,
		grams: own?.grams ?? grams,
		estimated:
			own?.grams == null || (room !== undefined && own.litres == null && own.facts?.liftGrams === undefined)
	});
	const add = (a: LiftPart, b: ReturnType<typeof each>, n: number): LiftPart => ({
		...a,
		litres: a.litres + b.litres * n,
		grams: a.grams + b.grams * n,
		estimated: a.estimated || b.estimated
	});
	const plain: LiftPart = { name, litres: 0, ...tied };
	if (what.kind === 'letters') {
		const colour = colourway?.fills[what.slot] ?? null;
		return lettersOf(what.text).reduce((sum, letter) => {
			const own = catalogue.byMatch.get(matchKey(kindOfLetter(letter), what.height, colour, letter));
			return add(sum, each(own, WEIGHS.letter(what.height)), count);
		}, plain);
	}
	if (what.kind === 'balloon') {
		const { balloon } = what;
		const colour = colourway?.fills[balloon.slot] ?? null;
		const own =
			catalogue.materials.get(balloon.material ?? '') ??
			catalogue.byMatch.get(matchKey(balloon.kind, balloon.nominal, colour));
		const found = each(own, WEIGHS.latex(balloon.nominal));
		// What a size and a weight from a table say of latex is near enough to be no estimate of volume.
		return add(
			plain,
			{ ...found, estimated: own?.grams == null, grams: found.grams + insideGrams(balloon) },
			count
		);
	}
	const own = what.material === null ? undefined : catalogue.materials.get(what.material);
	if (what.flat === null) {
		if (own?.grams == null) unweighed.push(name);
		return { ...plain, grams: plain.grams + (own?.grams ?? 0) * count };
	}
	return add(plain, each(own, WEIGHS.foil(what.flat)), count);
}

/** Where a maker measures what a foil lifts, K. Common practice: 15 °C at the sea. */
const MEASURED_AT = 288.15;

/** Litres of one that lifts so much by its maker, over its own weight; null where nothing is said. */
function litresByLift(own: Material | undefined): number | null {
	const lifts = own?.facts?.liftGrams;
	return lifts === undefined || own?.grams == null ? null : (lifts + own.grams) / liftPerLitre(MEASURED_AT);
}

/** What is in a balloon, g: the inner one, or what weighs it down. */
function insideGrams({ inside, nominal, size }: OwnBalloon): number {
	if (!inside) return 0;
	const grams = (held: Weighing, full: number) => fillLitres(held, full) * FILLING_KG[held.of] * 1000;
	if (inside.kind === 'balloon')
		return WEIGHS.latex(inside.nominal) + (inside.holds ? grams(inside.holds, litresIn(inside)) : 0);
	return grams(inside, litresIn({ nominal, size }));
}

function ribbonGrams(item: BunchItem, catalogue: Catalogue): Pick<LiftPart, 'grams' | 'estimated'> {
	if (!item.ribbon) return { grams: 0, estimated: false };
	const own = catalogue.materials.get(item.ribbon.material ?? '');
	const um = (item.ribbon.length ?? ON_SPOT.usual) * ribbonsOf(item);
	const unit = own !== undefined && own.unit in MICROMETRES ? (own.unit as LengthUnit) : 'ft';
	const grams = own?.grams ?? (WEIGHS.ribbon * MICROMETRES[unit]) / MICROMETRES.ft;
	return { grams: (um / MICROMETRES[unit]) * grams, estimated: own?.grams == null };
}

/** What holds it, g. */
function heldBy({ weight }: Bunch, { materials }: Catalogue): number | null {
	if (!weight) return 0;
	if (weight.kind === 'balloon') return insideGrams(weight.balloon) + WEIGHS.latex(weight.balloon.nominal);
	const grams = materials.get(weight.material ?? '')?.grams;
	return grams == null ? null : grams * weight.count;
}

/** Whether anything of it is filled with helium. */
export const floats = ({ items }: Bunch): boolean =>
	items.some((i) => i.gas === 'helium' && inflatedIn(i) > 0);

/** A mild room at the sea: where a design is judged until a quote says where it goes. */
export const USUAL_PLACE = { temperature: 293.15, height: 0 } as const;
