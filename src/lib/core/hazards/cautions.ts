import { hazardsOfStructure } from './of-structure.ts';
import type { Bill } from '../bom/bill.ts';
import type { MaterialKind } from '../materials/material.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { inches } from '../units/length.ts';
import { HAZARDS, type Hazard } from './hazard.ts';

/** What is said of a hazard: to those who build, and to the client where it concerns guests. */
interface Words {
	readonly maker: string;
	readonly client?: string;
}

const CHOKING =
	'WARNING: CHOKING HAZARD. Children under 8 years can choke or suffocate on uninflated or broken balloons. Adult supervision required. Keep uninflated balloons from children. Discard broken balloons at once.';
const ALLERGY =
	'Latex: balloons are made of natural rubber latex, which may cause allergic reactions. Tell us if a guest is allergic.';

/** The usual cautions, from memory; the choking line follows the U.S. toy rule 16 CFR 1500.19 (from memory). */
const WORDS: Readonly<Record<Hazard, Words>> = {
	children: { maker: CHOKING, client: CHOKING },
	latex: { maker: ALLERGY, client: ALLERGY },
	foil: {
		maker:
			'Foils conduct: nowhere near power lines, sockets or lamps. Warm air from an inflator melts self-sealing valves.',
		client:
			'Foil balloons conduct electricity: keep them away from power lines, sockets and hot lamps, and never let one go outdoors.'
	},
	burst: {
		maker: 'Large balloons burst loudly: protect ears and eyes of whoever is near while they are filled.',
		client: 'A large balloon that bursts is loud: keep it from candles, lamps, sharp edges and small ears.'
	},
	tall: {
		maker: 'Tall: check that it stands by itself before anything hangs on it; two people set it up.',
		client:
			'Tall pieces can tip. Please keep the space round them clear, and do not lean on, climb or move them.'
	},
	floor: {
		maker:
			'Pick up every scrap, tail and marble: the floor is slippery with them, and they choke children and animals.'
	},
	glue: {
		maker:
			'Glue: even a low-temperature gun burns skin and bursts balloons. Try it on a spare first; keep water at hand.'
	},
	paint: { maker: 'Paint and solvents: outdoors or with the windows open, away from flames, with a mask.' },
	line: { maker: 'Line and ribbon cut soft latex and skin; nothing that conducts near power lines.' },
	cutting: { maker: 'Cutting, drilling or bending pipe: eye protection, and the piece held fast.' },
	lifting: {
		maker:
			'Above reach: a ladder on level ground with somebody at its foot; a tall or weighted piece is never lifted alone.'
	},
	helium: {
		maker:
			'Helium takes the place of air: never breathe it, and air the room. Cylinders stand upright and tied, and never lie loose in a car.',
		client:
			'Helium is never for breathing. Keep balloons tied to their weights, never let one go outdoors, and keep them from power lines.'
	},
	driving: {
		maker:
			'Driving: a car in the sun swells balloons past their size; cool it first, tie pieces down, and keep the view and the air bags free.'
	},
	scissors: {
		maker:
			'Scissors and cutters: cut away from your hand and from what is inflated; every cut end is picked up.'
	},
	hung: {
		maker:
			'What hangs: ask whoever owns the wall or ceiling first, pull every hook before it carries, and hang nothing on sprinklers, lamps, cables or exit signs.',
		client:
			'What hangs on walls or ceilings stays where we hung it: please hang nothing else on it and do not pull.'
	},
	under: {
		maker:
			'People go under or through it: both feet weighted, nothing hard above heads, the way as wide as the venue asks.',
		client: 'Please walk under or through it one by one, do not lean on it, and keep ways out free.'
	},
	inflator: { maker: 'Inflators: lay cords where nobody walks, and let motors cool.' }
};

/** A piece over this height can tip onto a guest, mm. House rule. */
const TALL = 1500;
/** Over this it is built from a ladder, mm. House rule. */
const REACH = 1800;
/** Balloons from this bag on are loud. House rule. */
const LOUD = inches(24);
const LINES: ReadonlySet<MaterialKind> = new Set<MaterialKind>(['tie', 'ribbon']);

export interface Piece {
	readonly bill: Bill;
	/** As it is built. */
	readonly built: Recipe;
	/** Overall height, mm. */
	readonly overall: number;
}

/** What of a piece can hurt somebody. Designs inside it count by their bill. */
export function hazardsOf({ bill, built, overall }: Piece): Hazard[] {
	const kinds = new Set(bill.lines.flatMap((l) => (l.material ? [l.material.kind] : [])));
	const has = (test: (kind: MaterialKind) => boolean) => [...kinds].some(test);
	const own = new Set(built.sections.flatMap((s) => hazardsOfStructure(s.structure)));
	const isLatex = bill.inflate.some((l) => !l.kind.startsWith('foil'));
	const found: Readonly<Record<Hazard, boolean>> = {
		children: true,
		latex: isLatex || has((k) => k.startsWith('latex') || k === 'modelling'),
		foil: has((k) => k.startsWith('foil')) || bill.inflate.some((l) => l.kind.startsWith('foil')),
		burst: bill.inflate.some((l) => l.nominal >= LOUD),
		tall: overall > TALL,
		floor: bill.inflate.length > 0,
		driving: bill.inflate.length > 0,
		helium: bill.inflate.some((l) => l.gas === 'helium'),
		scissors: own.has('scissors'),
		glue: own.has('glue') || bill.lines.some((l) => l.material?.kind === 'adhesive' && /glue/i.test(l.label)),
		paint: has((k) => k === 'paint') || bill.lines.some((l) => l.key.includes('painted balloon')),
		line: has((k) => LINES.has(k)) || own.has('line'),
		cutting: has((k) => k === 'pipe'),
		lifting: overall > REACH,
		hung: own.has('hung'),
		under: own.has('under'),
		inflator: bill.inflate.some((l) => l.method !== 'strokes' && l.gas === 'air')
	};
	return HAZARDS.filter((h) => found[h]);
}

const OUTDOORS =
	'Outdoors: wind, heat and sun shorten the life of balloons. We may fix, move or take down a piece for safety. Nothing is released outdoors.';
const SITE =
	'Where it stands: exits, signs and fire rules of the venue come first; local codes and licensed people decide.';

/** What those who build are told, on the design and on its plan. */
export const makerCautions = (hazards: readonly Hazard[]): string[] => [
	...hazards.map((h) => WORDS[h].maker),
	SITE
];

/** What stands on the client's paper: choking and latex always, and what of the pieces concerns guests. */
export function clientCautions(hazards: readonly Hazard[], setting: 'indoor' | 'outdoor'): string[] {
	const all = HAZARDS.filter((h) => h === 'children' || h === 'latex' || hazards.includes(h));
	return [...all.flatMap((h) => WORDS[h].client ?? []), ...(setting === 'outdoor' ? [OUTDOORS] : [])];
}
