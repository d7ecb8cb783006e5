import type { Rates } from '../cost/rates.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import type { AppliedPiece, Fixing } from '../structures/applied/document.ts';
import type { ExtraLine } from '../structures/extras/document.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Assembly } from '../assembly/assemble.ts';
import type { Bill } from '../bom/bill.ts';
import { piecesIn } from '../recipe/edit-pieces.ts';
import { rulesFor } from '../bom/follow-on.ts';
import { standsOnFloor } from '../recipe/sections.ts';
import { floorContacts } from '../structures/stack/count.ts';
import { formatFeet, type Millimetres } from '../units/length.ts';
import { rational } from '../units/rational.ts';
import { countedLines } from '../structures/extras/count.ts';
import { foilSize } from './parts.ts';
import type { Finding } from './finding.ts';
import { hostLost } from '../structures/kit/over-safe.ts';

/** Fixings that stick straight on what they hold. */
const STICKS: ReadonlySet<Fixing> = new Set<Fixing>(['strip', 'dash', 'glue']);

/** What is wrong or worth a look in applied pieces and lines. */
export function checkPieces(
	recipe: Recipe,
	assembly: Assembly,
	{ catalogue, rates, bill }: { catalogue: Catalogue; rates: Rates; bill: Bill }
): Finding[] {
	const pieces = piecesIn(recipe).map(({ piece }) => piece);
	const lines = recipe.sections.flatMap(({ structure }) =>
		structure.kind === 'extras' ? structure.lines : []
	);
	return [
		...pieces.flatMap((piece) => checkPiece(piece, pieces, assembly, catalogue)),
		...pieces.flatMap(({ what }) => {
			const found = what.kind === 'material' ? catalogue.materials.get(what.material ?? '') : undefined;
			return found?.kind.startsWith('foil') ? foilSize(found) : [];
		}),
		...foilLines(lines, catalogue),
		...disagreeing(lines, catalogue),
		...checkStanding(recipe, assembly, bill, rates)
	];
}

/** Foils that are only lines: bought, and inflated by nobody. */
function foilLines(lines: readonly ExtraLine[], { materials }: Catalogue): Finding[] {
	return countedLines(lines).flatMap(({ material, role }): Finding[] => {
		const found = materials.get(material);
		if (!found?.kind.startsWith('foil') || role === 'taken along' || role === 'by-product') return [];
		return [
			{
				code: 'foil-line',
				level: 'watch',
				say: `${found.name}: it is a line, so it is bought, and nobody inflates or fixes it. Say it as a piece, like “put 1 ${found.name} on row 1 front”, or in a bunch.`,
				why: 'Its minutes and its gas are missing in the price.'
			}
		];
	});
}

function checkPiece(
	piece: AppliedPiece,
	pieces: readonly AppliedPiece[],
	{ lost }: Assembly,
	catalogue: Catalogue
): Finding[] {
	const findings: Finding[] = [];
	if (lost.includes(piece.id)) findings.push(hostLost(piece.name));
	const printed = (material: string | null) => {
		const found = material === null ? undefined : catalogue.materials.get(material);
		return (
			found !== undefined &&
			found.kind.startsWith('foil') &&
			catalogue.colours.get(found.colour ?? '')?.finish === 'printed'
		);
	};
	const onPrinted =
		(piece.what.kind === 'material' && printed(piece.what.material)) ||
		piece.on.some(({ host }) => {
			const under = host.on === 'piece' ? pieces.find((p) => p.id === host.piece) : undefined;
			return under?.what.kind === 'material' && printed(under.what.material);
		});
	if (onPrinted && STICKS.has(piece.fixing)) {
		findings.push({
			code: 'printed-foil',
			level: 'watch',
			say: `${piece.name}: adhesive straight on printed foil lifts the print. Put a tape patch first, then the strip.`,
			why: 'The print comes off with the strip, and the piece with it.',
			remedy: {
				label: 'Patch first',
				act: { kind: 'fixing', piece: piece.id, fixing: 'patch and strip' }
			}
		});
	}
	return findings;
}

/** Higher than this without a base or a weight a piece is easily knocked over, mm. House rule. */
const TALL = 1500;

/** What stands on the floor: latex on bare ground, and tall pieces that nothing holds down. */
function checkStanding(recipe: Recipe, { overall }: Assembly, bill: Bill, rates: Rates): Finding[] {
	const findings: Finding[] = [];
	const onFloor = recipe.sections.some(
		(s) => s.structure.kind === 'stack' && floorContacts(s.structure) > 0 && standsOnFloor(recipe, s)
	);
	const patched = rulesFor(recipe.rules, rates.rules).some((r) => r.of === 'floor contact' && r.each !== '0');
	if (onFloor && !patched) {
		findings.push({
			code: 'bare-floor',
			level: 'watch',
			say: 'Latex on a bare floor: no rule puts a patch under what touches it. Set one, or raise the base.',
			why: 'Grit and static burst the lowest layer first, and it holds all the others.'
		});
	}
	const weighed = recipe.sections.some(
		({ structure: s }) =>
			(s.kind === 'bunch' && s.weight !== null) ||
			// What hangs does not stand.
			((s.kind === 'run' || s.kind === 'weave') && s.hung !== null) ||
			(s.kind === 'run' && s.height > 0) ||
			(s.kind === 'stack' &&
				s.layers.some((l) => l.clusters.some((c) => c.places.some((p) => p.inside?.kind === 'filling'))))
	);
	const held =
		weighed ||
		bill.lines.some(
			({ material, status, key }) =>
				material?.kind === 'base' ||
				material?.kind === 'weight' ||
				(status === 'open' && key.startsWith('material:'))
		);
	if (overall.usual > TALL && !held && bill.balloons > 0) {
		findings.push({
			code: 'light-base',
			level: 'watch',
			say: `It stands ${formatFeet(overall.usual as Millimetres)} tall and nothing holds it down. Give it a stand, or a weight in the lowest cluster.`,
			why: 'A tall light piece tips over when somebody brushes past it, and in the first gust outdoors.'
		});
	}
	return findings;
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
			code: 'conflict',
			level: 'watch',
			say: `${nameOf(line)}: two lines serve the same section, one says ${line.quantity} and one ${twin.quantity}. Keep the one that is right.`,
			why: 'Both are counted now.'
		});
	});
	return findings;
}
