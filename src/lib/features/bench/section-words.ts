import type { ExtraLine } from '../../core/structures/extras/document.ts';
import type { Host } from '../../core/document/host.ts';
import type { Recipe, Section } from '../../core/recipe/recipe.ts';
import type { Structure } from '../../core/structures/kinds.ts';
import { findHost } from '../../core/recipe/find-host.ts';
import { servable } from '../../core/recipe/served.ts';
import { printRun, printWeave } from '../../core/language/print-run.ts';
import { printLayer } from '../../core/language/print-entry.ts';
import { partsOf } from '../../core/plan/bunch-steps.ts';
import { countOfPiece } from '../../core/structures/applied/count.ts';
import { formatFeet, toMillimetres, um } from '../../core/units/length.ts';
import { rational } from '../../core/units/rational.ts';

/** Where a section stands and how many there are, as the row above its layers says it. */
export function standingWords({ stand, times, mirror, structure }: Section, { sections }: Recipe): string {
	const host = sections.find((s) => s.id === stand.by)?.name;
	const where = !host
		? structure.kind === 'run' && structure.height > 0
			? `${formatFeet(toMillimetres(um(structure.height)))} up`
			: 'on the floor'
		: stand.how === 'on top'
			? `on top of ${host}`
			: `${{ left: 'left of', right: 'right of', front: 'before', back: 'behind', round: 'round' }[stand.how]} ${host}`;
	const row =
		stand.layer === null || stand.how === 'on top' || !host ? '' : ` at ${rowWords(stand.layer, sections)}`;
	const height =
		row !== '' || stand.height === null || stand.how === 'on top' || !host
			? ''
			: ` at ${formatFeet(toMillimetres(stand.height))}`;
	return `${times > 1 ? `×${times}${mirror ? ' mirrored' : ''}, ` : ''}${where}${row}${height}`;
}

/** `row 3`, counted from the floor of its section. */
function rowWords(layer: string, sections: readonly Section[]): string {
	for (const { structure } of sections) {
		const at = structure.kind === 'stack' ? structure.layers.findIndex((l) => l.id === layer) : -1;
		if (at >= 0) return `row ${at + 1}`;
	}
	return 'a row that is gone';
}

/** What a piece sits on. */
export function hostWords(host: Host, recipe: Recipe): string {
	const found = findHost(host, recipe);
	switch (found.kind) {
		case 'row':
			return `row ${found.row} ${found.side === 'all' ? 'round' : found.side}`;
		case 'place':
			return `row ${found.row} place ${found.place}`;
		case 'part':
			return `on ${found.name}`;
		case 'path':
			return `${formatFeet(toMillimetres(found.at))} along`;
		case 'wall':
			return `wall at ${formatFeet(toMillimetres(found.height))}`;
		case 'gone':
			return found.what === 'piece' ? 'on a piece that is gone' : `a ${found.what} that is gone`;
	}
}

/** An extra line in words: how many, of what, and what becomes of it. */
export function lineWords(line: ExtraLine, name: string, { sections }: Recipe): string {
	const text = (value: string) => String(Math.round(rational(value).valueOf() * 1000) / 1000);
	const count = line.range ? `${text(line.range.low)} to ${text(line.range.high)}` : text(line.quantity);
	const names = new Map(servable({ sections }));
	const serves = line.serves.flatMap((id) => names.get(id)?.trim() ?? []);
	return [
		`${count} × ${name}`,
		line.choice ? line.choice.when || 'either, or' : '',
		line.role === 'always' ? '' : line.role === 'by-product' ? 'left over' : line.role,
		line.range ? 'estimated' : '',
		line.onSpot ? 'measured on the spot' : '',
		serves.length > 0 ? `for ${serves.join(' and ')}` : '',
		line.swappable ? 'swappable' : ''
	]
		.filter(Boolean)
		.join(' · ');
}

/** A row, a size or an arm of a run or a weave, as it is said. */
function lineOf(
	structure: Structure,
	about: string,
	recipe: Pick<Recipe, 'sections' | 'slots'>
): string | undefined {
	const lines =
		structure.kind === 'run'
			? printRun(structure, recipe, () => undefined)
			: structure.kind === 'weave'
				? printWeave(structure, recipe, () => undefined)
				: [];
	return lines.find((l) => l.id === about)?.text;
}

/** The line a balloon of the picture belongs to: its row, its piece, or the design inside that it is part of. */
export function aboutWords(
	about: string,
	{ sections, slots }: Recipe,
	served: ReadonlyMap<string, readonly string[]> = new Map()
): string {
	for (const { id, name, structure } of sections) {
		if (id === about) return name;
		if (structure.kind === 'stack') {
			const at = structure.layers.findIndex((l) => l.id === about);
			if (at >= 0) {
				const held = served.get(about);
				const row = `${name}, row ${at + 1}: ${printLayer(structure.layers[at]!, slots)}`;
				return held ? `${row}, ${held.join(', ')}` : row;
			}
		}
		const part = partsOf(structure).find((p) => p.id === about);
		if (part) return `${name}: ${part.count} × ${part.name}`;
		const line = lineOf(structure, about, { sections, slots });
		if (line !== undefined) return `${name}: ${line}`;
		const piece = structure.kind === 'applied' && structure.pieces.find((p) => p.id === about);
		if (piece) return `${countOfPiece(piece)} × ${piece.name}, ${piece.fixing}`;
	}
	return '';
}
