import type { Id } from '../../document/id.ts';
import { got, refuse, type Parsed } from '../../errors.ts';
import { shorten } from '../../units/number.ts';
import { designUse } from '../../structures/design/empty.ts';
import { ON_THE_FLOOR, type Stand } from '../../document/stand.ts';
import type { Section } from '../../recipe/recipe.ts';
import { findMaterial } from '../names/find-material.ts';
import { designsCalled } from '../names/find-design.ts';
import type { Entry, SaidSection } from '../entry.ts';
import { KEYWORDS, type UsableDesign } from '../context.ts';
import { MOST_IN_NAME } from '../../document/limits.ts';
import { wordsMatch } from '../names/name-colour.ts';
import { hostHere, rowOf } from '../host.ts';
import { startOf, STARTS } from '../../structures/registry/language.ts';
import { hostsOf } from '../../structures/registry/refs.ts';
import { lengthOf, type Reader } from '../reader.ts';
import { isWord } from '../tokens.ts';

/** `section arm x2 mirrored left of column at 4 ft`; `use whisk on column`. Words of a name run up to the next keyword. */
export function section(r: Reader): Parsed<Entry> | undefined {
	const verb = r.word('use', ...STARTS.keys());
	if (!verb) return undefined;
	const { sections = [], designs = [] } = r.context;
	const words = [...sideWord(r), ...nameWords(r)];
	const name = words.join(' ');
	if (name === '')
		return refuse(
			'missing',
			verb === 'use' ? 'Use which design? Name one of the Shelf.' : `Name the ${verb}, like “${verb} arm”.`
		);
	if (name.length > MOST_IN_NAME)
		return refuse('too-big', `A name has at most ${MOST_IN_NAME} letters. Take some out.`);
	const used = designsCalled(words, designs);
	if (verb === 'use' && used.length !== 1) return noDesign(used, name);
	const again = verb === 'use' ? undefined : sections.find((s) => s.name.toLowerCase() === name);
	if (again) return goOn(r, verb, again);
	const standing = standingOf(r, verb === 'use');
	if (!standing.ok) return standing;
	const [design] = used;
	const structure = verb === 'use' ? designUse(design!.id) : STARTS.get(verb)!();
	const called = verb === 'use' ? design!.name : name;
	return got({ kind: 'section', section: { name: called, ...standing.value, structure } });
}

function noDesign(used: readonly UsableDesign[], name: string) {
	const some = used.slice(0, 3).map((d) => d.name);
	return some.length > 0
		? refuse('ambiguous', `“${shorten(name)}” could be ${some.join(', ')}. Type more of it.`)
		: refuse('unknown-word', `No kept design that may stand here is called “${shorten(name)}”.`);
}

type Standing = Omit<SaidSection, 'name' | 'structure'> & { swappable: boolean };

const UNSAID: Standing = { times: 1, mirror: false, swappable: false, stand: ON_THE_FLOOR };

/** How many there are and where they stand, in any order. @param isDesign whether it may be swappable */
function standingOf(r: Reader, isDesign: boolean, so: Standing = UNSAID): Parsed<Standing> {
	let said = so;
	for (;;) {
		if (r.word('mirrored')) said = { ...said, mirror: true };
		else if (isDesign && r.word('swappable')) said = { ...said, swappable: true };
		else if (r.word('x', 'times')) {
			const times = r.number()?.valueOf() ?? 0;
			if (!Number.isInteger(times) || times < 1 || times > 24)
				return refuse('too-big', 'A section stands 1 to 24 times.');
			said = { ...said, times };
		} else {
			const more = placeOf(r, said.stand);
			if (more === undefined) return got(said);
			if (!more.ok) return more;
			said = { ...said, stand: { ...said.stand, ...more.value } };
		}
	}
}

/** Where it stands, word by word. @param stand what is said of it already */
function placeOf(r: Reader, stand: Stand): Parsed<Partial<Stand>> | undefined {
	if (isWord(r.now, 'on', 'left', 'right', 'front', 'back', 'round', 'over')) return besideOf(r);
	if (r.word('gap')) {
		const value = r.number();
		const gap = value && lengthOf(value, r.unit() ?? r.long(value));
		return gap === undefined
			? refuse('not-a-length', 'How much air between them? Type it like “gap 5 ft”.')
			: got({ gap });
	}
	if (r.word('tied')) {
		r.word('with', 'by');
		const tie = findMaterial(r.words('down'), r.context.materials);
		if (!tie.ok || !r.word('down')) return tie.ok ? got({ tie: tie.value.id, down: undefined }) : tie;
		r.word('to');
		const down = tiedDown(r, stand);
		return down.ok ? got({ tie: tie.value.id, down: down.value }) : down;
	}
	if (isWord(r.now, 'at') && isWord(r.next, 'row', 'top')) return atRow(r, stand);
	if (!r.word('at')) return undefined;
	const value = r.number();
	const height = value && lengthOf(value, r.unit() ?? r.long(value));
	if (height === undefined)
		return refuse('not-a-length', 'At which height over the floor? Type it like “at 4 ft”.');
	if (stand.by === null || stand.how === 'on top' || stand.how === 'over')
		return refuse('refused', 'A height is for a section beside another, like “left of column at 4 ft”.');
	return got({ height });
}

