import { toHeight } from '../../recipe/to-height.ts';
import { stacksIn } from '../../structures/stack/edit.ts';
import { printLayer } from '../../structures/stack/print.ts';
import { MICROMETRES } from '../../units/length.ts';
import type { EntryContext } from '../context.ts';
import { partsInHand, type PartInHand } from '../sentences/parts.ts';
import { changed, recoloured, slotsIn, takenApart, together } from './changes.ts';
import { coloursIn } from './colours.ts';
import { matched, N, type Reading, re } from './reading.ts';
import { bare } from './wording.ts';

/** A part that is said, and what is said of it. */
function whichPart(words: string, context: EntryContext): { part: PartInHand; rest: string } | undefined {
	const parts = partsInHand(context);
	const found =
		matched(String.raw`(?:make |put |have |turn |do |change |switch |set |repeat |recolou?r |i want |with )?(?:the )?(?:(bottom|lowest|top|last|topmost) (?:row|layer|1)|(base|foot)|row (\d+)|(\d+)(?:st|nd|rd|th) row|(first|second|third) row)(?: is| are| should be| could be| can be| to| into| becomes)?,? (.+)`, words); // prettier-ignore
	const bag = found
		? null
		: (matched(String.raw`(?:make |put |have |turn |bring |take )?(?:the|all the) (\d+)§ (.+)`, words) ??
			matched(String.raw`(?:all )?(\d+)§ (?:down|up) (to .+)`, words));
	const byColour = found
		? null
		: matched(
				String.raw`(?:make |put |have |turn |do |repeat )?(?:the )([a-z]+) (?:row|layer|ones?|1)s? (?:to |in )?(.+)`,
				words
			);
	const colour = byColour ? coloursIn(byColour[1]!, context) : undefined;
	const coloured =
		colour?.length === 1
			? parts.filter((p) => slotsIn(p.text, context).some((s) => s.split(/\s+/).includes(byColour![1]!)))
			: [];
	if (byColour && coloured.length === 1) return { part: coloured[0]!, rest: byColour[2]! };
	const own = bag && parts.findLast((p) => re(String.raw`^\d+ (?:× )?${bag[1]} `).test(p.text));
	if (bag && own) return { part: own, rest: bag[2]! };
	if (!found) {
		const part = parts.at(-1);
		return part && { part, rest: words };
	}
	const [, called, base, n, nth, ordinal, rest] = found;
	const end = called ?? base;
	const at = end
		? /bottom|lowest|base|foot/.test(end)
			? 0
			: parts.length - 1
		: Number(n ?? nth ?? ['', 'first', 'second', 'third'].indexOf(ordinal!)) - 1;
	const part = parts[at];
	return part && { part, rest: rest! };
}

/** `all the whites half an inch bigger`: each row of that colour by itself, where there are several. */
function everyOne(colour: string, change: string, context: EntryContext): readonly string[] | undefined {
	const own = partsInHand(context).filter((p) => slotsIn(p.text, context).some((s) => s.split(/\s+/).includes(colour))); // prettier-ignore
	if (own.length < 2) return undefined;
	const lines = own.map((p) => relative(`${p.called} ${change}`, context));
	return lines.every((l) => l !== undefined) ? lines.flat() : undefined;
}

const OUT =
	/^(?:undo |throw (?:out |away )|strike |take (?:out |away |off )?|remove |scrap |delete |drop |lose |get rid of )(?:the |that )?(last row|top row|bottom row|row \d+|top|bottom|row|last (?:one|1)|layer|it|that|this)(?: row)?(?: out| off| away| again)?$/;

