import { HIDDEN_IN_TOP } from '../../materials/carries.ts';
import type { CheckFacet } from '../facets/check.ts';
import { feet } from '../kit/words.ts';
import type { PlacedLayer } from '../../geometry/layers.ts';
import { fitPlane } from '../../geometry/plane.ts';
import { fillBand } from '../../sizing/fill.ts';
import { isSoft, LINE_ON_SOFT } from '../kit/line-on-soft.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { Rates } from '../../cost/rates.ts';
import { type Catalogue, matchKey } from '../../materials/catalogue.ts';
import type { Stack, Layer } from './document.ts';
import type { Colourway } from '../../document/slot.ts';
import type { Id } from '../../document/id.ts';
import { slotsOf } from '../../document/pattern.ts';
import {
	formatFeet,
	formatInches,
	inches,
	MICROMETRES,
	um,
	type Millimetres,
	type Micrometres
} from '../../units/length.ts';
import { runsOf } from '../kit/alike.ts';
import type { PlacedStack } from './placed.ts';
import type { Finding } from '../../checks/finding.ts';
import { overSafe } from '../kit/over-safe.ts';

/** A ring tilted by more than this deserves a levelling cluster. House rule, degrees. */
export const TILT_LIMIT = 4;

/** A step of size over this much among layers that grow evenly of three layers or more is seen as a jump. Common practice. */
export const STEP_LIMIT = inches(1.5);

/** A step over this much parts one thing from another: feet from the rest. It is no slope that went wrong. House rule. */
const ANOTHER_PART = inches(3.5);

/** A layer of which less than this share of a balloon stands out over the one below sits inside it. House rule. */
const STANDS_OUT = 0.25;

export const check: CheckFacet<Stack> = {
	held: ({ layers }) =>
		layers.some((l) => l.clusters.some((c) => c.places.some((p) => p.inside?.kind === 'filling'))),
	check(stack, { section, placed, catalogue, colourway, rates }) {
		if (!placed) return [];
		return [
			...checkUpright(section.id, stack, placed),
			...checkWobble(stack, placed),
			...stack.layers.flatMap((layer) => checkSizes(layer, catalogue, colourway, rates)),
			...checkSeats(section.id, placed),
			...checkSteps(stack, rates),
			...checkJoinings(stack, rates),
			...checkHearts(stack)
		];
	}
};

/**
 * Hearts that carry, are twisted in two or filled with what is heavy: their tip and their cleft are drawn thinner than the
 * rest and give way first. Common practice, from memory.
 */
function checkHearts({ layers, upright }: Stack): Finding[] {
	return layers.flatMap((layer, row): Finding[] => {
		const hearts = layer.clusters.flatMap((c) => c.places).filter((p) => p.kind === 'latex-heart');
		const bent = hearts.some((p) => p.twin);
		const filled = hearts.some((p) => p.inside?.kind === 'filling');
		// What stands on a pole is carried by that.
		const carries = hearts.length > 0 && upright.kind === 'none' && row < layers.length - 1;
		if (!bent && !filled && !carries) return [];
		const what = bent
			? 'is twisted in two'
			: filled
				? 'is filled with what is heavy'
				: 'carries the rows above it';
		return [
			{
				about: layer.id,
				code: 'heart-weak',
				level: 'watch',
				say: `A heart ${what}. Take a round there${carries ? ', or put the rows on a pole' : ''}.`,
				why: 'The tip and the cleft of a heart are thinner than the rest of it and give way first.'
			}
		];
	});
}

/** An upright that does not reach up to what is tied to it. */
function checkUpright(section: Id, { upright }: Stack, placed: PlacedStack): Finding[] {
	if (upright.kind === 'none' || upright.length === null) return [];
	const has = upright.length / 1000;
	if (placed.upright.usual - has <= HIDDEN_IN_TOP) return [];
	return [
		{
			code: 'upright-short',
			level: 'bad',
			say: `It needs ${feet(placed.upright.usual)} of ${upright.kind}, and this one is ${feet(has)}. Take a longer ${upright.kind} or fewer layers.`,
			why: 'The top layers would hang over the end of it and lean.',
			remedy: remedyUpright(section, placed.upright.usual, upright.kind)
		}
	];
}