/** `left of column`: which section, and on which side of it. */
function besideOf(r: Reader): Parsed<Partial<Stand>> {
	const { sections = [] } = r.context;
	const side = r.all[r.at++]!.text;
	r.word('of');
	const from = r.at;
	const host = nameWords(r);
	const called = host.join(' ');
	const exact = sections.find((s) => s.name.toLowerCase() === called);
	const isPart = sections.some((s) =>
		hostsOf(s.structure).named.some((n) => n.name.toLowerCase() === called)
	);
	const by = exact ?? (isPart && side === 'on' ? undefined : sections.find((s) => wordsMatch(host, s.name)));
	const seat =
		side === 'on' &&
		(!by ||
			isWord(r.now, 'row', 'top', 'between') ||
			(hostsOf(by.structure).spots?.length ?? 0) > 0 ||
			(isWord(r.now, 'at') && hostsOf(by.structure).along))
			? seatOf(r, from)
			: undefined;
	if (seat) return seat;
	return by
		? got({ by: by.id, how: side === 'on' ? 'on top' : (side as Stand['how']), at: undefined })
		: refuse(
				'unknown-word',
				`There is no section “${shorten(host.join(' '))}” to stand by. There is ${sections.map((s) => s.name).join(', ')}.`
			);
}

/** `on column row 3 front`, `on left arm`, `on mast at 20 in`: what of another section it sits on; undefined where no part is meant. */
function seatOf(r: Reader, from: number): Parsed<Partial<Stand>> | undefined {
	const after = r.at;
	r.at = from;
	const seat = hostHere(r, null);
	if (seat.ok && seat.value.section !== null)
		return got({ by: seat.value.section, how: 'on top', at: seat.value.host, height: null, layer: null });
	if (!seat.ok && r.at > after) return seat;
	r.at = after;
	return undefined;
}

/** `down to row 2` of what it stands on: the row the tie is fixed to. */
function tiedDown(r: Reader, stand: Stand): Parsed<Id> {
	const host = r.context.sections?.find((s) => s.id === stand.by);
	if (!host)
		return refuse(
			'refused',
			'Say first what it stands on, like “on column tied with soft line down to row 2”.'
		);
	const row = rowOf(r, host);
	return row.ok ? got(row.value.id) : row;
}

/** `at row 3`, `at top row` of what it stands beside. */
function atRow(r: Reader, stand: Stand): Parsed<Partial<Stand>> {
	r.at++;
	const host = r.context.sections?.find((s) => s.id === stand.by);
	if (!host || stand.how === 'on top' || stand.how === 'over')
		return refuse('refused', 'A row is for a section beside another, like “left of column at row 3”.');
	const row = rowOf(r, host);
	return row.ok ? got({ layer: row.value.id }) : row;
}

/** A section that is there already is taken in hand again; another of its name needs a name of its own. */
function goOn(r: Reader, verb: string, own: Section): Parsed<Entry> {
	if (r.now && (verb === 'section' || verb === startOf(own.structure))) return standAnew(r, own);
	if (r.now || (verb !== 'section' && verb !== startOf(own.structure)))
		return refuse(
			'refused',
			`There is a section “${own.name}” already. Give this one a name of its own, like “${verb} other ${own.name}”; “section ${own.name}” alone goes on in the one that is there.`
		);
	return got({ kind: 'go on', section: own.id });
}

/** `section arm x2 mirrored left of column`, of one that is there: how many of it and where, from now on. */
function standAnew(r: Reader, own: Section): Parsed<Entry> {
	const { times, mirror, stand } = own;
	const said = standingOf(r, false, { times, mirror, stand, swappable: false });
	if (!said.ok) return said;
	const { sections = [] } = r.context;
	for (let by = said.value.stand.by; by !== null; by = sections.find((s) => s.id === by)?.stand.by ?? null)
		if (by === own.id)
			return refuse('refused', `${own.name} cannot stand by what stands by it. Say another section.`);
	return got({
		kind: 'stand',
		section: own.id,
		to: { times: said.value.times, mirror: said.value.mirror, stand: said.value.stand }
	});
}

function nameWords(r: Reader): string[] {
	const words: string[] = [];
	while (
		r.now?.kind === 'word' &&
		!KEYWORDS.has(r.now.text) &&
		r.now.text !== 'round' &&
		r.now.text !== 'over'
	)
		words.push(r.all[r.at++]!.text);
	return words;
}

/** “left wing” is a name: a side with a word of its own behind it, not “left of”. */
function sideWord(r: Reader): string[] {
	const { now, next } = r;
	if (next?.kind !== 'word' || next.text === 'of' || KEYWORDS.has(next.text)) return [];
	return isWord(now, 'left', 'right', 'front', 'back') ? [r.all[r.at++]!.text] : [];
}