/** What is said of a row that is there: other, out, once more. */
export const relative: Reading = (sentence, context) => {
	const parts = partsInHand(context);
	if (parts.length === 0) return undefined;
	const filled = matched('(?:put|pour|fill|add) (?:some )?(sand|water|marbles) in(?:to|side)? (?:the )?(row \\d+|bottom row|top row|base)', sentence); // prettier-ignore
	if (filled)
		return relative(`${filled[2] === 'base' ? 'bottom row' : filled[2]} filled with ${filled[1]}`, context);
	// “one more row in pink” is a row, no change of those there are.
	const oneMore = matched(
		String.raw`(?:(?:now|and|then|add|just) )*(?:1|one|a) (?:more|extra) (?:row|layer)(?: in| of) ([a-z ]+)`,
		sentence
	);
	const last = oneMore ? takenApart(parts.at(-1)!) : undefined;
	const coloured = last && recoloured(last, `in ${oneMore![1]}`, context);
	if (coloured) return [together({ ...coloured, repeat: 1 })];
	const plural = matched(String.raw`(?:make |turn |have )?(?:all )?(?:the )?([a-z]+)s (.+)`, sentence);
	if (
		plural &&
		slotsIn(plural[1]!, context).length +
			context.slots.filter((s) => s.name.toLowerCase().split(/\s+/).includes(plural[1]!)).length >
			0
	)
		return (
			everyOne(plural[1]!, plural[2]!, context) ?? relative(`the ${plural[1]} ones ${plural[2]}`, context)
		);
	const more = matched(
		String.raw`(?:and )?(?:add|give it|put on|go) (?:another )?(\d+) (?:more )?(rows|layers|levels)(?: more)?(?: on top)?`,
		sentence
	);
	if (more) return relative(`${more[1]} more ${more[2]}`, context);
	const bag = matched(
		String.raw`(?:take|remove|delete|lose|drop|scrap) (?:off |out |away )?(?:the )?(\d+)(?:§|″)?(?: off| out| away)?`,
		sentence
	);
	const large = bag ? parts.filter((p) => re(String.raw`^\d+ (?:× )?${bag[1]} `).test(p.text)) : [];
	if (large.length === 1) return [`${large[0]!.called} taken out`];
	if (
		matched('(?:no|without (?:a|the)|(?:lose|drop|leave off|leave out|take off) the) topper', sentence) &&
		/^1 /.test(parts.at(-1)!.text)
	)
		return [`${parts.at(-1)!.called} taken out`];
	if (
		parts.length % 2 === 1 &&
		matched('(?:take out|remove|delete|lose|drop|scrap) the middle (?:row|layer|1|one)', sentence)
	)
		return [`${parts[(parts.length - 1) / 2]!.called} taken out`];
	const out = OUT.exec(sentence);
	if (out) {
		const which = /^row \d|bottom/.test(out[1]!)
			? out[1]!.replace(/^bottom$/, 'bottom row')
			: parts.at(-1)!.called;
		return [`${which} taken out`];
	}
	const once = matched(String.raw`(?:repeat|copy|do|same as|like|again) (?:the )?(row \d+|bottom row)(?: again| once more)?`, sentence); // prettier-ignore
	if (once) {
		const part = once[1] === 'bottom row' ? parts[0] : parts[Number(once[1]!.slice(4)) - 1];
		return part && [part.text.replace(/×(?=\d)/, 'x')];
	}
	const again = /^(?:(?:the )?same as (?:that|before|last)|(?:and |do )?(?:the )?same(?: (?:again|thing|one|row))?|again|another(?: one| 1)?(?! (?:\d+ )?(?:layer|row)s?)|one more(?! in| layer| row| of)|1 more(?! in| layer| row| of| balloon)|once more|(?:the )?next (?:one|1|row|layer)(?: is| up| comes?)?|(?:the )?same as (?:that|before))[,:]?(?: but)? (.+)$/.exec(sentence); // prettier-ignore
	const which = again ? { part: parts.at(-1)!, rest: again[1]! } : whichPart(sentence, context);
	const now = which && takenApart(which.part);
	if (!now) return undefined;
	const own = !again && which.rest === sentence;
	const next = changed(now, which.rest, context, own ? 'what is in hand' : 'what is said');
	if (!next) return undefined;
	return [again ? together(next) : `${which.part.called} becomes ${together(next)}`];
};