/** A ball as large as this on a dowel sways, mm. House rule, from memory. */
const HEAVY_TOP = 22 * 25.4;

/** A large balloon on a thin stick. */
function checkWobble({ upright, layers }: Stack, placed: PlacedStack): Finding[] {
	const top = placed.layers.at(-1);
	const largest = Math.max(0, ...(top?.rings.flat().map((b) => b.d) ?? []));
	if (upright.kind !== 'stick' || layers.length < 2 || largest < HEAVY_TOP) return [];
	return [
		{
			code: 'wobbles',
			level: 'watch',
			layer: layers.at(-1)!.id,
			say: `A ${formatInches(um(Math.round(largest / 12.7) * 12_700))} in balloon on a stick sways and bends it. Take a pole, or tie the top two or three layers down.`,
			why: 'A thin stick gives way at its joints first, in the air of a door.'
		}
	];
}

/** Layers that sink into what is below, and those that lean: each said once, where it begins. */
function checkSeats(section: Id, placed: PlacedStack): Finding[] {
	const findings: Finding[] = [];
	/** The lean that is known of: said already, or held level by a small cluster tucked in. */
	let lean = 0;
	placed.layers.forEach((at, index) => {
		const { layer, ringOfRow } = placed.rings[index]!;
		const first = ringOfRow === 0;
		if (first) findings.push(...checkSunk(layer.id, at, placed.layers[index - 1]));
		const levelled = layer.clusters.some((c) => c.side !== 'all');
		const leans = first && !levelled && at.tilt - lean > TILT_LIMIT;
		// What stands on a leaning layer takes the lean over.
		if (levelled || leans) lean = at.tilt;
		if (leans)
			findings.push({
				code: 'tilted',
				level: 'watch',
				layer: layer.id,
				say: `This layer leans by ${Math.round(at.tilt)}° to the ${lowSide(at)}. Tuck a small cluster under it there to level it.`,
				why: 'Every layer above takes the lean over, and the whole piece looks crooked.',
				remedy: { label: 'Level it', act: { kind: 'level', section, layer: layer.id } }
			});
	});
	return findings;
}

/** Where a leaning layer is lowest, as the audience sees it: `left`, `front right`. */
function lowSide({ rings }: PlacedLayer): string {
	const { a, b } = fitPlane(rings.flat());
	const [x, y] = [-a, -b];
	const most = Math.max(Math.abs(x), Math.abs(y));
	// Less than a third of the other it is not said.
	const words = [
		Math.abs(y) > most / 3 ? (y < 0 ? 'front' : 'back') : '',
		Math.abs(x) > most / 3 ? (x < 0 ? 'left' : 'right') : ''
	];
	return words.filter(Boolean).join(' ');
}

/** A layer that drops into the ring below it, wholly or nearly. */
function checkSunk(layer: Id, at: PlacedLayer, below: PlacedLayer | undefined): Finding[] {
	if (at.status === 'sunk')
		return [
			{
				code: 'sunk',
				level: 'watch',
				layer,
				say: 'This layer touches nothing below it and sinks into the ring. Use more or larger balloons, or tie it to the upright at its height.',
				why: 'Seen from the side it is half hidden, and it can slip further down.'
			}
		];
	const largest = at.rings.flat().reduce((a, b) => Math.max(a, b.d), 0);
	if (!below || at.status !== 'resting' || at.top - below.top >= STANDS_OUT * largest) return [];
	const out = formatInches(um(Math.round(Math.max(0, at.top - below.top) / 6.35) * 6350));
	return [
		{
			code: 'sunk',
			level: 'watch',
			layer,
			say: `This layer sits down inside the ring below it: ${out === '0' ? 'nothing' : `${out} in`} of it stands out. Use more or larger balloons, or tie it to the upright higher up.`,
			why: 'Seen from the side it is hidden, and what stands on it sinks with it.'
		}
	];
}

