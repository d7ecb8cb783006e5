import { applyEntry } from '../../src/lib/core/language/apply.ts';
import type { RecipeDraft } from '../../src/lib/core/recipe/draft.ts';
import { parseEntry } from '../../src/lib/core/language/read.ts';
import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';
import { designOf, entryContext, floating } from './studio.ts';

export const PUMPS = [{ id: 'hand', name: 'hand pump', pairs: [{ strokes: 4, diameter: 114.3 }] }];
export const USED = [{ id: 'whisk', name: 'whisk' }];
export const STOCK = [
	...floating,
	{ ...floating.at(-1)!, kind: 'accent' as const, mark: null, id: 'stake', name: 'stake' },
	{ ...floating.at(-1)!, kind: 'adhesive' as const, mark: null, id: 'strip', name: 'adhesive strip' }
];

/** What stands there before a line is typed. */
export const COLUMN = ['4 11 at 9 white', '4 11 at 9 red', '1 star card swappable'];
export const BUNCH = [...COLUMN, 'bunch moons'];
export const FORM = [...COLUMN, 'form arms'];
export const RUN = ['run pipe', 'corners up 6 ft, right 8 ft, down 6 ft', 'run garland'];
export const MIX = [...RUN, 'line 20 ft', '60 % 11 at 9 of white', '40 % 5 at 4 of red'];
const WEAVE = ['weave panel', 'panel of 10 links at 9'];
const FRAME = ['frame mast'];
const BASE = ['weave stand', 'base of 10 links at 9, 8 by 4'];
const TWO = [...COLUMN, 'section arm', '4 5 at 4 white'];

