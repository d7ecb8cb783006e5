import { METHODS, PRICE_METHODS, type PriceMethod } from '../../pricing/methods.ts';
import { got, refuse, type Parsed } from '../../errors.ts';
import { COUNTS, type CountOf } from '../../document/rule.ts';
import { shorten } from '../../units/number.ts';
import { rationalText } from '../../units/rational.ts';
import type { SaidOf } from '../../document/measure.ts';
import type { Slot } from '../../document/slot.ts';
import { swappables } from '../../recipe/swap.ts';
import { mayStandFor } from '../../recipe/open-sections.ts';
import { MOST_AHEAD } from '../../recipe/recipe.ts';
import type { Entry, SaidOpen } from '../entry.ts';
import { designsCalled } from '../names/find-design.ts';
import { findMaterial } from '../names/find-material.ts';
import { wordsMatch } from '../names/name-colour.ts';
import { lengthOf, type Reader } from '../reader.ts';

/** What a height is said of, behind it. */
function measure(r: Reader): SaidOf | undefined {
	if (r.word('over')) return r.word('all') ? 'over all' : undefined;
	if (r.word('of')) return r.word('pole') ? 'pole' : undefined;
	return r.word('clusters') ? 'clusters' : undefined;
}

/** `size small 4 ft`, `size 6 ft over all scaled`. */
export function size(r: Reader): Parsed<Entry> | undefined {
	if (!r.word('size')) return undefined;
	const words: string[] = [];
	while (r.now?.kind === 'word') words.push(r.all[r.at++]!.text);
	// “size the whites to 9.5” is said of balloons, in plain words.
	if (/^(?:the|them|it|all|those|these)$/.test(words[0] ?? '') || /^(?:to|at)$/.test(words.at(-1) ?? ''))
		return undefined;
	const value = r.number();
	const unit = r.unit() ?? (value ? r.long(value) : 'ft');
	const height = value && lengthOf(value, unit);
	if (height === undefined)
		return refuse(
			'not-a-length',
			'How tall is it in that size? Type it like “size small 4 ft” or “size small 4 ft over all”.'
		);
	const of = measure(r);
	const by = r.word('scaled') ? 'scale' : 'layers';
	return got({
		kind: 'size',
		size: { name: words.join(' ') || `${value!.toFraction(true)} ${unit}`, height, by, ...(of && { of }) }
	});
}

/** `priced by margin 48 %`, `priced by markup 90 %`: this design its own way. */
export function pricing(r: Reader): Parsed<Entry> | undefined {
	if (!r.word('priced')) return undefined;
	r.word('by', 'at');
	const method = r.word(...PRICE_METHODS) as PriceMethod | undefined;
	const value = method && r.number();
	if (!method || !value)
		return refuse('missing', 'Priced how? Type it like “priced by margin 48 %” or “priced by markup 90 %”.');
	r.mark('%');
	const trouble = METHODS[method].refused(value);
	return trouble
		? refuse('too-big', trouble)
		: got({ kind: 'pricing', pricing: { method, percent: rationalText(value) } });
}

/** `leave out spots`, `put back spots`. */
export function leave(r: Reader): Parsed<Entry> | undefined {
	const out = r.phrase('leave out') ? true : r.phrase('put back') ? false : undefined;
	if (out === undefined) return undefined;
	const from = r.at;
	const slot = slotOf(r, r.words());
	const name = r.all
		.slice(from)
		.map((t) => t.text.trim())
		.join(' ');
	const own = sectionCalled(name, r);
	// A part by its whole name goes before a slot that begins like it.
	if (own && (!slot.ok || slot.value.name.toLowerCase() !== name)) {
		r.at = r.all.length;
		return got({ kind: 'leave section', section: own.id, out });
	}
	return slot.ok ? got({ kind: 'leave', slot: slot.value.id, out }) : slot;
}

const sectionCalled = (name: string, { context: { sections = [] } }: Reader) =>
	sections.length > 1 ? sections.find((s) => s.name.toLowerCase() === name) : undefined;

