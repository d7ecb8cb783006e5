import type { ExtraLine, Host, Recipe, Section } from '../../core/recipe/recipe.ts';
import { printLayer } from '../../core/recipe/entry/print-entry.ts';
import { partsOf } from '../../core/plan/bunch-steps.ts';
import { countOfPiece } from '../../core/structures/applied.ts';
import { formatFeet, toMillimetres } from '../../core/units/length.ts';
import { rational } from '../../core/units/rational.ts';

/** Where a section stands and how many there are, as the row above its layers says it. */
export function standingWords({ stand, times, mirror }: Section, { sections }: Recipe): string {
	const host = sections.find((s) => s.id === stand.by)?.name;
	const where = !host
		? 'on the floor'
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

/** `row 3 place 2`, places counted as the plan goes round. */
function placeWords(id: string, sections: readonly Section[]): string {
	for (const { structure } of sections) {
		if (structure.kind !== 'stack') continue;
		for (const [at, layer] of structure.layers.entries()) {
			const place = layer.clusters.flatMap((c) => c.places).findIndex((p) => p.id === id);
			if (place >= 0) return `row ${at + 1} place ${place + 1}`;
		}
	}
	return 'a place that is gone';
}

/** What a piece sits on. */
export function hostWords(host: Host, { sections }: Recipe): string {
	switch (host.on) {
		case 'layer':
			return `${rowWords(host.layer, sections)} ${host.side === 'all' ? 'round' : host.side}`;
		case 'place':
			return placeWords(host.place, sections);
		case 'piece': {
			const pieces = sections.flatMap((s) => (s.structure.kind === 'applied' ? s.structure.pieces : []));
			return `on ${pieces.find((p) => p.id === host.piece)?.name ?? 'a piece that is gone'}`;
		}
		case 'wall':
			return `wall at ${formatFeet(toMillimetres(host.height))}`;
	}
}

/** An extra line in words: how many, of what, and what becomes of it. */
export function lineWords(line: ExtraLine, name: string, { sections }: Recipe): string {
	const text = (value: string) => String(Math.round(rational(value).valueOf() * 1000) / 1000);
	const count = line.range ? `${text(line.range.low)} to ${text(line.range.high)}` : text(line.quantity);
	const serves = line.serves.flatMap((id) => sections.find((s) => s.id === id)?.name ?? []);
	return [
		`${count} × ${name}`,
		line.choice ? line.choice.when || 'either, or' : '',
		line.role === 'always' ? '' : line.role === 'by-product' ? 'left over' : line.role,
		line.range ? 'estimated' : '',
		serves.length > 0 ? `for ${serves.join(' and ')}` : '',
		line.swappable ? 'swappable' : ''
	]
		.filter(Boolean)
		.join(' · ');
}

/** The line a balloon of the picture belongs to: its row, its piece, or the design inside that it is part of. */
export function aboutWords(about: string, { sections, slots }: Recipe): string {
	for (const { id, name, structure } of sections) {
		if (id === about) return name;
		if (structure.kind === 'stack') {
			const at = structure.layers.findIndex((l) => l.id === about);
			if (at >= 0) return `${name}, row ${at + 1}: ${printLayer(structure.layers[at]!, slots)}`;
		}
		const part = partsOf(structure).find((p) => p.id === about);
		if (part) return `${name}: ${part.count} × ${part.name}`;
		const piece = structure.kind === 'applied' && structure.pieces.find((p) => p.id === about);
		if (piece) return `${countOfPiece(piece)} × ${piece.name}, ${piece.fixing}`;
	}
	return '';
}
