import type { CheckContext, CheckFacet } from '../facets/check.ts';
import type { Bunch } from './document.ts';
import { USUAL_PLACE, floats, liftOf, type BunchLift } from './lift.ts';
import { foilSail, foilSize } from '../kit/foil-size.ts';
import type { Finding } from '../../checks/finding.ts';
import { type Catalogue, matchKey } from '../../materials/catalogue.ts';
import type { OwnBalloon } from '../../document/cluster.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import { overSafe } from '../kit/over-safe.ts';

export const check: CheckFacet<Bunch> = { held: ({ weight }) => weight !== null, check: checkBunch };

function checkBunch(bunch: Bunch, context: CheckContext): Finding[] {
	const { recipe, section } = context;
	const { name } = section;
	const tied = section.stand.by !== null;
	const found = bunch.items.flatMap(({ id, what }): Finding[] =>
		what.kind === 'balloon' ? checkSize(what.balloon, context).map((f) => ({ ...f, about: id })) : []
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

/** Foils: giant ones, and those in helium that are filled tight. */
function checkFoils({ items }: Bunch): Finding[] {
	const findings: Finding[] = [];
	for (const { id, what, gas, name } of items) {
		const flat = what.kind === 'material' ? what.flat : null;
		if (flat !== null) findings.push(...foilSail(name, flat).map((f) => ({ ...f, about: id })));
		if (gas !== 'helium' || what.kind === 'balloon') continue;
		if (what.kind === 'material' && what.flat === null) continue;
		if (what.look === 'firm')
			findings.push({
				about: id,
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
	return items.flatMap(({ id, what, gas }): Finding[] => {
		const found = what.kind === 'material' ? materials.get(what.material ?? '') : undefined;
		if (!found?.kind.startsWith('foil')) return [];
		const size = foilSize(found);
		if (size.length > 0) return size.map((f) => ({ ...f, about: id }));
		const shaped = found.kind !== 'foil-round' && found.litres === null;
		if (!shaped || gas !== 'helium') return [];
		return [
			{
				about: id,
				code: 'foil-litres',
				level: 'watch',
				say: `${found.name}: nobody has said how many litres it holds, so it is reckoned like a round foil of its size. Put its maker’s figure into the Stockroom.`,
				why: 'A star or a figure holds half as much as a round one, or less: its gas and its lift are guessed.'
			}
		];
	});
}

/** A balloon of a bunch over its safe size. Helium wants it full, and no more. */
function checkSize(balloon: OwnBalloon, { catalogue, colourway, rates }: CheckContext): Finding[] {
	const { kind, nominal, size, slot, material } = balloon;
	const d = resolveSize(size, nominal, rates.pumps);
	const colour = colourway?.fills[slot] ?? null;
	const found =
		catalogue.materials.get(material ?? '') ?? catalogue.byMatch.get(matchKey(kind, nominal, colour));
	const over = d.known ? overSafe(nominal, found?.safe ?? nominal, d.high) : undefined;
	return over ? [over] : [];
}
