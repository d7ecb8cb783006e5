import { GONE } from '../../document/names.ts';
import { partAmong, printHung, said } from '../kit/print-lines.ts';
import { formatInches, um, type Micrometres } from '../../units/length.ts';
import { mixed, rational } from '../../units/rational.ts';
import type { PrintContext, PrintedLine, PrintFacet } from '../facets/print.ts';
import type { Branch, Infill, MixPart, Organic, Run, RunPath, RunRow, Spine } from './document.ts';
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
			return `corners ${path.legs.map((l) => `${l.way} ${printLong(l.length)}${l.pitch === null ? '' : ` apart ${inch(l.pitch)}`}${many(l)}`).join(', ')}`;
		case 'helix':
			return `helix ${printLong(path.across)} across ${printLong(path.height)} high ${path.turns} turns`;
		case 'curve':
			return `curve ${path.points.map((p) => p.map(feetOf).join(' by ')).join(', ')} ft`;
		case 'lent':
			return `along ${recipe.sections.find((s) => s.id === path.by)?.name ?? GONE.part}`;
	}
}

const many = ({ clusters }: { readonly clusters?: number | undefined }): string =>
	clusters === undefined ? '' : ` of ${clusters} clusters`;

/** A coordinate in feet, to a thousandth. */
const feetOf = (value: number): string =>
	String(Math.round((value / 304_800) * 1000) / 1000).replace('-', '−');

export const printBranch = ({ kind, at, way, length, pitch, clusters, turned }: Branch): string =>
	`${kind} at ${printLong(at)} ${way} ${printLong(length)}${pitch === null ? '' : ` apart ${inch(pitch)}`}${many({ clusters })}${turned ? ' turned' : ''}`;

/** Everything said of a run, in the order it would be said. */
function printRun(run: Run, context: PrintContext): PrintedLine[] {
	const lifted =
		run.path.kind === 'lent' ? '' : ` lifted ${run.height === 0 ? 'floor' : printLong(run.height)}`;
	const path = printPath(run.path, context);
	return [
		said(`${path}${run.height === 0 && run.path.kind !== 'line' ? '' : lifted}`, 'path'),
		...printOpen(run),
		...run.branches.map((branch) => said(printBranch(branch), 'branch', branch.id)),
		...run.rows.map((row) => printRow(row, context)),
		...run.mix.map((part) => printMix(part, context)),
		...run.infill.map((infill) => printInfill(infill, context)),
		...(run.mix.length > 0 ? printOrganic(run.organic).map((text) => said(text)) : []),
		...printHeld(run, context)
	];
}

/** What of its length is not known, how many are on it, and what is otherwise somewhere along it. */
function printOpen({ open, clusters, free, taper }: Run): PrintedLine[] {
	return [
		...(open ? [said(`open ${printLong(open.low)} to ${printLong(open.high)}`)] : []),
		...(clusters === undefined ? [] : [said(`${clusters} clusters in all`)]),
		...(free ?? []).map(({ id, at, length }) =>
			said(`free ${printLong(length)} at ${at === 0 ? 'start' : printLong(at)}`, 'branch', id)
		),
		...(taper
			? [said(`${taper.at === 'both' ? 'ends' : taper.at} thinner to ${inch(taper.size)} over ${taper.clusters} clusters`)]
			: [])
	];
} // prettier-ignore

function printRow({ id, cluster, repeat, pitch, joining }: RunRow, { slots }: PrintContext): PrintedLine {
	const tail = [
		repeat > 1 ? `×${repeat}` : '',
		pitch === null ? '' : `apart ${inch(pitch)}`,
		joining ? `joined ${joining}` : ''
	];
	const slot = cluster.places[0]?.slot ?? slotsOf(cluster.pattern)[0]!;
	return said([printCluster(cluster, slots), ...tail].filter(Boolean).join(' '), 'row', id, slot);
}

function printMix(part: MixPart, { slots }: PrintContext): PrintedLine {
	const colours = part.colours.map(
		(c) => `${c.parts > 1 || part.colours.length > 1 ? `${c.parts} ` : ''}${slotName(c.slot, slots)}`
	);
	const much = part.each === undefined ? `${mixed(rational(part.share))} %` : `about ${part.each} of each`;
	const text = `${much} ${printBalloon(part)} of ${colours.join(' / ')}`;
	return said(text, 'mix', part.id, part.colours[0]!.slot);
}

function printInfill(infill: Infill, { slots }: PrintContext): PrintedLine {
	const { low, high, slot, id } = infill;
	const many = low === high ? figure(low) : `${figure(low)} to ${figure(high)}`;
	const colour = slot === null ? 'open' : slotName(slot, slots);
	return said(
		`infill ${many} a foot${infill.each ? ` clusters of ${infill.each}` : ''} ${printBalloon(infill)} ${colour}`,
		'infill',
		id,
		slot
	);
}

const SEEN = { 'all round': 'all round', wall: 'against a wall', table: 'on a table' } as const;
const COUNTED = { 'by the foot': 'the foot', packed: 'packing', clusters: 'clusters' } as const;

/** How a mix is seen, filled and counted; what is as it usually is says nothing. */
function printOrganic({ seen, fullness, thicker, clusters, taught, by, scattered }: Organic): string[] {
	const sizes = taught?.counts.map((c) => `${c.count} ${formatInches(c.nominal)}`).join(' + ');
	return [
		SEEN[seen],
		fullness === '1' ? '' : `fullness ${figure(fullness)}`,
		thicker === 'even' ? '' : thicker === 'middle' ? 'thicker in the middle' : `thicker at the ${thicker}`,
		clusters === null ? '' : `${figure(clusters)} clusters a foot`,
		taught ? `${printLong(taught.length)} took ${sizes}` : '',
		`counted by ${COUNTED[by]}`,
		scattered ? 'scattered' : ''
	].filter(Boolean);
}

/** How its clusters are joined and what holds them. */
function printHeld(run: Run, { slots, materialOf }: PrintContext): PrintedLine[] {
	const { joining, corner, spine, hung, spare, changes } = run;
	return [
		...(joining === 'twisted on' ? [] : [said(`joined ${joining}`)]),
		...(corner ? [said(`corner ${printOwn(corner, slots)}`, 'more', null, corner.slot)] : []),
		...(spine ? [said(printSpine(spine, materialOf))] : []),
		...(changes ?? []).map((change) => {
			const to =
				change.to === 'joining'
					? `joined ${change.joining}`
					: `spine ${materialOf(change.material)?.name ?? GONE.part}`;
			return said(`from ${printLong(change.at)} ${to}`, 'branch', change.id);
		}),
		...(hung ? [said(printHung(hung, materialOf))] : []),
		...(spare > 0 ? [said(`spare ${spare} clusters`)] : [])
	];
}

function printSpine(
	{ material, tails, loops, ties, round }: Spine,
	materialOf: PrintContext['materialOf']
): string {
	const named = material === null ? '' : ` ${materialOf(material)?.name ?? GONE.part}`;
	return [
		`spine${named}`,
		tails > 0 ? ` tails ${printLong(um(tails))}` : '',
		loops > 0 ? ` ${loops} loops` : '',
		ties === '0' ? '' : ` ${figure(ties)} ties a metre`,
		round ? ` round each balloon ${inch(round)}` : ''
	].join('');
}

const figure = (text: string): string => mixed(rational(text));

export const print: PrintFacet<Run> = {
	lines: printRun,
	said: (run, { text }, context) => [text, ...printRun(run, context).map((l) => l.text)],
	part: (run, id, section, context) => partAmong(printRun(run, context), id, section)
};