/** Behind its name: `wing optional when it is outdoors`, `wing always there`, `hat instead of cap`, `base made 3 days before`, `base made as usual`. */
export function openSection(r: Reader): Parsed<Entry> | undefined {
	const { sections = [] } = r.context;
	const text = r.all.map((t) => t.text.trim()).join(' ');
	const own = [...sections]
		.sort((a, b) => b.name.length - a.name.length)
		.find((s) => /^ (?:optional|always there|instead of|made) ?/.test(text.startsWith(s.name.toLowerCase()) ? text.slice(s.name.length) : ''));
	if (!own) return undefined;
	const rest = text.slice(own.name.length + 1);
	const done = (to: SaidOpen) => {
		r.at = r.all.length;
		return got<Entry>({ kind: 'open section', section: own.id, to });
	};
	const optional = /^optional(?: (?:when|if) (.{1,80}))?$/.exec(rest);
	if (optional) {
		const last = sections.every((s) => s.id === own.id || s.open?.out);
		if (last) return refuse('refused', `${own.name} is all there is: nothing would be left without it.`);
		return done({ how: 'optional', when: optional[1] ?? '' });
	}
	if (rest === 'always there') return done({ how: 'always' });
	const other = /^instead of (.+)$/.exec(rest)?.[1];
	if (other !== undefined) {
		const found = sections.find((s) => s.name.toLowerCase() === other && s.id !== own.id);
		if (!found) return refuse('unknown-word', `Instead of what? There is ${sections.filter((s) => s !== own).map((s) => s.name).join(', ') || 'nothing else yet'}.`);
		if (!mayStandFor({ sections }, own, found))
			return refuse('refused', `One of them stands by the other: without ${found.name} there is no ${own.name}.`);
		return done({ how: 'instead', of: found.id });
	}
	if (rest === 'made as usual') return done({ how: 'ahead', days: null });
	if (rest === 'made on the day') return done({ how: 'ahead', days: 0 });
	const days = /^made (?:up to )?(\d+) days? (?:before|ahead)$/.exec(rest);
	if (!days) return undefined;
	return Number(days[1]) <= MOST_AHEAD
		? done({ how: 'ahead', days: Number(days[1]) })
		: refuse('too-big', `At most ${MOST_AHEAD} days before.`);
} // prettier-ignore

/** `swap main and pop` exchanges two colours; `swap topper for whisk` exchanges what is swappable. */
export function swap(r: Reader): Parsed<Entry> | undefined {
	if (!r.word('swap')) return undefined;
	const first = r.words('and', 'for');
	if (r.word('and')) {
		const [a, b] = [slotOf(r, first), slotOf(r, r.words())];
		if (!a.ok) return a;
		if (!b.ok) return b;
		return got({ kind: 'swap slots', slots: [a.value.id, b.value.id] });
	}
	if (!r.word('for') || first.length === 0)
		return refuse(
			'missing',
			'Swap what? Type “swap main and pop” for colours, or “swap star for moon” for a piece.'
		);
	const { recipe, materials, designs = [] } = r.context;
	const names = new Map([...materials, ...designs].map((m) => [m.id, m.name]));
	const elements = recipe ? swappables(recipe, (id) => names.get(id) ?? '') : [];
	const said = first.join(' ');
	const element =
		elements.find((e) => e.name.toLowerCase() === said) ??
		elements.find((e) => wordsMatch(first, e.name) || wordsMatch(first, names.get(e.now) ?? ''));
	if (!element)
		return refuse(
			'unknown-word',
			`Nothing called “${shorten(said)}” is marked swappable here. Mark it first.`
		);
	const to = r.words();
	if (element.what === 'design') {
		const found = designsCalled(to, designs);
		if (found.length !== 1)
			return refuse('unknown-word', `No one kept design is called “${shorten(to.join(' '))}”.`);
		return got({ kind: 'exchange', element: element.element, to: found[0]!.id, design: true });
	}
	const found = findMaterial(to, materials);
	return found.ok
		? got({ kind: 'exchange', element: element.element, to: found.value.id, design: false })
		: found;
}

/** `each strip takes 2 adhesive strip`: a follow-on rule of this design. */
export function rule(r: Reader): Parsed<Entry> | undefined {
	if (!r.word('each')) return undefined;
	const rest = r.rest();
	const of: CountOf | undefined = [...COUNTS]
		.sort((a, b) => b.length - a.length)
		.find((c) => rest.startsWith(`${c} `));
	if (!of) return refuse('unknown-word', `Each of what? There is ${COUNTS.join(', ')}.`);
	r.at += of.split(' ').length;
	const each = r.word('takes') ? r.number() : undefined;
	if (!each || each.compare(0) < 0 || each.compare(10_000) > 0)
		return refuse('missing', `How many does it take? Type it like “each ${of} takes 2 strip”.`);
	const found = findMaterial(nameToTheEnd(r), r.context.materials, '', true);
	return found.ok
		? got({ kind: 'rule', rule: { of, each: rationalText(each), material: found.value.id } })
		: found;
}

/** A name with its figures and marks, to the end of the line: “5 in round, gull white”. */
function nameToTheEnd(r: Reader): string[] {
	const words: string[] = [];
	while (r.now) words.push(r.all[r.at++]!.text.trim());
	return words.filter((w) => w !== ',');
}

function slotOf(r: Reader, words: readonly string[]): Parsed<Slot> {
	const said = words.join(' ');
	const { slots } = r.context;
	const found =
		slots.find((s) => s.name.toLowerCase() === said) ??
		slots.find((s) => s.role === said) ??
		slots.find((s) => s.name.toLowerCase().startsWith(said));
	if (said !== '' && found) return got(found);
	return refuse(
		'unknown-word',
		`“${shorten(said)}” is no slot here. There is ${slots.map((s) => s.name).join(', ') || 'none yet'}.`
	);
}
