import { cutListsOf } from '../../core/bom/cut-lists.ts';
import { colourName, GONE } from '../../core/document/names.ts';
import { quantityText } from '../../core/cost/cost.ts';
import { printSize } from '../../core/sizing/size.ts';
import { rational } from '../../core/units/rational.ts';
import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { loadDesign, headOf, type DesignQuery } from '../services/design-query.ts';

/** To buy and to inflate: two lists from one bill. */
export async function listsPage(repos: Repos, wanted: DesignQuery) {
	const found = await loadDesign(repos, wanted);
	const { design, context, colourway, size, quantity } = found;
	const { bill, findings } = tally(design.recipe, colourway.id, quantity, context, size?.id ?? null);
	const { catalogue } = context;
	const shelf = (await repos.things.offcuts()).filter((o) => o.wide === 0);
	const wantedCuts = {
		recipe: design.recipe,
		colourway: colourway.id,
		size: size?.id ?? null,
		quantity: rational(quantity)
	};
	return {
		...headOf(found),
		currency: context.rates.currency,
		cuts: cutListsOf(wantedCuts, context.library, catalogue, shelf).map(({ material, problem }) => ({
			tube:
				material === null
					? 'tube, not chosen yet'
					: (catalogue.materials.get(material)?.name ?? GONE.material),
			problem
		})),
		balloons: bill.balloons,
		spares: bill.spares,
		toBuy: bill.lines.map((line) => ({
			key: line.key,
			label: line.label,
			used: quantityText(line.used, line.unit),
			spares: line.spares,
			/** Spares that are expected to survive. */
			back: Math.max(0, Math.round(line.spares - line.lost.valueOf())),
			toBuy: line.unit === 'piece' ? line.toBuy : `${line.toBuy} ${line.unit}`,
			packs: packsOf(line.material?.packs[0], line.toBuy),
			status: line.status,
			role: line.role,
			estimate:
				line.estimate && `${line.estimate.low.toFraction(true)} to ${line.estimate.high.toFraction(true)}`,
			either: (line.either ?? []).map((e) => `${e.quantity.toFraction(true)} of them may be ${e.label}`),
			/** Its page in the Stockroom. */
			material: line.material?.id ?? null,
			returns: Boolean(line.material?.reuse)
		})),
		toInflate: bill.inflate.map((line) => ({
			key: line.key,
			count: line.quantity.toFraction(true),
			bag: line.bag,
			size: line.sizeTo,
			byLook: line.sizeTo !== printSize(line.size),
			gas: line.gas,
			method: line.method,
			colour: colourName(context.catalogue.colourNames, line.colour, line.slot),
			hex: context.catalogue.colours.get(line.colour ?? '')?.hex ?? null,
			where: line.where
		})),
		findings: findings.filter((f) => f.level === 'bad').map((f) => f.say)
	};
}

const packsOf = (pack: { count: number; supplier: string } | undefined, pieces: number): string =>
	!pack || pieces === 0 ? '' : `${Math.ceil(pieces / pack.count)} × ${pack.count}, ${pack.supplier}`;
