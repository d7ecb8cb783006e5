import { ON_THE_FLOOR } from '../document/stand.ts';
import { RECIPE_VERSION } from './recipe.ts';

type Loose = Readonly<Record<string, unknown>>;

/**
 * Reads an older recipe as the newest: every version is brought to the next by what that one added. What is not a
 * recipe comes back as it is, for the schema to refuse. These steps stay for as long as kept versions of old shapes do.
 */
export function upgrade(input: unknown): unknown {
	let now = input;
	while (isOld(now)) now = TO_NEXT[now.version](now);
	return now;
}

type Old = Loose & { readonly version: 1 | 2 | 3 | 4 | 5 };
const isObject = (value: unknown): value is Loose =>
	typeof value === 'object' && value !== null && !Array.isArray(value);
const isOld = (value: unknown): value is Old =>
	isObject(value) &&
	typeof value.version === 'number' &&
	Number.isInteger(value.version) &&
	value.version >= 1 &&
	value.version < RECIPE_VERSION;

const TO_NEXT: Readonly<Record<Old['version'], (old: Loose) => Loose>> = {
	1: fromOne,
	2: fromTwo,
	3: fromThree,
	4: fromFour,
	5: fromFive
};

/** Every object of a list with what is new about it; other things stay, to be refused by name. */
const each = (list: unknown, change: (item: Loose) => Loose): unknown =>
	Array.isArray(list) ? list.map((item: unknown) => (isObject(item) ? change(item) : item)) : list;
const inside = (item: Loose, key: string, change: (item: Loose) => Loose): Loose => ({
	...item,
	[key]: each(item[key], change)
});

/** Version 1 had sections that all stood on the floor, once each. */
function fromOne(old: Loose): Loose {
	const { by, how, height, gap, tie } = ON_THE_FLOOR;
	const stand = { by, how, height, gap, tie };
	const sections = each(old.sections, (s) => ({ ...s, notes: '', times: 1, mirror: false, stand }));
	return { ...old, version: 2, silenced: [], sections };
}

/** Version 2 knew no applied pieces, size options, roles of slots and lines, and no rules of its own. */
function fromTwo(old: Loose): Loose {
	const colourways = each(old.colourways, (c) => ({ ...c, without: [] }));
	const slots = each(old.slots, (s) => ({ ...s, role: null }));
	const sections = each(old.sections, (s) => ({
		...s,
		swappable: false,
		stand: isObject(s.stand) ? { ...s.stand, layer: null } : s.stand,
		structure: isObject(s.structure) ? structureFromTwo(s.structure) : s.structure
	}));
	return { ...old, version: 3, colourways, slots, sections, sizes: [], rules: [], credit: '' };
}

/** Version 3 had no plan of its own. */
function fromThree(old: Loose): Loose {
	return { ...old, version: 4, steps: [] };
}

/** Version 4 knew no bunches and no forms. What else is new stands where nothing stood. */
function fromFour(old: Loose): Loose {
	return { ...old, version: 5 };
}

/** Version 5 knew no runs and no weaves, and no colours that change over a row. */
function fromFive(old: Loose): Loose {
	return { ...old, version: 6 };
}

function structureFromTwo(structure: Loose): Loose {
	const place = (p: Loose): Loose => ({ ...p, method: null, material: null, side: null });
	if (structure.kind === 'stack')
		return inside(structure, 'layers', (l) => inside(l, 'clusters', (c) => inside(c, 'places', place)));
	if (structure.kind === 'design') return { ...structure, size: null, version: null };
	const line = { range: null, role: 'always', taken: true, choice: null, serves: [], swappable: false };
	return structure.kind === 'extras' ? inside(structure, 'lines', (l) => ({ ...l, ...line })) : structure;
}
