import type { Rates } from '../cost/rates.ts';
import { matchKey, type Catalogue } from '../materials/catalogue.ts';
import { USUAL_FLAT, type Material } from '../materials/material.ts';
import { formatInches } from '../units/length.ts';
import type { Bunch } from '../structures/bunch/document.ts';
import type { Colourway } from '../document/slot.ts';
import type { Form } from '../structures/form/document.ts';
import type { OwnBalloon } from '../document/cluster.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { resolveSize } from '../sizing/resolve.ts';
import type { Assembly } from '../assembly/assemble.ts';
import { floats, liftOf, type BunchLift } from '../structures/bunch/lift.ts';
import { isLengthUnknown, leftOvers, tooLong } from '../structures/form/count.ts';
import { printSize } from '../sizing/size.ts';
import type { Finding } from './finding.ts';
import { hostLost, overSafe } from '../structures/kit/over-safe.ts';

/** A mild room at the sea: where a design is judged until a quote says where it goes. */
export const USUAL_PLACE = { temperature: 293.15, height: 0 } as const;

export interface PartContext {
	readonly catalogue: Catalogue;
	readonly colourway: Colourway | undefined;
	readonly rates: Rates;
}

/** What a maker would say of bunches and forms. */
export function checkParts(recipe: Recipe, { lost }: Assembly, context: PartContext): Finding[] {
	return recipe.sections.flatMap(({ structure, name, stand }): Finding[] => {
		if (structure.kind === 'bunch')
			return checkBunch(recipe, structure, { name, tied: stand.by !== null }, context);
		return structure.kind === 'form' ? checkForm(structure, name, lost) : [];
	});
}

function checkBunch(
	recipe: Recipe,
	bunch: Bunch,
	{ name, tied }: { readonly name: string; readonly tied: boolean },
	context: PartContext
): Finding[] {
	const found = bunch.items.flatMap(({ what }) =>
		what.kind === 'balloon' ? checkSize(what.balloon, context) : []
	);
	const { catalogue, colourway } = context;
	found.push(...checkFoilSizes(bunch, catalogue));
	if (!floats(bunch)) return found;
	const lift = liftOf(recipe, bunch, { catalogue, colourway, where: USUAL_PLACE });
	return [...found, ...checkLift(bunch, { name, tied }, lift), ...checkFoils(bunch)];
}

const grams = (value: number): string => `${Math.round(value)} g`;

/** Whether it rises, and whether anything holds it down. */
function checkLift(
	{ weight }: Bunch,
	{ name, tied }: { readonly name: string; readonly tied: boolean },
	lift: BunchLift
): Finding[] {
	const findings: Finding[] = [];
	if (lift.verdict !== 'floats') {
		const why = lift.sunkBy ? ` Without ${lift.sunkBy} it floats.` : '';
		findings.push({
			code: 'sinks',
			level: 'watch',
			say: `${name}: its gas lifts ${grams(lift.gross)} and it weighs ${grams(lift.carried)}, so it ${lift.verdict === 'sinks' ? 'sinks' : 'may sink'}.${why} Take something off, or add a balloon.`,
			why: 'By the evening it hangs over the table, whatever it did in the studio.'
		});
	}
	if (lift.unweighed.length > 0)
		findings.push({
			code: 'not-weighed',
			level: 'watch',
			say: `${lift.unweighed.join(', ')}: nobody has said what it weighs, so the lift of ${name} leaves it out. Weigh it and put it into the Stockroom.`
		});
	// What is tied to another part of the piece is held by that.
	if (lift.verdict === 'sinks' || (weight === null && tied)) return findings;
	if (weight === null || (lift.held !== null && lift.held < lift.weight))
		findings.push({
			code: 'not-held',
			level: 'watch',
			say: `${name}: it pulls ${grams(Math.max(0, lift.net))} and ${weight === null ? 'nothing holds it' : `its weight has only ${grams(lift.held!)}`}. Give it ${grams(Math.ceil(lift.weight))} or more, like “weight sandbag”.`,
			why: 'A bunch that gets away is lost under the ceiling, or outdoors in a power line.'
		});
	return findings;
}

