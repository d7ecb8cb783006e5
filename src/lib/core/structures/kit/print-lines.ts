import { GONE } from '../../document/names.ts';
import type { Id } from '../../document/id.ts';
import type { Hung } from '../../document/hung.ts';
import type { MaterialOf, PrintedLine } from '../facets/print.ts';
import { printLong } from './print-words.ts';

export function printHung({ by, material, every, wall }: Hung, materialOf: MaterialOf): string {
	const named = material === null ? '' : ` with ${materialOf(material)?.name ?? GONE.part}`;
	return `hung on ${wall ? `${wall} wall` : by} every ${printLong(every)}${named}`;
}

/** A line of a section. @param id of a part that can be taken out @param slot whose colour stands before it */
export const said = (
	text: string,
	about: PrintedLine['about'] = 'more',
	id: Id | null = null,
	slot: Id | null = null
): PrintedLine => ({ id, about, text, slot });

/** A part among lines, as it is pointed at. @param section its name */
export function partAmong(lines: readonly PrintedLine[], id: Id, section: string): string | undefined {
	const line = lines.find((l) => l.id === id);
	return line && `${section}: ${line.text}`;
}

/** An item or a piece with a count, as it is pointed at. @param section its name */
export function countedPart(
	parts: readonly { readonly id: Id; readonly name: string; readonly count: number }[],
	id: Id,
	section: string
): string | undefined {
	const part = parts.find((p) => p.id === id);
	return part && `${section}: ${part.count} × ${part.name}`;
}
