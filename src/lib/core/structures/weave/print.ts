import { inRows, type Weave, JOINTS } from './document.ts';
import type { PrintContext, PrintedLine, PrintFacet } from '../facets/print.ts';
import { printOwn, printLong } from '../kit/print-words.ts';
import { slotName } from '../../document/names.ts';
import { partAmong, printHung, said } from '../kit/print-lines.ts';
import { printSize } from '../../sizing/size.ts';
import { formatInches } from '../../units/length.ts';

/** Everything said of a weave, in the order it would be said. */
function printWeave(weave: Weave, { slots, materialOf }: PrintContext): PrintedLine[] {
	const lines: PrintedLine[] = [];
	const say = (...line: Parameters<typeof said>) => lines.push(said(...line));
	const { nominal, size, kind, method } = weave.woven;
	const at = size.kind === 'unknown' ? '' : ` at ${printSize(size)}`;
	const of = `${formatInches(nominal)} ${kind === 'latex-link' ? 'links' : 'rounds'}${at}${method === 'eye' ? ' by eye' : ''}`;
	const base = weave.base
		? ` ${weave.base.along} by ${weave.base.across}${weave.base.cross > 0 ? ` with ${weave.base.cross} cross pieces` : ''}`
		: '';
	const cage = weave.cage
		? ` ${weave.cage.rings} rings posts ${weave.cage.post}${weave.cage.every > 0 ? ` every ${weave.cage.every}` : ''}${weave.cage.over > 0 ? ` over ${weave.cage.over}` : ''}`
		: '';
	say(`${weave.shape} of ${of}${base && at === '' ? ' at ?' : ''}${base}${cage}`, 'path');
	for (const { id, repeat, blocks } of weave.rows) {
		const along = blocks
			.map((b) => `${b.count} ${b.slot === null ? 'hidden' : slotName(b.slot, slots)}`)
			.join(' / ');
		say(`${repeat > 1 ? `${repeat} rows` : 'row'} ${along}`, 'row', id, blocks[0]!.slot);
	}
	if (weave.filler) say(`bays of ${printOwn(weave.filler, slots)}`, 'more', null, weave.filler.slot);
	if (weave.joiner) say(`joined with ${printOwn(weave.joiner, slots)}`, 'more', null, weave.joiner.slot);
	for (const joint of JOINTS) {
		const usual = joint === 'ends' ? 'none' : joint === 'handle' || joint === 'foot' ? 'quad' : 'duplet';
		if (weave.joints[joint] !== usual) say(`${joint} ${weave.joints[joint]}`);
	}
	if (weave.take !== 1 || weave.of !== (inRows(weave.shape) ? 2 : 1) || weave.stagger !== 1)
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
	if (weave.ribbons !== undefined)
		say(weave.ribbons === 1 ? 'strings first' : `ribbons of ${weave.ribbons} first`);
	if (weave.hung) say(printHung(weave.hung, materialOf));
	return lines;
}

export const print: PrintFacet<Weave> = {
	lines: printWeave,
	said: (weave, { text }, context) => [text, ...printWeave(weave, context).map((l) => l.text)],
	part: (weave, id, section, context) => partAmong(printWeave(weave, context), id, section)
};
