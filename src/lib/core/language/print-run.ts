import { printSize } from '../sizing/size.ts';
import { formatInches, um, type Micrometres } from '../units/length.ts';
import { mixed, rational } from '../units/rational.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Run, Branch, RunPath } from '../structures/run/document.ts';
import { type Weave, JOINTS } from '../structures/weave/document.ts';
import type { Hung } from '../document/hung.ts';
import { slotsOf } from '../document/pattern.ts';
import { printBalloon, printCluster } from './print-entry.ts';
import { printLong, printOwn, slotName, type MaterialOf } from './print-parts.ts';

/** A line of a run or a weave as it would be typed. What has an id is a part and can be taken out; the others are said anew. */
export interface SaidLineOf {
	readonly id: Id | null;
	readonly about: 'path' | 'row' | 'mix' | 'infill' | 'branch' | 'more';
	readonly text: string;
	/** Slot whose colour stands before it. */
	readonly slot: Id | null;
}

const inch = (length: Micrometres): string => `${formatInches(length)} in`;

export function printPath(path: RunPath, recipe: Pick<Recipe, 'sections'>): string {
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
			return `along ${recipe.sections.find((s) => s.id === path.by)?.name ?? 'what is gone'}`;
	}
}

/** A coordinate in feet, to a thousandth. */
const feetOf = (value: number): string =>
	String(Math.round((value / 304_800) * 1000) / 1000).replace('-', '−');

export const printBranch = ({ kind, at, way, length, pitch }: Branch): string =>
	`${kind} at ${printLong(at)} ${way} ${printLong(length)}${pitch === null ? '' : ` apart ${inch(pitch)}`}`;

function printHung({ by, material, every, wall }: Hung, materialOf: MaterialOf): string {
	const named = material === null ? '' : ` with ${materialOf(material)?.name ?? 'what is gone'}`;
	return `hung on ${wall ? `${wall} wall` : by} every ${printLong(every)}${named}`;
}

/** Lines as they are said one after the other. */
function collected() {
	const lines: SaidLineOf[] = [];
	const say = (
		text: string,
		about: SaidLineOf['about'] = 'more',
		id: Id | null = null,
		slot: Id | null = null
	) => lines.push({ id, about, text, slot });
	return { lines, say };
}

/** Everything said of a run, in the order it would be said. */
export function printRun(
	run: Run,
	recipe: Pick<Recipe, 'sections' | 'slots'>,
	materialOf: MaterialOf
): SaidLineOf[] {
	const { slots } = recipe;
	const { lines, say } = collected();
	const lifted =
		run.path.kind === 'lent' ? '' : ` lifted ${run.height === 0 ? 'floor' : printLong(run.height)}`;
	say(`${printPath(run.path, recipe)}${run.height === 0 && run.path.kind !== 'line' ? '' : lifted}`, 'path');
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
		const named = material === null ? '' : ` ${materialOf(material)?.name ?? 'what is gone'}`;
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

/** Everything said of a weave, in the order it would be said. */
export function printWeave(
	weave: Weave,
	{ slots }: Pick<Recipe, 'slots'>,
	materialOf: MaterialOf
): SaidLineOf[] {
	const { lines, say } = collected();
	const { nominal, size, kind, method } = weave.woven;
	const at = size.kind === 'unknown' ? '' : ` at ${printSize(size)}`;
	const of = `${formatInches(nominal)} ${kind === 'latex-link' ? 'links' : 'rounds'}${at}${method === 'eye' ? ' by eye' : ''}`;
	const base = weave.base
		? ` ${weave.base.along} by ${weave.base.across}${weave.base.cross > 0 ? ` with ${weave.base.cross} cross pieces` : ''}`
		: '';
	say(`${weave.shape} of ${of}${base && at === '' ? ' at ?' : ''}${base}`, 'path');
	for (const { id, repeat, blocks } of weave.rows) {
		const along = blocks
			.map((b) => `${b.count} ${b.slot === null ? 'hidden' : slotName(b.slot, slots)}`)
			.join(' / ');
		say(`${repeat > 1 ? `${repeat} rows` : 'row'} ${along}`, 'row', id, blocks[0]!.slot);
	}
	if (weave.joiner) say(`joined with ${printOwn(weave.joiner, slots)}`, 'more', null, weave.joiner.slot);
	for (const joint of JOINTS) {
		const usual = joint === 'ends' ? 'none' : joint === 'handle' || joint === 'foot' ? 'quad' : 'duplet';
		if (weave.joints[joint] !== usual) say(`${joint} ${weave.joints[joint]}`);
	}
	if (
		weave.take !== 1 ||
		weave.of !== (weave.shape === 'panel' || weave.shape === 'ring' ? 2 : 1) ||
		weave.stagger !== 1
	)
		say(`held ${weave.take} of ${weave.of}${weave.stagger === 1 ? '' : ` staggered ${weave.stagger}`}`);
	if (weave.chord !== null) say(`bent over ${printLong(weave.chord)}`);
	if (weave.handle) {
		const { links, slot, chord, rise } = weave.handle;
		say(
			`handle of ${links} ${slotName(slot, slots)} over ${printLong(chord)}${rise === null ? '' : ` to ${printLong(rise)}`}`,
			'more',
			null,
			slot
		);
	}
	if (weave.hung) say(printHung(weave.hung, materialOf));
	return lines;
}
