import { GONE } from '../../document/names.ts';
import { collected, partAmong, printHung } from '../kit/print-lines.ts';
import { formatInches, um, type Micrometres } from '../../units/length.ts';
import { mixed, rational } from '../../units/rational.ts';
import type { PrintContext, PrintedLine, PrintFacet } from '../facets/print.ts';
import type { Run, Branch, RunPath } from './document.ts';
import { slotsOf } from '../../document/pattern.ts';
import { printBalloon, printCluster } from '../kit/print-balloon.ts';
import { printLong, printOwn } from '../kit/print-words.ts';
import { slotName } from '../../document/names.ts';

const inch = (length: Micrometres): string => `${formatInches(length)} in`;

export function printPath(path: RunPath, recipe: Pick<PrintContext, 'sections'>): string {
	switch (path.kind) {
		case 'line':
			return `line ${printLong(path.length)}`;
		case 'arch':
			return `${path.curve === 'ellipse' ? 'arch' : 'catenary'} ${printLong(path.span)} by ${printLong(path.rise)}`;
		case 'corners':
			return `corners ${path.legs.map((l) => `${l.way} ${printLong(l.length)}${l.pitch === null ? '' : ` apart ${inch(l.pitch)}`}`).join(', ')}`;
		case 'helix':
			return `helix ${printLong(path.across)} across ${printLong(path.height)} high ${path.turns} turns`;
		case 'curve':
			return `curve ${path.points.map((p) => p.map(feetOf).join(' by ')).join(', ')} ft`;
		case 'lent':
			return `along ${recipe.sections.find((s) => s.id === path.by)?.name ?? GONE.part}`;
	}
}

/** A coordinate in feet, to a thousandth. */
const feetOf = (value: number): string =>
	String(Math.round((value / 304_800) * 1000) / 1000).replace('-', '−');

export const printBranch = ({ kind, at, way, length, pitch }: Branch): string =>
	`${kind} at ${printLong(at)} ${way} ${printLong(length)}${pitch === null ? '' : ` apart ${inch(pitch)}`}`;

/** Everything said of a run, in the order it would be said. */
function printRun(run: Run, context: PrintContext): PrintedLine[] {
	const { slots, materialOf } = context;
	const { lines, say } = collected();
	const lifted =
		run.path.kind === 'lent' ? '' : ` lifted ${run.height === 0 ? 'floor' : printLong(run.height)}`;
	say(`${printPath(run.path, context)}${run.height === 0 && run.path.kind !== 'line' ? '' : lifted}`, 'path');
	for (const branch of run.branches) say(printBranch(branch), 'branch', branch.id);
	for (const row of run.rows) {
		const tail = [
			row.repeat > 1 ? `×${row.repeat}` : '',
			row.pitch === null ? '' : `apart ${inch(row.pitch)}`,
			row.joining ? `joined ${row.joining}` : ''
		];
		const { pattern, places } = row.cluster;
		const slot = places[0]?.slot ?? slotsOf(pattern)[0]!;
		say([printCluster(row.cluster, slots), ...tail].filter(Boolean).join(' '), 'row', row.id, slot);
	}
	for (const part of run.mix) {
		const colours = part.colours.map(
			(c) => `${c.parts > 1 || part.colours.length > 1 ? `${c.parts} ` : ''}${slotName(c.slot, slots)}`
		);
		say(
			`${mixed(rational(part.share))} % ${printBalloon(part)} of ${colours.join(' / ')}`,
			'mix',
			part.id,
			part.colours[0]!.slot
		);
	}
	for (const infill of run.infill) {
		const many =
			infill.low === infill.high ? figure(infill.low) : `${figure(infill.low)} to ${figure(infill.high)}`;
		const colour = infill.slot === null ? 'open' : slotName(infill.slot, slots);
		say(`infill ${many} a foot ${printBalloon(infill)} ${colour}`, 'infill', infill.id, infill.slot);
	}
	const { organic } = run;
	if (run.mix.length > 0) {
		say({ 'all round': 'all round', wall: 'against a wall', table: 'on a table' }[organic.seen]);
		if (organic.fullness !== '1') say(`fullness ${figure(organic.fullness)}`);
		if (organic.thicker !== 'even')
			say(organic.thicker === 'middle' ? 'thicker in the middle' : `thicker at the ${organic.thicker}`);
		if (organic.clusters !== null) say(`${figure(organic.clusters)} clusters a foot`);
		if (organic.taught)
			say(
				`${printLong(organic.taught.length)} took ${organic.taught.counts.map((c) => `${c.count} ${formatInches(c.nominal)}`).join(' + ')}`
			);
		say(
			`counted by ${organic.by === 'by the foot' ? 'the foot' : organic.by === 'packed' ? 'packing' : 'clusters'}`
		);
	}
	if (run.joining !== 'twisted on') say(`joined ${run.joining}`);
	if (run.corner) say(`corner ${printOwn(run.corner, slots)}`, 'more', null, run.corner.slot);
	if (run.spine) {
		const { material, tails, loops, ties } = run.spine;
		const named = material === null ? '' : ` ${materialOf(material)?.name ?? GONE.part}`;
		const more = [
			tails > 0 ? ` tails ${printLong(um(tails))}` : '',
			loops > 0 ? ` ${loops} loops` : '',
			ties === '0' ? '' : ` ${figure(ties)} ties a metre`
		];
		say(`spine${named}${more.join('')}`);
	}
	if (run.hung) say(printHung(run.hung, materialOf));
	if (run.spare > 0) say(`spare ${run.spare} clusters`);
	return lines;
}

const figure = (text: string): string => mixed(rational(text));

export const print: PrintFacet<Run> = {
	lines: printRun,
	said: (run, { text }, context) => [text, ...printRun(run, context).map((l) => l.text)],
	part: (run, id, section, context) => partAmong(printRun(run, context), id, section)
};
