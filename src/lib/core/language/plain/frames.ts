import type { ShopSheet } from '../../structures/facets/count.ts';
import { sheetOf } from '../../structures/registry/count.ts';
import { matched, N, re, type Reading } from './reading.ts';
import { Left } from './wording.ts';

/** What can be said of a frame while it is in hand: its outline in whatever order, what it is of, how it is joined. */
export const frames: Reading = (said, { sections = [], section }) => {
	const named = matched('(?:an? )?(?:new )?frame(?: called| named) ([a-z]+(?: [a-z]+)?)', said);
	if (named) return [`frame ${named[1]}`];
	const own = sections.find((s) => s.id === section);
	const frame = own && sheetOf(own.structure);
	// “plate 12 in with pole 5 ft of 1 in pipe” begins a frame where none is in hand.
	const stand =
		/^(?:an? )?(?:(plate|base) (?:of )?([\d.]+)(?:″| in\b)|([\d.]+)(?:″| in\b) (plate|base)),? (?:with|and) (?:an? )?(?:(?:pole|post) (?:of )?([\d.]+ ?(?:ft|m))|([\d.]+ ?(?:ft|m)) (?:pole|post))(?:(?:,| of| in) (?:an? )?([\d.]+)(?:″| in\b) (?:pipe|tube))?$/.exec(
			said
		);
	if (stand) {
		const [, , wide, other, , high, tall, tube] = stand;
		const line = `post ${high ?? tall} on plate ${wide ?? other} in${tube === undefined ? '' : ` tube ${tube} in`}`;
		return frame ? [line] : ['frame stand', line];
	}
	if (!frame) return undefined;
	// “a 6 ft pipe standing on a 12 in plate”.
	const both =
		/^(.+?),? (?:(?:that |which )?(?:stands?|standing|set|screwed|sits?|with its foot) )?((?:on|with) an? .*(?:plate|base)(?: of [\d.]+″)?)$/.exec(
			said
		);
	const [up, foot] = both ? [outline(both[1]!), small(both[2]!, frame)] : [];
	if (up && foot) return [...up, ...foot];
	return outline(said) ?? small(said, frame);
};

const LENGTH = String.raw`${N}(?: ?(ft|m|cm|″))?`;
const unit = (n: string, own: string | undefined, usual = 'ft'): string =>
	`${n} ${own === '″' ? 'in' : (own ?? usual)}`;

/** `a door frame 8 ft wide and 7 ft high with 3 foot feet` in whatever order its measures are said. */
function outline(said: string): string[] | undefined {
	const bent = matched(
		String.raw`(?:bend |take |bent )?(?:an? |the )?${LENGTH}(?: stick| tube| pipe| conduit)?,? (?:and )?(?:bent |bend it )?(?:at|by) ((?:\d|,|\.|″| |and)+)`,
		said
	);
	if (bent && /bend|bent/.test(said)) {
		const marks = [...bent[3]!.matchAll(/\d+(?:\.\d+)?/g)].map(([n]) => `${n} in`);
		return [`bent ${unit(bent[1]!, bent[2])} at ${marks.join(', ')}`];
	}
	const left = new Left(
		said
			.replace(/[,.]/g, ' ')
			.replace(/\bfor (?:an?|the|our) (?:back )?wall\b/g, 'back')
			.replace(/\b(?:an?|the|of tube|frame|called)\b/g, ' ')
			.replace(/\s+/g, ' ')
	);
	const feet =
		left.take(re(String.raw`\b(?:with |and )?feet (?:of |are )?${LENGTH}`)) ??
		left.take(re(String.raw`\b(?:with |and )?${LENGTH} feet\b`));
	const bars = left.take(/\b(?:with |and )?(\d+) (?:cross ?)?bars?\b/);
	const tree = left.take(re(String.raw`\b(?:with |and )?${LENGTH} (?:tree|arm|yard)(?: at)? ${LENGTH}`));
	const arm = tree
		? undefined
		: left.take(
				re(
					String.raw`\b(?:with |and )?(?:an? )?(?:tree|arm|yard)(?: of)? ${LENGTH}(?: across| wide| long)? at ${LENGTH}`
				)
			);
	const foot =
		left.take(re(String.raw`\b(?:on )?${LENGTH} (?:off the floor|up|off floor|stand|above floor)\b`)) ??
		left.take(re(String.raw`\bfoot ${LENGTH}`)) ??
		left.take(re(String.raw`\b(?:standing|stood|stands|set) on ${LENGTH}(?=\s|$)`));
	const by = left.take(re(String.raw`${LENGTH} (?:by|x) ${LENGTH}`));
	const high = by ? undefined : left.take(re(String.raw`${LENGTH} (?:high|tall)\b`));
	const wide = by ? undefined : left.take(re(String.raw`${LENGTH} (?:wide|across)\b`));
	const kind = left.take(/\b(post|pole|pipe|tube|mast|upright|goal|door|back|hoop|ring|arc|arch)\b/)?.[1];
	const bare = by || high || wide ? undefined : left.take(re(String.raw`(?<!\S)${LENGTH}(?=\s|$)`));
	if (!kind || left.text.replace(/\b(?:of|with|and|is|that|on)\b/g, ' ').trim() !== '') return undefined;
	const up = high ?? bare;
	const tall = by ? unit(by[3]!, by[4] ?? by[2]) : up && unit(up[1]!, up[2]);
	const across = by ? unit(by[1]!, by[2] ?? by[4]) : wide && unit(wide[1]!, wide[2]);
	const stands = feet ? ` feet ${unit(feet[1]!, feet[2])}` : '';
	const yard = tree ?? arm;
	if (yard && tall) return [`cross ${tall} tree ${unit(yard[1]!, yard[2])} at ${unit(yard[3]!, yard[4])}`];
	if (/post|pole|pipe|tube|mast|upright/.test(kind)) return tall && !across ? [`post ${tall}`] : undefined;
	if (/hoop|ring/.test(kind)) {
		const round = across ?? tall;
		return round ? [`hoop ${round}${foot ? ` foot ${unit(foot[1]!, foot[2])}` : ''}`] : undefined;
	}
	if (!tall || !across) return undefined;
	if (/arc/.test(kind)) return [`arc ${across} by ${tall}`];
	return kind === 'back'
		? [`back ${across} by ${tall}${stands}${bars ? ` bars ${bars[1]}` : ''}`]
		: [`door ${across} by ${tall}${stands}`];
}

