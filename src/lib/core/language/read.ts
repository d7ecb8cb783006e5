import { got, refuse, type Parsed } from '../errors.ts';
import { parseWait } from '../units/duration.ts';
import { MOST_TYPED, shorten, type NumberStyle } from '../units/number.ts';
import { UPRIGHTS } from '../structures/stack/document.ts';
import type { Entry, EntryContext } from './entry.ts';
import { item } from '../structures/bunch/read.ts';
import { leave, pricing, rule, size, swap } from './sentences/choices.ts';
import { formPiece } from '../structures/form/read.ts';
import { layer, START } from '../structures/stack/read.ts';
import { lines } from '../structures/extras/read.ts';
import { piece } from '../structures/applied/read.ts';
import { runLine } from '../structures/run/read.ts';
import { weaveLine } from '../structures/weave/read.ts';
import { section } from './sentences/section.ts';
import { lengthOf, Reader } from './reader.ts';
import { isMark, isWord, tokens } from './tokens.ts';

/**
 * Reads one line of the entry line. The grammar is documented in `docs/ENTRY-LINE.md`.
 * @returns what it means, or a sentence that says what to type instead
 */
export function parseEntry(text: string, context: EntryContext): Parsed<Entry> {
	if (text.trim() === '') return refuse('missing', START);
	if (text.length > MOST_TYPED)
		return refuse('too-big', 'That is too long for one layer. Put each layer on a line of its own.');
	const step = stepOf(text, context.style);
	if (step) return step;
	const reader = new Reader(tokens(text, context.style), context);
	if (isMark(reader.now, '-') || isMark(reader.now, '−'))
		return refuse('negative', 'A count cannot be negative. Type 1 or more.');
	const entry =
		section(reader) ??
		item(reader) ??
		formPiece(reader) ??
		runLine(reader) ??
		weaveLine(reader) ??
		stands(reader) ??
		upright(reader) ??
		size(reader) ??
		pricing(reader) ??
		leave(reader) ??
		swap(reader) ??
		rule(reader) ??
		piece(reader) ??
		lines(reader) ??
		layer(reader);
	if (!entry.ok) return entry;
	if (reader.now)
		return refuse(
			'unknown-word',
			`I read all but “${shorten(reader.rest())}”. Take it out, or see the shorthand page.`
		);
	return entry;
}

/** `step cover it with a sheet`, `step at site fill the base`: a step of the plan in her own words, as she writes them. */
function stepOf(text: string, style: NumberStyle): Parsed<Entry> | undefined {
	const said = /^\s*step\b\s*(at (?:the )?(?:site|bench)|on site|after hanging)?\s*[:,]?\s*(.*)$/iu.exec(
		text
	);
	if (!said) return undefined;
	const words = said[2]!.trim();
	if (words === '')
		return refuse('missing', 'Say what is done, like “step at site fill the base with water”.');
	const where = said[1]?.toLowerCase() ?? '';
	const place = where.endsWith('site') ? 'site' : where.endsWith('hanging') ? 'after hanging' : 'bench';
	const waited = /(?:^|[\s,;])wait\s+(?:for\s+)?(.*)$/iu.exec(words);
	const wait = waited ? parseWait(waited[1]!, style) : got(null);
	// A wait in words that are no time is only words: “wait for the client”.
	return got({ kind: 'step', text: words, place, wait: wait.ok ? (wait.value ?? 0) : 0 });
}

/** `stands on a table`: its lowest balloons touch no floor, so no patch is put under them; `stands on the floor`. */
function stands(r: Reader): Parsed<Entry> | undefined {
	if (!isWord(r.now, 'stands') || !isWord(r.next, 'on')) return undefined;
	r.at += 2;
	r.word('a', 'the');
	if (r.word('floor', 'ground')) return got({ kind: 'stands', onFloor: true });
	if (r.word('table', 'board', 'box', 'shelf', 'plinth')) return got({ kind: 'stands', onFloor: false });
	return refuse(
		'unknown-word',
		'Stands on what? Type “stands on the floor”, “stands on a table”, “a board” or “a box”.'
	);
}

function upright(r: Reader): Parsed<Entry> | undefined {
	if (r.word('no')) {
		if (r.word('pole', 'stick', 'mast', 'line', 'upright'))
			return got({ kind: 'upright', upright: { kind: 'none', length: null } });
		r.at--;
	}
	const kind = UPRIGHTS.find((u) => u !== 'none' && isWord(r.now, u.split(' ')[0]!));
	if (!kind) return undefined;
	r.at++;
	r.word('balloon');
	const value = r.number();
	if (!value) return refuse('missing', `Say how long the ${kind} is, like “${kind} 7 ft”.`);
	const length = lengthOf(value, r.unit() ?? 'ft');
	if (length === undefined) return refuse('too-big', `A ${kind} is between 6 in and 100 ft long.`);
	return got({ kind: 'upright', upright: { kind, length } });
}