/** Foils in helium: filled tight, or of a volume nobody knows. */
function checkFoils({ items }: Bunch): Finding[] {
	const findings: Finding[] = [];
	for (const { what, gas, name } of items) {
		if (gas !== 'helium' || what.kind === 'balloon') continue;
		if (what.kind === 'material' && what.flat === null) continue;
		if (what.look === 'firm')
			findings.push({
				code: 'foil-firm',
				level: 'watch',
				say: `${name}: filled firm. Leave creases at its rim before a warm day or a drive.`,
				why: 'Helium swells in the heat, a foil does not give way, and its seam bursts.'
			});
	}
	return findings;
}

/** Foils whose size nobody said, and shaped ones whose litres are only guessed by a round. */
function checkFoilSizes({ items }: Bunch, { materials }: Catalogue): Finding[] {
	return items.flatMap(({ what, gas }): Finding[] => {
		const found = what.kind === 'material' ? materials.get(what.material ?? '') : undefined;
		if (!found?.kind.startsWith('foil')) return [];
		const size = foilSize(found);
		if (size.length > 0) return size;
		const shaped = found.kind !== 'foil-round' && found.litres === null;
		if (!shaped || gas !== 'helium') return [];
		return [
			{
				code: 'foil-litres',
				level: 'watch',
				say: `${found.name}: nobody has said how many litres it holds, so it is reckoned like a round foil of its size. Put its maker’s figure into the Stockroom.`,
				why: 'A star or a figure holds half as much as a round one, or less: its gas and its lift are guessed.'
			}
		];
	});
}

/** A foil without a size is taken for the commonest. */
export function foilSize({ name, nominal }: Material): Finding[] {
	if (nominal !== null) return [];
	return [
		{
			code: 'foil-size',
			level: 'watch',
			say: `${name}: its size is not in the Stockroom, so it is taken for ${formatInches(USUAL_FLAT)} in. Fill it in there, and say the piece again.`,
			why: 'Its gas, its filling and its picture hang on it.'
		}
	];
}

/** A balloon of a bunch over its safe size. Helium wants it full, and no more. */
function checkSize(balloon: OwnBalloon, { catalogue, colourway, rates }: PartContext): Finding[] {
	const { kind, nominal, size, slot, material } = balloon;
	const d = resolveSize(size, nominal, rates.pumps);
	const colour = colourway?.fills[slot] ?? null;
	const found =
		catalogue.materials.get(material ?? '') ?? catalogue.byMatch.get(matchKey(kind, nominal, colour));
	const over = d.known ? overSafe(nominal, found?.safe ?? nominal, d.high) : undefined;
	return over ? [over] : [];
}

function checkForm(form: Form, name: string, lost: readonly string[]): Finding[] {
	const findings: Finding[] = [];
	for (const piece of form.pieces) {
		if (lost.includes(piece.id)) findings.push(hostLost(piece.name));
		if (isLengthUnknown(piece))
			findings.push({
				code: 'not-measured',
				level: 'watch',
				say: `${piece.name}: ${printSize(piece.size)} of a pump nobody measured, so how long it gets is not known and it is drawn whole. Measure the pump in the settings.`
			});
		const trouble = tooLong(piece.model, piece.bubbles, piece.grows * (piece.count - 1));
		if (trouble) findings.push({ code: 'too-long', level: 'watch', say: `${piece.name}: ${trouble}` });
	}
	const short = -leftOvers(form);
	if (short > 0)
		findings.push({
			code: 'no-left-overs',
			level: 'watch',
			say: `${name}: ${short} of its pieces are made of left-over ends and there are too few: as many whole balloons are counted for them.`,
			why: 'Ends are left by pieces said to be “part used”.'
		});
	return findings;
}