/** Line round soft latex: the layers above the lowest that are joined with it and are not firm. */
function checkJoinings(stack: Stack, { pumps }: Rates): Finding[] {
	return stack.layers.flatMap((layer, row): Finding[] => {
		const lined = (layer.joining ?? stack.joining) === 'line' && (row > 0 || layer.repeat > 1);
		if (!lined || !isSoft(layer.clusters, pumps)) return [];
		return [
			{
				...LINE_ON_SOFT,
				layer: layer.id,
				remedy: {
					label: 'Twist it on',
					act: { kind: 'join', layer: layer.id, joining: 'twisted on' }
				}
			}
		];
	});
}

/** A length of upright that reaches, up to the next whole foot. */
function remedyUpright(section: Id, needed: number, kind: string): Finding['remedy'] {
	const length = um(Math.ceil((needed * 1000) / MICROMETRES.ft) * MICROMETRES.ft);
	return {
		label: `${kind} of ${formatFeet((length / 1000) as Millimetres)}`,
		act: { kind: 'upright', section, length }
	};
}

/** Jumps of size inside graded runs: three rows or more of one bag size that only shrink, or only grow. */
function checkSteps(stack: Stack, { pumps }: Rates): Finding[] {
	const rows = stack.layers.map((layer) => {
		const place = layer.clusters[0]!.places[0]!;
		const { assumed, known } = resolveSize(place.size, place.nominal, pumps);
		return { layer, nominal: place.nominal, size: assumed, known };
	});
	const findings: Finding[] = [];
	const sign = (i: number): number => {
		const [a, b] = [rows[i]!, rows[i + 1]];
		return b && a.known && b.known && a.nominal === b.nominal ? Math.sign(b.size - a.size) : 0;
	};
	for (let i = 0; i + 1 < rows.length; i++) {
		const [a, b] = [rows[i]!, rows[i + 1]!];
		const graded = sign(i) !== 0 && ((i > 0 && sign(i - 1) === sign(i)) || sign(i + 1) === sign(i));
		const step = Math.abs(b.size - a.size) * 1000;
		if (!graded || step <= STEP_LIMIT || step > ANOTHER_PART) continue;
		const [from, to, by] = [a.size * 1000, b.size * 1000, step].map((v) =>
			formatInches(Math.round(v) as Micrometres)
		);
		findings.push({
			code: 'size-step',
			level: 'watch',
			layer: b.layer.id,
			say: `From ${from} to ${to} in is a step of ${by} in among layers that grow evenly. Put a layer between, or size one of them nearer.`,
			why: 'Over 1½ in the eye stops reading a slope and sees a ledge.'
		});
	}
	return findings;
}

function checkSizes(
	layer: Layer,
	catalogue: Catalogue,
	colourway: Colourway | undefined,
	rates: Rates
): Finding[] {
	const seen = new Set<string>();
	const findings: Finding[] = [];
	for (const cluster of layer.clusters) {
		const slot = slotsOf(cluster.pattern)[0];
		for (const { place } of runsOf(cluster)) {
			const colour = colourway?.fills[place.slot ?? slot ?? ''] ?? null;
			const safe = catalogue.byMatch.get(matchKey(place.kind, place.nominal, colour))?.safe ?? place.nominal;
			const { high, assumed, known } = resolveSize(place.size, place.nominal, rates.pumps);
			const key = `${place.nominal}/${high}`;
			if (!known || seen.has(key)) continue;
			seen.add(key);
			const over = overSafe(place.nominal, safe, place.twin ? high * Math.cbrt(2) : high);
			if (
				!over &&
				fillBand((assumed * (place.twin ? Math.cbrt(2) : 1)) / (place.nominal / 1000)) !== 'pear-shaped'
			)
				continue;
			const [bag, limit] = [place.nominal, safe].map(formatInches);
			if (over) {
				findings.push({
					...over,
					layer: layer.id,
					tell: `${place.nominal}`,
					remedy: {
						label: `Size it to ${limit}`,
						act: { kind: 'size', layer: layer.id, nominal: place.nominal, size: um(safe) }
					}
				});
			} else {
				findings.push({
					code: 'pear-shaped',
					level: 'watch',
					layer: layer.id,
					tell: `${place.nominal}`,
					say: `Under half its size a ${bag} in balloon is pear-shaped. Take a smaller balloon for a round one.`,
					why: 'The neck stays thick and dark, and clusters of them do not close.'
				});
			}
		}
	}
	return findings;
}