/** Lines for every production of the document, each with what is there before it. */
export const LINES: Readonly<Record<string, readonly (readonly [readonly string[], ...string[]])[]>> = {
	line: [
		[COLUMN, '4 11 at 9 white', 'section leg', 'use whisk', 'bunch tops', 'form legs', 'run rope', 'weave wall', 'frame mast', 'pole 7 ft', 'put 1 11 at 9 white on row 1', '2 stake', 'size 4 ft', 'swap white and red', 'each strip takes 2 stake', 'priced by margin 40 %', 'step cover it'],
		[BUNCH, '3 11 at 10 white'],
		[FORM, '6 260 red'],
		[RUN, 'line 8 ft'],
		[WEAVE, 'row 8 red'],
		[FRAME, 'post 5 ft']
	],
	layer: [[COLUMN, '4 11 at 9 white', '4 5 or 11 at 4 white', '4 11 at 9 hidden', '4 11 at 9 white + 2 5 at 4 red', '4 11 at 9 white x3']],
	cluster: [[COLUMN, 'a quad of elevens at 9 white', 'two quads of 11 at 9 white', '4 x 11 at 9 white', '3 11 at 9 white with 1 11 at 7 red', '4 11 at 9 white filled with sand', '4 11 at 9 white front', '2 5 at 4 red back tier 1', '1 5 at 4 red left tier 2', '1 5 at 4 red right tier 0']],
	balloon: [[COLUMN, '4 11 white', '4 5 or 11 at 4 white', '4 11 hearts at 9 white', '4 11 at 9 by eye white']],
	side: [[COLUMN, '1 11 at 9 white front', '1 11 at 9 white back', '1 11 at 9 white left', '1 11 at 9 white right']],
	size: [
		[COLUMN, '4 11 at 9 white', '4 11 at 9 in white', '4 11 at 8 to 9 white', '1 11 at 4 strokes of hand pump white', '4 11 at loose white', '4 11 at soft white', '4 11 at full white', '4 11 at random white', '4 11 at by look white', '4 11 at ? white'],
		[COLUMN, 'size 4 ft', 'size small 4 ft scaled']
	],
	colours: [[COLUMN, '4 11 at 9 white / red', '4 11 at 9 spiral white / red', '4 11 at 9 spiral left white / red', '4 11 at 9 spiral right white / red', '4 11 at 9 rings white / red', '4 11 at 9 checker white / red', '4 11 at 9 gradient white / red', '4 11 at 9 blocks 2 white / 1 red']],
	tail: [[COLUMN, '4 11 at 9 white x 3', '4 11 at 9 white 3 times', '4 11 at 9 white x 3 to 5', '4 11 at 9 white x 2 or 4', '4 11 at 9 white like row 1', '4 11 at 9 white x2 like column row 1', '4 11 at 9 white times 3', '4 11 at 9 white to 5 ft', '4 11 at 9 white straight', '4 11 at 9 white joined line', '4 11 white as below', '4 11 white as below + ½', '4 11 white as row 1 − 1']],
	joining: [[COLUMN, '4 11 at 9 white joined twisted on', '4 11 at 9 white joined line', '4 11 at 9 white joined necks', '4 11 at 9 white joined modelling balloon', '4 11 at 9 white joined cluster to cluster']],
	section: [[COLUMN, 'section arm', 'section arm x2 mirrored left of column']],
	bunch: [[COLUMN, 'bunch tops', 'bunch tops on column']],
	form: [[COLUMN, 'form arms', 'form arms on column']],
	item: [[BUNCH, '3 11 at 10 white', '2 to 4 11 at 10 white', '3 or 5 moon foil in air', '2 moon foil in helium', '2 moon foil in air firm', '1 moon foil on ribbon', '1 moon foil on 4 ft thin ribbon as moon swappable', 'letters TIDE of red', '2 letters TIDE at 34 of red', 'weight sack', 'weight 2 sack', 'weight 5 at 3 white filled with sand', 'no weight']],
	limb: [[FORM, '6 260 red', '6 260 at 1½ red 7 + 6', '6 260 red 7 as leg on column row 2 round', '6 260 red / white 7', '1 260 red as band on column row 1 left to column row 2 right']],
	lengths: [[FORM, '6 260 red 7', '6 260 red 7 + 6', '3 260 red 8, 10, 12', '1 260 red 24 in 6 bubbles']],
	model: [[FORM, '1 160 red', '1 260 red', '1 350 red', '1 360 red']],
	shape: [[FORM, '8 260 red 40 wound', '8 260 red 20 trained', '5 260 red 12 bent 180', '5 260 red 12 growing 9½', '2 260 red 20 3 together', '2 260 red 20 softened', '2 260 red 20 neck cut', '2 260 red whole', '2 260 red 20 part used', '2 260 red 12 cut in 2', '2 260 red 9 scrap', '4 260 red tie', '2 260 red 9 trimmed', '2 260 red 20 folded', '1 260 red belt on column row 1 round', '1 260 red twined 3 on column row 1 front', '1 260 red twined on column row 1 front', '1 260 red 20 sleeve', '1 260 red leaving 4']],
	run: [[COLUMN, 'run rope', 'run rope left of column at 4 ft']],
	along: [
		[RUN, 'line 8 ft', 'line 8 ft lifted 4 ft', 'line 8 ft lifted floor', '4 5 at 4 white x 2', '4 5 at 4 white apart 3 in', '4 5 at 4 white joined line', '60 % 11 at 9 of white', '60 % 11 at 9 of 2 white / 1 red', 'all round', 'against a wall', 'on a table'],
		[MIX, 'fullness 1.2', 'thicker in the middle', 'thicker at the start', 'thicker at the end', 'even along', 'counted by clusters', 'counted by the foot', 'counted by packing', '2 clusters a foot', '7 ft took 96 5 + 30 11', '30 in took 10 clusters', 'infill 2 to 4 a foot 5 at 3 red', 'infill 10 in all 5 at 3 open', 'corner 5 at 3 red', 'spare 2 clusters', 'joined line', 'picture 7', 'spine', 'spine soft line tails 2 ft 2 loops 4 ties a metre', 'spine soft line 4 ties a foot', 'no spine', 'hung on hooks', 'tee at 3 ft left 2 ft', 'about 10 of each 5 at 3 of white / red', 'scattered', 'not scattered', 'infill 2 a foot clusters of 3 5 at 2 red', 'spine soft line round each balloon 2 in', '40 clusters in all'],
		[[...RUN, 'line 20 ft', '4 5 at 4 white'], 'line 8 to 12 ft', 'open 15 ft to 25 ft', '40 clusters in all', 'clusters as they fit', 'free 2 ft at 6 ft', 'free 1 ft at start', 'ends thinner to 3 in over 3 clusters', 'start thinner to 3 in over 2 clusters', 'end thinner to 3 in over 2 clusters', 'from 8 ft joined line', 'from 8 ft spine soft line'],
		[[...RUN, 'line 20 ft', '4 5 at 4 white', 'open 15 ft to 25 ft', 'ends thinner to 3 in over 3 clusters'], 'not open', 'ends as thick']
	],
	path: [[RUN, 'line 8 ft', 'line 8 ft to 12 ft', 'corners up 6 ft of 10 clusters, right 4 ft', 'arch 8 ft by 7 ft', 'catenary 8 ft by 2 ft', 'corners up 6 ft apart 5 in, right 4 ft', 'helix 5 ft across 2 ft high 3 turns', 'curve 0 by 0, 2 by 3, 4 by 0 ft', 'along pipe']],
	branch: [[MIX, 'tee at 3 ft left 2 ft', 'tee at 3 ft left 2 ft of 4 clusters turned', 'cross at 3 ft up 2 ft']],
	way: [[RUN, 'corners right 1 ft', 'corners left 1 ft', 'corners up 1 ft', 'corners down 1 ft']],
	hung: [[MIX, 'hung on hooks every 2 ft with wall hook', 'hung on pins', 'hung on stand', 'hung on backdrop', 'hung on fishing line', 'hung on ties', 'hung on plaster wall', 'not hung']],
	wall: [[MIX, 'hung on plaster wall', 'hung on wood wall', 'hung on fabric wall', 'hung on brick wall', 'hung on tile wall', 'hung on glass wall']],
	weave: [[COLUMN, 'weave wall', 'weave wall left of column']],
	woven: [
		[WEAVE, 'panel of 10 links at 9', 'ribbon of 10 links', 'wall of 10 links', 'ring of 10 links', 'basket of 10 links', 'honeycomb of 10 links', 'panel of 11 rounds at 9', 'base of 10 links at 9, 8 by 4', 'base of 10 links at 9, 8 by 4 with 2 cross pieces', 'cage of 10 links at 9, 4 by 3, 3 rings', 'cage of 10 links at 9, 4 by 3 with 1 cross pieces, 3 rings posts 2 every 2 over 1', 'bays of 5 at 3 white', 'no bays', '3 rows 4 white / 4 hidden', 'rows 8 red', 'joined with 5 at 2 white', 'edge none', 'inner single', 'edge duplet', 'edge quad', 'held 1 of 2', 'held 1 of 3 staggered 1', 'strings first', 'ribbons of 2 first', 'row on row', 'bent over 6 ft', 'flat', 'handle of 8 red over 6 ft', 'handle of 8 red over 6 ft to 4 ft', 'no handle', 'hung on backdrop']
	],
	frame: [[COLUMN, 'frame mast', 'frame mast left of column']],
	tubes: [[FRAME, 'post 5 ft on plate 14 in', 'plate 12 in with pole 5 ft', 'door 8 ft by 7 ft feet 3 ft', 'back 6 ft by 7 ft feet 3 ft bars 2', 'cross 7 ft tree 4 ft at 5 ft', 'hoop 5 ft foot 3 ft', 'arc 8 ft by 7 ft', 'bent 10 ft at 13 in, 13 in, 13 in, 9 in', 'of stake', 'tube 2 in', 'sticks of 8 ft', 'no base', 'glued', 'dry', 'screwed', 'used 20 times', 'on stand 14 in', 'letter E 4 ft feet 2 ft', 'number 5 3 ft', 'box 3 sticks 4 ft apart 10 in', 'telescopic 4 ft to 8 ft at 7 ft', 'telescopic pole 4 ft to 8 ft at 8 ft bar 6 ft', 'parts 0 by 0 to 0 by 72 to 48 by 72, 48 by 72 to 48 by 0 by 12 in', 'tube from 0 by 3 to 3 by 3 ft', 'taken apart', 'for grass on plate 30 in', 'for stage no base', 'for grass as usual', 'for indoors on plate 12 in', 'for paving on plate 30 in', 'for table no base', 'covered in fabric', 'covered in paint', 'guyed 3 at 5 ft out 4 ft', 'no guys', 'mesh', 'no mesh', 'covered in tissue', 'covered in balloons', 'no cover'], [[...FRAME, 'door 4 ft by 6 ft feet 2 ft'], 'without tube 2']],
	joint: [
		[WEAVE, 'edge quad', 'inner quad', 'handle quad', 'foot quad', 'ends single'],
		[BASE, 'base none', 'base single', 'base duplet', 'base quad']
	],
	fill: [[COLUMN, '1 16 at 12 white filled with sand', '1 16 at 12 white filled with water', '1 16 at 12 white filled with marbles', '1 16 at 12 white filled with 5 at 4 red', '4 11 at 9 white painted', '1 16 at 12 white ½ filled with sand', '1 5 at 4 white filled with 5 at 2 red filled with sand', '2 11 at 5 white twisted in two', '4 11 at 9 white neck cut']],
	amount: [[COLUMN, ...['200 g', '0.2 kg', '7 oz', '½ lb', '150 ml', '0.2 l', '1 cups'].map((a) => `1 16 at 12 white filled with ${a} sand`), '1 16 at 12 white filled with 5 marbles']],
	painted: [[COLUMN, ...['dots', 'stripes', 'swoosh', 'the side', 'the top', 'the bottom'].map((p) => `4 11 at 9 white painted ${p}`)]],
	use: [[COLUMN, 'use whisk', 'use whisk x2 on column', 'use whisk swappable']],
	where: [[TWO, 'section leg x 2', 'section leg mirrored', 'section leg on arm', 'section leg left of arm', 'section leg round arm', 'section leg over arm', 'section leg left of arm at 4 ft', 'section leg left of arm at row 1', 'section leg left of arm gap 5 ft', 'section leg left of arm tied with soft line', 'section leg on column tied with soft line down to row 1', 'section leg on arm row 1 front', 'section leg on column row 1 place 2 up'], [[...COLUMN, 'put 1 5 at 4 red as head on row 2 front', 'run rope', 'line 6 ft'], 'section leg x 2 on head up', 'section leg on rope at 2 ft', 'bunch tops on head']],
	stands: [[COLUMN, 'stands on the floor', 'stands on a table', 'stands on a board', 'stands on a box']],
	upright: [[COLUMN, 'pole 7 ft', 'stick 3 ft', 'mast 6 ft', 'line 9 ft', 'no pole', 'stick 2 ft of stake']],
	piece: [[COLUMN, 'put 2 to 4 5 at 3 white as dots on row 1 round, 1 to 3 on row 2', 'put 1 5 at 4 white on row 1 with trial loop then glue', 'put 2 5 at 4 white on row 2 front', 'put 2 moon foil as moons on row 1, 1 on row 2 with tie', 'put 1 16 at 12 white filled with 5 at 4 red on row 1']],
	host: [
		[COLUMN, 'put 1 5 at 4 white on row 1', 'put 1 5 at 4 white on column row 1 round', 'put 1 5 at 4 white on row 1 place 2', 'put 1 5 at 4 white on wall at 5 ft'],
		[[...COLUMN, 'put 2 5 at 4 white as eyes on row 2'], 'put 2 5 at 3 red as pupils on eyes', ...['up', 'down', 'left', 'right', 'front', 'back', 'up left', 'down right'].map((way) => `put 2 5 at 3 red as pupils on eyes ${way}`), 'put 1 5 at 4 red as spot on row 1 place 2 up right'],
		[[...RUN, 'line 8 ft', 'section spare'], 'put 1 5 at 4 white on garland at 4 ft'],
		[[...COLUMN, ...FRAME, 'door 6 ft by 7 ft feet 2 ft', ...WEAVE, '3 rows 4 white', 'section spare', '4 5 at 4 white'], ...['top left', 'top', 'top right', 'left', 'right', 'bottom left', 'bottom right', 'middle'].map((s) => `put 1 5 at 4 white on mast ${s}`), 'put 1 5 at 4 white on panel joint 2 row 1', 'put 2 5 at 4 white on panel bay 1 row 1'],
		[COLUMN, 'put 2 5 at 4 white on between row 1 and row 2 front', 'put 2 5 at 4 white on column between row 1 and row 2 round', 'put 1 5 at 4 white on row 2 middle'],
		[[...COLUMN, ...FRAME, 'door 6 ft by 7 ft feet 2 ft'], 'section leg on mast top left', 'section leg on column between row 1 and row 2 front', 'section leg on row 2 middle'],
		[[...RUN, 'line 8 ft', 'form legs on garland'], '1 260 red 7 as leg on garland at 7 ft']
	],
	spot: [[[...COLUMN, ...FRAME, 'door 6 ft by 7 ft feet 2 ft'], ...['top left', 'top', 'bottom right', 'middle'].map((s) => `put 1 5 at 4 white as knob on mast ${s}`)]],
	row: [[COLUMN, 'put 1 5 at 4 white on row 2', 'put 1 5 at 4 white on top row']],
	fixing: [[COLUMN, ...['strip', 'dash', 'glue', 'patch and strip', 'tie', 'tucked', 'trial loop', 'attachment point', 'own tail', 'neck rolled in'].map((f) => `put 1 5 at 4 white on row 1 with ${f}`), 'put 1 5 at 4 white on row 1 with 2 strip', 'put 1 5 at 4 white on row 1 with ½ strip then glue']],
	lines: [[COLUMN, '2 stake', '2 stake or 1 fairy lights', '1 stake swappable']],
	part: [[COLUMN, '2 stake', '2 to 4 stake']],
	role: [[COLUMN, '2 stake serving column row 1', '1 stake serving column, column row 2'],
		[COLUMN, '1 stake optional', '1 stake taken along', '1 stake reused', '1 stake left over', '1 stake from leftovers', '1 stake measured on the spot']],
	open: [[TWO, 'arm optional', 'arm optional when it is outdoors', 'arm always there', 'arm made 3 days before', 'arm made on the day', 'arm made as usual'], [[...TWO, 'section hat'], 'hat instead of arm']],
	choice: [[TWO, 'leave out arm', 'put back arm'], [COLUMN, 'swap white and red', 'swap star card for stake', 'leave out white', 'put back white']],
	change: [
		[COLUMN, 'row 1 becomes 4 11 at 8 red', 'top row becomes 4 11 at 8 red', 'bottom row becomes 4 11 at 8 red', 'last becomes 4 11 at 8 red', 'row 1 taken out', 'red becomes white'],
		[['4 11 at 9 white x5'], 'row 1 split after 2'],
		[[...BUNCH, '3 11 at 10 white'], 'row 1 becomes 3 11 at 9 white'],
		[[...RUN, 'line 8 ft', '4 5 at 4 white'], 'row 1 becomes 4 5 at 3 white']
	],
	rule: [[COLUMN, 'each strip takes 2 adhesive strip', 'each row takes ½ adhesive strip']],
	pricing: [[COLUMN, 'priced by margin 48', 'priced by markup 90 %']],
	step: [[COLUMN, 'step cover it', 'step at site fill the base', 'step after hanging close the gaps', 'step glue the eyes, takes 10 min, wait 5 min, tool glue gun, check nothing slips']]
}; // prettier-ignore

/** What was said so far, and how the next line is read there. @param recipe where more was said since */
export function said(before: readonly string[], recipe: Recipe = designOf(STOCK, 'column', before, PUMPS)) {
	const last = recipe.sections.at(-1)!;
	const section = (last.structure.kind === 'extras' ? recipe.sections[0]! : last).id;
	const context = { ...entryContext(recipe), materials: STOCK, pumps: PUMPS, designs: USED, section };
	return { recipe, section, read: (line: string) => parseEntry(line, context) };
}

/** Documents of every kind of structure, each with all that was said to it one after the other, by the first of its lines. */
export function documents(): Map<string, Recipe> {
	const all = new Map<string, Recipe>();
	for (const [name, groups] of Object.entries(LINES)) {
		for (const [before, ...lines] of groups) {
			const { recipe, section } = said(before);
			const draft = structuredClone(recipe) as RecipeDraft;
			let n = 0;
			for (const line of lines) {
				// Each is read as it is said: with what stands there by then.
				const parsed = said(before, draft as Recipe).read(line);
				if (parsed.ok) applyEntry(draft, parsed.value, { section }, () => `id-${n++}`);
			}
			all.set(`${name}: ${lines[0]}`, draft as Recipe);
		}
	}
	return all;
}