/** What it is joined by, stands on, comes in; another height of a post. */
function small(said: string, frame: ShopSheet): string[] | undefined {
	const letter = matched(String.raw`(?:an? |the )?(?:letter|number) ([a-z0-9]),? (?:of )?${LENGTH}(?: tall| high)?(?:,? (?:with|on) ${LENGTH} feet)?`, said);
	if (letter) return [`letter ${letter[1]!.toUpperCase()} ${unit(letter[2]!, letter[3])}${letter[4] ? ` feet ${unit(letter[4], letter[5])}` : ''}`];
	const box = matched(String.raw`${N} sticks?(?: of| at)? ${LENGTH}(?: tall| high| long)?(?:,? ${LENGTH} apart)?,? in (?:cups in )?an? box`, said);
	if (box) return [`box ${box[1]} ${box[1] === '1' ? 'stick' : 'sticks'} ${unit(box[2]!, box[3])}${box[4] ? ` apart ${unit(box[4], box[5], 'in')}` : ''}`];
	const pole = matched(String.raw`(?:an? |two |2 )?(?:telescopic|adjustable|extending|sliding) (?:pole|post|stand|upright)s?(?: (?:of|from))? ${LENGTH} (?:to|and) ${LENGTH},? (?:set |pulled out |opened |out )?(?:at|to) ${LENGTH}(?: high| tall)?(?:,? (?:with|and) (?:an? )?(?:${LENGTH} bar|bar of ${LENGTH})(?: between(?: them)?| across)?)?`, said);
	if (pole) {
		const bar = pole[7] ? unit(pole[7], pole[8]) : pole[9] && unit(pole[9], pole[10]);
		return [`telescopic ${unit(pole[1]!, pole[2] ?? pole[4])} to ${unit(pole[3]!, pole[4])} at ${unit(pole[5]!, pole[6])}${bar ? ` bar ${bar}` : ''}`];
	}
	const guys = matched(String.raw`(?:guy|guyed|stay|stake|tie)(?: it)?(?: down)?(?: with| by)? ${N} (?:guy )?lines?(?: tied)? at ${LENGTH},? (?:and )?(?:stakes? |staked )?${LENGTH} out`, said);
	if (guys) return [`guyed ${guys[1]} at ${unit(guys[2]!, guys[3])} out ${unit(guys[4]!, guys[5])}`];
	const cover = matched('(?:wrap|cover|hide|wind|dress)(?:p?ed)?(?: it| the tube| the pole| the frame)?(?: in| with| by)? (tissue|fabric|paint|balloons?)|(paint)(?: it| the tube| the pole| the frame)', said);
	if (cover) return [`covered in ${cover[1] ?? cover[2]}`];
	const ground = matched(String.raw`(?:on|for) (?:the )?(grass|paving|stage|table|indoors),? (?:it )?(?:(?:needs|takes|has|wants|stands on|goes on|on) )?(?:an? )?${LENGTH}(?: wide)? (?:plate|base)`, said);
	if (ground) return [`for ${ground[1]} on plate ${unit(ground[2]!, ground[3], 'in')}`];
	const taller = matched(String.raw`(?:make it |it is |it should be )?${LENGTH} (?:high|tall)`, said);
	if (taller && frame.outline.startsWith('post ')) return [`post ${unit(taller[1]!, taller[2])}`];
	if (matched('(?:do not|dont|don.t|never|not) glued?(?: it| them| together)?|dry|not glued', said)) return ['dry'];
	if (matched('(?:glue|glued)(?: it| them)?(?: together)?(?: all)?', said)) return ['glued'];
	if (matched('(?:screw|screwed)(?: it| them)?(?: together)?', said)) return ['screwed'];
	const uses = matched('(?:it )?(?:use(?: it)?|used|lasts?(?: for)?|is good for|made for|for) (\\d+) (?:times|uses|jobs)', said);
	if (uses) return [`used ${uses[1]} times`];
	if (matched('(?:with)?(?:out an?|no) (?:base|plate)', said)) return ['no base'];
	const of = matched(String.raw`(?:on|with) (?:an? |the )?(?:foot |base )?(?:plate|base) of ${LENGTH}`, said);
	if (of) return [`on plate ${unit(of[1]!, of[2], 'in')}`];
	const plate = matched(String.raw`(?:(?:it )?stands )?(?:on|with) (?:an? |the )?${LENGTH}(?: wide)? (?:base |foot )?(?:plate|base)`, said);
	if (plate) return [`on plate ${unit(plate[1]!, plate[2], 'in')}`];
	const tube = matched(String.raw`(?:the )?(?:tube|pipe) (?:is )?${LENGTH}(?: (?:wide|thick|across))?`, said);
	if (tube) return [`tube ${unit(tube[1]!, tube[2], 'in')}`];
	const sticks = matched(String.raw`(?:the )?(?:sticks|lengths|they) (?:come|are|comes)(?: in)? ${LENGTH}(?: lengths| long)?`, said);
	return sticks ? [`sticks of ${unit(sticks[1]!, sticks[2])}`] : undefined;
} // prettier-ignore
