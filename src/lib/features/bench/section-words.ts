import { GONE } from '../../core/document/names.ts';
import type { ExtraLine } from '../../core/structures/extras/document.ts';
import type { Host } from '../../core/document/host.ts';
import type { Recipe, Section } from '../../core/recipe/recipe.ts';
import { findHost, rowOf } from '../../core/recipe/find-host.ts';
import { printing } from '../../core/language/print.ts';
import { partIn } from '../../core/structures/registry/print.ts';
import { goesAlong, leads, wayOf } from '../../core/structures/registry/variant.ts';
import { servable } from '../../core/recipe/serving-lines.ts';
import { formatFeet, formatInches, toMillimetres, um } from '../../core/units/length.ts';
import { rational } from '../../core/units/rational.ts';

/** Where a section stands and how many there are, as the row above its layers says it. */
export function standingWords({ stand, times, mirror, structure }: Section, { sections }: Recipe): string {
	const host = sections.find((s) => s.id === stand.by)?.name;
	// What goes its own way may hang; a frame stands, and what goes along another is where that is.
	const way = sections.find((s) => s.id === goesAlong(structure))?.name;
	const up = leads(structure) === 'along its path' ? (wayOf(structure)?.height ?? 0) : 0;
	const where =
		host && stand.at
			? hostWords(stand.at, { sections } as Recipe).replace(/^row/, 'on row')
			: !host
				? way !== undefined
					? `along ${way}`
					: up > 0
						? `${formatFeet(toMillimetres(um(up)))} up`
						: 'on the floor'
				: stand.how === 'on top'
					? `on top of ${host}`
					: `${{ left: 'left of', right: 'right of', front: 'before', back: 'behind', round: 'round', over: 'threaded over' }[stand.how]} ${host}`;
	const row =
		stand.layer === null || stand.how === 'on top' || !host ? '' : ` at ${rowWords(stand.layer, sections)}`;
	const height =
		row !== '' || stand.height === null || stand.how === 'on top' || !host
			? ''
			: ` at ${formatFeet(toMillimetres(stand.height))}`;
	return `${times > 1 ? `×${times}${mirror ? ' mirrored' : ''}, ` : ''}${where}${row}${height}`;
}

/** Whether it is always there, and how long before it may be made. */
export function openWords({ id, open, ahead }: Section, { sections }: Recipe): string {
	const others = sections.filter((s) => s.id !== id && open?.group !== undefined && s.open?.group === open.group);
	const when = open?.when ? ` when ${open.when}` : '';
	const may = !open ? '' : others.length > 0 ? `or ${others.map((s) => s.name).join(' or ')}${when}` : `optional${when}`;
	const made = ahead === undefined ? '' : ahead === 0 ? 'made on the day' : `made up to ${ahead} ${ahead === 1 ? 'day' : 'days'} before`;
	return [may, open?.out ? 'left out' : '', made].filter(Boolean).map((w) => ` · ${w}`).join('');
} // prettier-ignore

/** `row 3`, counted from the floor of its section. */
function rowWords(layer: string, sections: readonly Section[]): string {
	for (const { structure } of sections) {
		const row = rowOf(structure, layer);
		if (row !== undefined) return `row ${row}`;
	}
	return GONE.row;
}

/** What a piece sits on. */
export function hostWords(host: Host, recipe: Recipe): string {
	const found = findHost(host, recipe);
	switch (found.kind) {
		case 'row':
			if (found.in === 'middle') return `row ${found.row}, in its middle`;
			return `${found.in === 'between' ? `between row ${found.row} and ${found.row + 1}` : `row ${found.row}`} ${found.side === 'all' ? 'round' : found.side}`;
		case 'place':
			return `row ${found.row} place ${found.place}${found.way ? `, ${found.way}` : ''}`;
		case 'part':
			return `on ${found.name}${found.way ? `, ${found.way}` : ''}${found.along === undefined ? '' : `, ${formatInches(found.along)} in along`}`;
		case 'path':
			return `${formatFeet(toMillimetres(found.at))} along`;
		case 'spot':
			return found.spot;
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

/** The line a balloon of the picture belongs to: its row, its piece, or the design inside that it is part of. */
export function aboutWords(
	about: string,
	recipe: Recipe,
	served: ReadonlyMap<string, readonly string[]> = new Map()
): string {
	const context = printing(recipe, () => undefined);
	for (const { id, name, structure } of recipe.sections) {
		if (id === about) return name;
		const part = partIn(structure, about, name, context);
		if (part !== undefined) return [part, ...(served.get(about) ?? [])].join(', ');
	}
	return '';
}
