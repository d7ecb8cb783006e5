import type { Asked, Balloon } from '../../by-hand/asked.ts';
import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { Pattern } from '../../document/pattern.ts';
import type { Hanging, Hung } from '../../document/hung.ts';
import type { ColourRef, SaidBalloon, SaidCluster, SaidPattern } from '../../language/said.ts';
import type { Material } from '../../materials/material.ts';
import { feet, type Micrometres } from '../../units/length.ts';

/** What is said with besides what the fields hold. */
export interface HandKit {
	/** The slot of the n-th colour; of more than there are, they begin anew. */
	readonly colour: (index: number) => ColourRef;
	/** What that slot is called. */
	readonly name: (index: number) => string;
	/** How many different colours there are, 1 or more. */
	readonly colours: number;
	/** What the Stockroom knows of a thing. */
	readonly material: (id: Id) => Material | undefined;
	/** What was pressed for it: a piece goes on that. */
	readonly on?: { readonly host: Host; readonly section: Id } | undefined;
}

/** How colours fall, in her words. */
export const PATTERN_WORDS = {
	spiral: 'in a spiral',
	rings: 'a row each',
	list: 'side by side',
	checker: 'like a chequerboard',
	gradient: 'from one into the next',
	blocks: 'rows in turn'
} as const satisfies Partial<Record<Pattern['kind'], string>>;
export type PatternKind = keyof typeof PATTERN_WORDS;
export const PATTERN_KINDS = Object.keys(PATTERN_WORDS) as PatternKind[];

/** One colour is the same everywhere whatever is asked; rows in turn take a number each, which no field here asks. */
export const PATTERN = {
	kind: 'choice',
	label: 'Colours go',
	options: PATTERN_KINDS.filter((k) => k !== 'blocks').map((k) => [k, PATTERN_WORDS[k]] as const),
	start: 'spiral'
} as const satisfies Asked;

/** One colour. */
export const COLOUR = { kind: 'colours', label: 'Colour', most: 1, start: 1 } as const satisfies Asked;

export const saidBalloon = ({ nominal, size }: Balloon): SaidBalloon => ({
	kind: 'latex-round',
	nominal,
	size: { kind: 'value', um: size, unit: 'in', origin: 'typed' },
	method: null
});

/** The n-th colour alone. */
export const plain = (kit: HandKit, index: number): SaidPattern => ({
	kind: 'same',
	colours: [{ ref: kit.colour(index), rings: 1 }],
	hand: 'right'
});

/** All colours in a pattern. */
export const patterned = (kit: HandKit, kind: string): SaidPattern =>
	kit.colours < 2
		? plain(kit, 0)
		: {
				kind: kind as SaidPattern['kind'],
				colours: Array.from({ length: kit.colours }, (_, i) => ({ ref: kit.colour(i), rings: 1 })),
				hand: 'right'
			};

export const cluster = (count: number, balloon: Balloon, pattern: SaidPattern): SaidCluster => ({
	...saidBalloon(balloon),
	count,
	pattern,
	others: [],
	side: 'all',
	tier: 0
});

/** Where a long piece hangs, in her words. */
export const HANGS = {
	kind: 'choice',
	label: 'It hangs on',
	options: [
		['hooks', 'hooks'],
		['pins', 'pins'],
		['backdrop', 'a backdrop'],
		['stand', 'a stand'],
		['fishing line', 'fishing line'],
		['ties', 'ties'],
		['', 'nothing yet']
	],
	start: 'hooks'
} as const satisfies Asked;

/** What holds a piece that hangs. */
export const HOLDS = {
	kind: 'thing',
	label: 'What holds it',
	kinds: ['fitting', 'tie', 'base', 'adhesive', 'accent'],
	none: 'not chosen yet'
} as const satisfies Asked;

/** Something holds it every so far: two feet is usual. */
export const hangs = (by: string, material: Id | null, every: Micrometres = feet(2)): Hung | null =>
	by === '' ? null : { by: by as Hanging, material, every };

/** Each colour in every size, the first one twice as often as each of the others. */
export const coloursOfMix = (kit: HandKit): readonly { ref: ColourRef; parts: number }[] =>
	Array.from({ length: kit.colours }, (_, i) => ({
		ref: kit.colour(i),
		parts: i === 0 && kit.colours > 1 ? 2 : 1
	}));
