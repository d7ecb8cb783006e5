import type { CheckFacet } from '../facets/check.ts';
import type { ExtraLine, Extras } from './document.ts';
import type { Catalogue } from '../../materials/catalogue.ts';
import type { Finding } from '../../checks/finding.ts';
import { countedLines } from './count.ts';
import { rational } from '../../units/rational.ts';

export const check: CheckFacet<Extras> = {
	held: () => false,
	check: ({ lines }, { catalogue }) => [...foilLines(lines, catalogue), ...disagreeing(lines, catalogue)]
};

/** Foils that are only lines: bought, and inflated by nobody. */
function foilLines(lines: readonly ExtraLine[], { materials }: Catalogue): Finding[] {
	return countedLines(lines).flatMap(({ id, material, role }): Finding[] => {
		const found = materials.get(material);
		if (!found?.kind.startsWith('foil') || role === 'taken along' || role === 'by-product') return [];
		return [
			{
				about: id,
				code: 'foil-line',
				level: 'watch',
				say: `${found.name}: it is a line, so it is bought, and nobody inflates or fixes it. Say it as a piece, like “put 1 ${found.name} on row 1 front”, or in a bunch.`,
				why: 'Its minutes and its gas are missing in the price.'
			}
		];
	});
}

/** Choices answered twice, and lines that say two numbers of one thing for one section. */
function disagreeing(lines: readonly ExtraLine[], catalogue: Catalogue): Finding[] {
	const findings: Finding[] = [];
	const nameOf = (line: ExtraLine) =>
		catalogue.materials.get(line.material)?.name ?? 'something not in stock';
	const groups = new Set(lines.flatMap((l) => l.choice?.group ?? []));
	for (const group of groups) {
		const taken = lines.filter((l) => l.choice?.group === group && l.taken);
		if (taken.length < 2) continue;
		findings.push({
			about: taken[0]!.id,
			code: 'conflict',
			level: 'watch',
			say: `${group}: both ${taken.map(nameOf).join(' and ')} are taken. Take one of them out, or make them lines of their own.`,
			why: 'They are two ways to do one thing, and both are counted.',
			remedy: { label: `Only ${nameOf(taken[0]!)}`, act: { kind: 'choose', line: taken[0]!.id } }
		});
	}
	lines.forEach((line, i) => {
		const twin = lines.find(
			(other, j) =>
				j > i &&
				other.material === line.material &&
				!rational(other.quantity).equals(rational(line.quantity)) &&
				other.serves.some((s) => line.serves.includes(s))
		);
		if (!twin) return;
		findings.push({
			about: line.id,
			tell: twin.id,
			code: 'conflict',
			level: 'watch',
			say: `${nameOf(line)}: two lines serve the same section, one says ${line.quantity} and one ${twin.quantity}. Keep the one that is right.`,
			why: 'Both are counted now.'
		});
	});
	return findings;
}
