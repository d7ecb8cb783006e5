import { fillBand, safeVerdict } from '../sizing/fill.ts';
import { resolveSize } from '../sizing/resolve.ts';
import type { Rates } from '../cost/rates.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import { matchKey } from '../materials/catalogue.ts';
import type { Stack, Layer, Colourway } from '../recipe/recipe.ts';
import { slotsOf } from '../recipe/pattern.ts';
import { formatFeet, formatInches, type Millimetres, type Micrometres } from '../units/length.ts';
import { runsOf, type PlacedStack } from '../structures/stack.ts';
import type { Finding } from './finding.ts';

/** A ring tilted by more than this deserves a levelling cluster. House rule, degrees. */
export const TILT_LIMIT = 4;

/** What is wrong or worth a look in one stack. */
export function checkStack(
	stack: Stack,
	placed: PlacedStack,
	{ catalogue, colourway, rates }: { catalogue: Catalogue; colourway: Colourway | undefined; rates: Rates }
): Finding[] {
	const findings: Finding[] = [];
	const { upright } = stack;
	if (upright.kind !== 'none' && upright.length !== null && placed.upright.usual > upright.length / 1000) {
		const [needed, has] = [placed.upright.usual, upright.length / 1000].map((v) =>
			formatFeet(v as Millimetres)
		);
		findings.push({
			code: 'upright-short',
			level: 'bad',
			say: `The stack needs ${needed} of ${upright.kind}, and this one is ${has}. Take a longer ${upright.kind} or fewer layers.`
		});
	}
	for (const layer of stack.layers) findings.push(...checkSizes(layer, catalogue, colourway, rates));
	placed.layers.forEach((at, index) => {
		const { layer, ringOfRow } = placed.rings[index]!;
		if (at.status === 'sunk' && ringOfRow === 0) {
			findings.push({
				code: 'sunk',
				level: 'watch',
				layer: layer.id,
				say: 'This layer touches nothing below it and sinks into the ring. Use more or larger balloons, or tie it to the upright at its height.'
			});
		}
		if (at.tilt > TILT_LIMIT && ringOfRow === 0) {
			findings.push({
				code: 'tilted',
				level: 'watch',
				layer: layer.id,
				say: `This layer leans by ${Math.round(at.tilt)}°. Tuck a small cluster under its low side to level it.`
			});
		}
	});
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
			const verdict = safeVerdict(high, safe / 1000);
			if (verdict === 'safe' && fillBand(assumed / (place.nominal / 1000)) !== 'pear-shaped') continue;
			const [bag, limit, said] = [place.nominal, safe, Math.round(high * 1000) as Micrometres].map(
				formatInches
			);
			if (verdict !== 'safe') {
				findings.push({
					code: verdict === 'refused' ? 'size-refused' : 'over-safe',
					level: verdict === 'refused' ? 'bad' : 'watch',
					layer: layer.id,
					say:
						verdict === 'refused'
							? `A ${bag} in balloon cannot be sized to ${said} in: it is safe up to ${limit} in. Take a larger balloon.`
							: `${said} in is over the safe ${limit} in of this ${bag} in balloon: it may burst. Size it down or take a larger one.`
				});
			} else {
				findings.push({
					code: 'pear-shaped',
					level: 'watch',
					layer: layer.id,
					say: `Under half its size a ${bag} in balloon is pear-shaped. Take a smaller balloon for a round one.`
				});
			}
		}
	}
	return findings;
}
