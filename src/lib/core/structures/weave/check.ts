import type { CheckContext, CheckFacet } from '../facets/check.ts';
import { feet } from '../kit/words.ts';
import type { Weave } from './document.ts';
import type { Finding } from '../../checks/finding.ts';
import { joinersOf, sizeOfWeave, IN_CONNECTOR } from './count.ts';
import { watch } from '../kit/watch.ts';
import { alikeIn } from './neighbours.ts';
import { graphOf } from './graph.ts';

export const check: CheckFacet<Weave> = { held: ({ hung }) => hung !== null, check: checkWeave };

/** What an assorted bag does to a weave. */
function checkAlike(weave: Weave, { section: { name }, colourway, catalogue }: CheckContext): Finding[] {
	const alike = alikeIn(weave, colourway, catalogue);
	if (!alike || alike.pairs === 0 || alike.atRandom < 1) return [];
	const { pairs, atRandom, laidOut, bag, colours } = alike;
	const left =
		laidOut === 0
			? 'Laid out on the floor first, none has to be.'
			: `Laid out first, ${laidOut} still are: with ${colours} colours it cannot be helped; take a bag of more.`;
	return [
		watch(
			'alike-neighbours',
			`${name}: taken as they come out of ${bag}, about ${Math.round(atRandom)} of ${pairs} neighbours are of one colour. ${left}`,
			'Two of one colour side by side are seen as a hole in the pattern, and a weave is not undone.'
		)
	];
}

function checkWeave(weave: Weave, context: CheckContext): Finding[] {
	const {
		section: { name },
		rates
	} = context;
	const found: Finding[] = checkAlike(weave, context);
	const { joiner, chord, handle } = weave;
	if (joiner === null && joinersOf(weave) > 0)
		found.push(
			watch(
				'no-joiner',
				`${name}: ${joinersOf(weave)} small balloons hold it and none is chosen. Say “joined with 5 at 2 gold”.`
			)
		);
	if (weave.ribbons !== undefined && weave.shape === 'honeycomb')
		found.push(
			watch(
				'no-strings',
				`${name}: a honeycomb has no strings to make first, its sides belong to two cells each. Say “row on row”.`
			)
		);
	const size = sizeOfWeave(weave, rates.pumps);
	if (chord !== null && size.bow === undefined)
		found.push(
			watch(
				'too-short',
				`${name}: it is ${feet(size.width)} long and cannot be bent over ${feet(chord / 1000)}. Take more balloons along a row, or a shorter chord.`
			)
		);
	if (!handle) return found;
	if (size.handle === undefined)
		found.push(
			watch(
				'too-short',
				`${name}: its handle of ${handle.links} does not reach from foot to foot over ${feet(handle.chord / 1000)}. Take more balloons.`
			)
		);
	else if (size.handle?.wanted && size.handle.rise < size.handle.wanted)
		found.push(
			watch(
				'too-short',
				`${name}: a handle of ${handle.links} over ${feet(handle.chord / 1000)} rises ${feet(size.handle.rise)}, not ${feet(size.handle.wanted)}. Take more balloons, or set its feet closer.`,
				'It is a bow of a certain length: what it gains in width it loses in height.'
			)
		);
	const top = graphOf(weave).places.filter((p) => p.joint === 'foot').length;
	if (top > 0 && IN_CONNECTOR[weave.joints.foot] === 0)
		found.push(watch('no-joiner', `${name}: nothing holds the feet of its handle. Say “foot quad”.`));
	return found;
}
