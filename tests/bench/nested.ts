import { newSection } from '../../src/lib/core/recipe/build.ts';
import { designUse } from '../../src/lib/core/structures/design/empty.ts';
import { ON_THE_FLOOR } from '../../src/lib/core/document/stand.ts';
import type { Recipe, Section } from '../../src/lib/core/recipe/recipe.ts';

/** Makes a column of so many layers; the bench of the core and the one of the browser have each their own colours. */
export type MakeColumn = (name: string, layers: number, shift: number) => Recipe;

/** A design of twelve sections, three levels deep, of 2,000 balloons: the size the figures are asked for. */
export interface Nested {
	readonly root: Recipe;
	/** The designs inside, by their ids, innermost first. */
	readonly inside: readonly (readonly [id: string, recipe: Recipe])[];
}

/** Every part has its own ids: sections of several recipes come together in one. */
const renamed = (section: Section, id: string, stand: Section['stand'] = ON_THE_FLOOR): Section => ({
	...section,
	id,
	name: id,
	stand
});

export function nested(column: MakeColumn): Nested {
	// A leaf has 20 balloons; a middle 40 of its own and two leaves; 22 middles and 4 columns of 60 are 2,000.
	const leaf = column('leaf', 5, 1);
	const middles = [0, 1, 2, 3].map((i): [string, Recipe] => {
		const own = column(`middle ${i}`, 10, i);
		const top = { ...ON_THE_FLOOR, by: own.sections[0]!.id };
		const uses = [
			{ ...newSection(`m${i}-leaf`, 'leaf', designUse('bench-leaf')), times: 2, mirror: true, stand: top }
		];
		return [`bench-middle-${i}`, { ...own, sections: [...own.sections, ...uses] }];
	});
	const columns = [0, 1, 2, 3].map((i) => column(`column ${i}`, 15, i + 5));
	const root = columns[0]!;
	const slots = columns.flatMap((c) => c.slots);
	const fills = Object.assign({}, ...columns.map((c) => c.colourways[0]!.fills)) as Record<string, string>;
	const stacks = columns.map((c, i) => renamed(c.sections[0]!, `column-${i}`, i === 0 ? ON_THE_FLOOR : { ...ON_THE_FLOOR, by: 'column-0', how: i % 2 ? 'left' : 'right' })); // prettier-ignore
	const times = [3, 3, 3, 3, 3, 3, 2, 2];
	const uses = times.map((n, i) => ({
		...newSection(`use-${i}`, `use ${i}`, designUse(`bench-middle-${i % 4}`)),
		times: n,
		stand: { ...ON_THE_FLOOR, by: `column-${i % 4}`, how: i < 4 ? ('front' as const) : ('back' as const) }
	}));
	return {
		root: {
			...root,
			name: 'Twelve sections',
			slots,
			colourways: [{ ...root.colourways[0]!, fills }],
			sections: [...stacks, ...uses]
		},
		inside: [['bench-leaf', leaf], ...middles]
	};
}
