import { got, refuse, type Parsed } from '../errors.ts';
import { MOST_IN_CHECK, MOST_IN_TOOL } from '../document/step.ts';
import { parseWait } from '../units/duration.ts';
import { MOST_TYPED, type NumberStyle } from '../units/number.ts';
import { isSaid, readAnywhere, readInHand } from '../structures/registry/language.ts';
import type { Entry } from './entry.ts';
import type { EntryContext } from './context.ts';
import { leave, openSection, pricing, rule, size, swap } from './sentences/choices.ts';
import { START } from './cluster.ts';
import type { Id } from '../document/id.ts';
import { stacksIn, whyNotSplit } from '../structures/stack/edit.ts';
import { withColourWords, withWholeNames } from './names/whole-names.ts';
import { canBecome, partSaid, recolour } from './sentences/parts.ts';
import { section } from './sentences/section.ts';
import { leftOver, Reader } from './reader.ts';
import { isMark, tokens, type Token } from './tokens.ts';

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
	const all = withWholeNames(tokens(text, context.style), context);
	const read = readTokens(all, context);
	if (read.ok) return read;
	const coloured = withColourWords(all, context.colours);
	const again = coloured && readTokens(coloured, context);
	return again?.ok ? again : read;
}

function readTokens(all: readonly Token[], context: EntryContext): Parsed<Entry> {
	const reader = new Reader(all, context);
	if (isMark(reader.now, '-') || isMark(reader.now, '−'))
		return refuse('negative', 'A count cannot be negative. Type 1 or more.');
	const part = partSaid(reader);
	if (part && !part.ok) return part;
	if (part?.value.out) return leftOver(reader) ?? got({ kind: 'taken out', part: part.value.part.id });
	if (part?.value.split !== undefined)
		return leftOver(reader) ?? splitAt(part.value.part.id, part.value.split, context);
	const entry = entryOf(reader);
	const trouble = entry.ok ? (leftOver(reader) ?? entry) : entry;
	if (!part || !trouble.ok) return trouble;
	return isSaid(trouble.value) && canBecome(part.value.part, trouble.value)
		? got({ kind: 'becomes', part: part.value.part.id, entry: trouble.value })
		: refuse(
				'refused',
				'It can only become another of its kind. Type it like “row 2 becomes 4 11 at 9 white”.'
			);
}

/** A row cut in two, where it can be. */
function splitAt(part: Id, after: number, { recipe }: EntryContext): Parsed<Entry> {
	const layer =
		recipe &&
		stacksIn(recipe)
			.flatMap(({ stack }) => stack.layers)
			.find((l) => l.id === part);
	const why = layer
		? whyNotSplit(layer, after)
		: 'Only a row of a column is split. Say its others on lines of their own.';
	return why === undefined ? got({ kind: 'split', part, after }) : refuse('refused', why);
}

/** What the rest of a line says. */
function entryOf(reader: Reader): Parsed<Entry> {
	return (
		openSection(reader) ??
		section(reader) ??
		recolour(reader) ??
		readInHand(reader) ??
		size(reader) ??
		pricing(reader) ??
		leave(reader) ??
		swap(reader) ??
		rule(reader) ??
		readAnywhere(reader) ??
		refuse('missing', START)
	);
}

/** What is used and what is looked at, said behind a step: `tool glue gun`, `check it holds`. */
function besides(words: string): { readonly rest: string; readonly tool: string; readonly check: string } {
	let rest = words;
	const take = (word: string): string => {
		const found = new RegExp(String.raw`[,;]\s*${word}\b:?\s+(?:that\s+)?([^,;]+)`, 'iu').exec(rest);
		if (found) rest = `${rest.slice(0, found.index)}${rest.slice(found.index + found[0].length)}`;
		return found?.[1]!.trim() ?? '';
	};
	const [tool, check] = [take('tool'), take('check')];
	return { rest: rest.trim(), tool, check };
}

/** `step cover it with a sheet`, `step at site fill the base`: a step of the plan in her own words, as she writes them. */
function stepOf(text: string, style: NumberStyle): Parsed<Entry> | undefined {
	const said = /^\s*step\b\s*(at (?:the )?(?:site|bench)|on site|after hanging)?\s*[:,]?\s*(.*)$/iu.exec(
		text
	);
	if (!said) return undefined;
	const { rest: words, tool, check } = besides(said[2]!.trim());
	if (words === '')
		return refuse('missing', 'Say what is done, like “step at site fill the base with water”.');
	if (tool.length > MOST_IN_TOOL)
		return refuse('too-big', `A tool has at most ${MOST_IN_TOOL} letters. Say it shorter.`);
	if (check.length > MOST_IN_CHECK)
		return refuse('too-big', `A check has at most ${MOST_IN_CHECK} letters. Say it shorter.`);
	const where = said[1]?.toLowerCase() ?? '';
	const place = where.endsWith('site') ? 'site' : where.endsWith('hanging') ? 'after hanging' : 'bench';
	const waited = /(?:^|[\s,;])wait\s+(?:for\s+)?(.*)$/iu.exec(words);
	const taken = /(?:^|[\s,;])takes\s+(?:about\s+)?(.*?)(?=[\s,;]+wait\b|$)/iu.exec(words);
	const takes = taken ? parseWait(taken[1]!.replace(/[\s,;]+$/, ''), style) : got(null);
	const wait = waited ? parseWait(waited[1]!, style) : got(null);
	// A wait in words that are no time is only words: “wait for the client”.
	return got({
		kind: 'step',
		text: words,
		place,
		wait: wait.ok ? (wait.value ?? 0) : 0,
		takes: takes.ok ? (takes.value ?? 0) : 0,
		...(tool === '' ? {} : { tool }),
		...(check === '' ? {} : { check })
	});
}
