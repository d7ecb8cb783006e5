import { converter, differenceEuclidean, formatHex, modeOklab, modeRgb, useMode } from 'culori/fn';
import { colourDistance } from '../materials/colour-distance.ts';
import type { Pixels } from './photo-edge.ts';

useMode(modeRgb);
useMode(modeOklab);
const toOklab = converter('oklab');
const apart = differenceEuclidean('oklab');

/** A colour that leads in a picture, and how much of it is of that colour, 0 to 1. */
export interface LeadColour {
	readonly hex: string;
	readonly share: number;
}

/** Groups that are looked for at first, rounds they are moved, and how near two are one, CIEDE2000. House rules. */
const [GROUPS, ROUNDS, ONE] = [10, 12, 9];
/** A colour of less of the picture than this leads nothing. */
const LEAST = 0.015;

interface Lab {
	readonly l: number;
	readonly a: number;
	readonly b: number;
}
interface Bin extends Lab {
	readonly weight: number;
}
interface Group extends Lab {
	weight: number;
}

/**
 * The colours that lead in a picture, the most of it first: its pixels are put into bins of five bits a channel and
 * grouped by k-means in OKLab (textbook; begun from the pixels furthest from each other, so that the same picture gives the
 * same colours); groups that the eye takes for one are one. See-through pixels count for nothing.
 *
 * @param most colours at most
 */
export function leadColours(picture: Pixels, most = 6): LeadColour[] {
	const bins = binsOf(picture);
	const all = bins.reduce((a, b) => a + b.weight, 0);
	if (all === 0) return [];
	let groups = begin(bins);
	for (let round = 0; round < ROUNDS; round++) groups = move(bins, groups);
	return joined(groups)
		.map((g) => ({ hex: hexOf(g), share: g.weight / all }))
		.filter((g) => g.share >= LEAST)
		.slice(0, most);
}

function binsOf({ width, height, data }: Pixels): Bin[] {
	const sums = new Map<number, { r: number; g: number; b: number; n: number }>();
	for (let i = 0; i < width * height * 4; i += 4) {
		if (data[i + 3]! < 128) continue;
		const [r, g, b] = [data[i]!, data[i + 1]!, data[i + 2]!];
		const key = ((r >> 3) << 10) | ((g >> 3) << 5) | (b >> 3);
		const own = sums.get(key) ?? { r: 0, g: 0, b: 0, n: 0 };
		own.r += r;
		own.g += g;
		own.b += b;
		own.n++;
		sums.set(key, own);
	}
	return [...sums.values()].map(({ r, g, b, n }) => {
		const { l, a, b: yellow } = toOklab({ mode: 'rgb', r: r / n / 255, g: g / n / 255, b: b / n / 255 });
		return { l, a, b: yellow, weight: n };
	});
}

const between = (p: Lab, q: Lab): number => apart({ mode: 'oklab', ...p }, { mode: 'oklab', ...q });
const hexOf = ({ l, a, b }: Lab): string => formatHex({ mode: 'oklab', l, a, b });

/** The heaviest bin first, then always the one that is furthest from all there are, heavy ones before light ones. */
function begin(bins: readonly Bin[]): Group[] {
	const first = bins.reduce((best, b) => (b.weight > best.weight ? b : best));
	const chosen: Lab[] = [first];
	while (chosen.length < Math.min(GROUPS, bins.length)) {
		const score = (b: Bin) => Math.min(...chosen.map((c) => between(b, c))) * Math.sqrt(b.weight);
		const next = bins.reduce((best, b) => (score(b) > score(best) ? b : best));
		if (score(next) === 0) break;
		chosen.push(next);
	}
	return chosen.map(({ l, a, b }) => ({ l, a, b, weight: 0 }));
}

/** Every bin to its nearest group, every group into the middle of its bins; what has none is gone. */
function move(bins: readonly Bin[], groups: readonly Group[]): Group[] {
	const sums = groups.map(() => ({ l: 0, a: 0, b: 0, weight: 0 }));
	for (const bin of bins) {
		let [nearest, least] = [0, Infinity];
		groups.forEach((g, i) => {
			const far = (g.l - bin.l) ** 2 + (g.a - bin.a) ** 2 + (g.b - bin.b) ** 2;
			if (far < least) [nearest, least] = [i, far];
		});
		const sum = sums[nearest]!;
		sum.l += bin.l * bin.weight;
		sum.a += bin.a * bin.weight;
		sum.b += bin.b * bin.weight;
		sum.weight += bin.weight;
	}
	return sums.flatMap((s) => (s.weight === 0 ? [] : [{ l: s.l / s.weight, a: s.a / s.weight, b: s.b / s.weight, weight: s.weight }])); // prettier-ignore
}

/** Groups the eye takes for one put together, heaviest first. */
function joined(groups: readonly Group[]): Group[] {
	const found: Group[] = [];
	for (const group of groups.toSorted((p, q) => q.weight - p.weight)) {
		const same = found.find((f) => colourDistance(hexOf(f), hexOf(group)) < ONE);
		if (same) same.weight += group.weight;
		else found.push({ ...group });
	}
	return found.sort((p, q) => q.weight - p.weight);
}