/** `make it 6 ft tall`: by as many layers as come nearest; of a colour all that is of it. */
export const whole: Reading = (sentence, context) => {
	const { recipe } = context;
	const text = bare(sentence);
	const tall = matched(
		String.raw`(?:(?:make|have|let) (?:it|this|that|them)(?: be)?|it (?:should|must|has to|needs to) be|it(?: i|')s|i want it|(?:can|could|should) it be|(?:make )?(?:the )?(?:whole thing|lot|piece)(?: is| should be)?|all|in all)? ?(?:about )?${N} (ft|cm|m)(?: (?:tall|high|over all|in all|altogether))`,
		sentence
	);
	// “bring it to 7 ft” with one ball on top is said of all that is under it.
	const up = matched(
		String.raw`(?:bring|take|get|build) (?:it|this|everything|all of it) (?:up )?to ${N} (ft|cm|m)`,
		sentence
	);
	const parts = up ? partsInHand(context) : [];
	if (up && parts.length > 1 && /^1 /.test(parts.at(-1)!.text))
		return whole(`make it ${up[1]} ${up[2]} tall`, context);
	if (tall && recipe) {
		const mm = (Number(tall[1]) * MICROMETRES[tall[2] as 'ft']) / 1000;
		const stack =
			stacksIn(recipe).find(({ section }) => section.id === context.section) ?? stacksIn(recipe)[0];
		if (!stack) return undefined;
		const own = { ...recipe, sections: [stack.section] };
		const done = toHeight(own, mm, context.pumps, 'over all').recipe;
		const [after] = stacksIn(done);
		const lines = (after?.stack.layers ?? []).flatMap((layer, i) =>
			layer.repeat === stack.stack.layers[i]?.repeat
				? []
				: [
						`row ${i + 1} becomes ${printLayer(layer, context.slots, after?.stack.layers).replace(/×(?=\d)/, 'x')}`
					]
		);
		return lines.length > 0 ? lines : undefined;
	}
	const swap =
		matched('(?:swap|exchange|change|replace) (?:the |all )?([a-z -]+?) (?:for|to|with|by|into) (?:the )?([a-z -]+)', text) ??
		matched('(?:everything|all|what is|whatever is)(?: that is| thats)? (?:the )?([a-z -]+?) (?:should be|becomes|to|in|is) ([a-z -]+)', text) ??
		matched('(?:the |all |every |each )?([a-z]+)(?: ones?| 1)? (?:(?:should|must|has to|needs to|ought to) be|becomes|become|turns?(?: into)?) ([a-z -]+)', text) ??
		matched('([a-z]+) (?:to|into) ([a-z]+)', text) ??
		matched('(?:all|every|each)(?: the)? ([a-z]+) (?:ones?|1) (?:in )?([a-z -]+)', sentence.replace(/,? please$/, '')) ??
		reversed(matched('([a-z -]+?) instead of (?:the )?([a-z -]+)', text)) ??
		reversed(matched('([a-z]+) for (?:the )?([a-z]+)(?: ones?| 1)?', sentence)) ??
		reversed(matched('([a-z]+) where (?:the )?([a-z]+)(?: ones?| 1)? (?:is|was|are|were)', sentence)); // prettier-ignore
	if (!swap || coloursIn(swap[2]!, context)?.length !== 1) return undefined;
	return [`${swap[1]} becomes ${swap[2]}`];
};
const reversed = (found: readonly string[] | null) => found && [found[0]!, found[2]!, found[1]!];

/** `two of them, mirrored, left and right`: the section in hand, as many times as are said. */
export const copies: Reading = (sentence, { recipe, section }) => {
	const own = recipe?.sections.find((s) => s.id === section);
	const found = matched(
		String.raw`(\d+) of (?:them|these|those|it)(,? mirrored)?(,? (?:1 )?(?:on the )?left and (?:1 )?(?:on the )?right|,? either side|,? on both sides)?(?: of (?:the )?([a-z ]+?))?(,? mirrored)?`,
		sentence
	);
	if (!own || !found || !(found[2] ?? found[3] ?? found[5])) return undefined;
	const by = found[4] ?? recipe?.sections.find((s) => s.id === own.stand.by)?.name;
	const sides = found[3] !== undefined;
	if (sides && by === undefined) return undefined;
	const mirrored = sides || found[2] !== undefined || found[5] !== undefined;
	return [`section ${own.name} x${found[1]}${mirrored ? ' mirrored' : ''}${sides ? ` left of ${by}` : ''}`];
};
