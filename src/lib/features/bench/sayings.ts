/** A line of the entry line and what it does: the list of commands and the page of shorthand print the same ones. */
export interface Saying {
	readonly say: string;
	/** Short, for the list of commands. */
	readonly means: string;
}

export const SAYINGS: readonly Saying[] = [
	{ say: 'section arm x2 mirrored left of column', means: 'Add a section' },
	{ say: 'section wing left of column at row 3', means: 'Add a section at a row of another' },
	{ say: 'section petal x6 round column at 4 ft', means: 'Add sections evenly round another' },
	{ say: 'use ringed planet on column swappable', means: 'Use a kept design as a part' },
	{ say: 'put 2 5 at 4 white as eyes on row 3 front with strip', means: 'Put pieces on a row' },
	{
		say: 'put 3 5 at 3 white as spots on row 4 round, 5 on row 5 round',
		means: 'Put pieces on several tiers'
	},
	{ say: 'bunch moons', means: 'Add a bunch of balloons and foils' },
	{ say: '3 11 at full white in helium on 5 ft ribbon', means: 'Add to the bunch in hand' },
	{ say: '1 foil moon firm on ribbon', means: 'Add a foil, its ribbon measured on the spot' },
	{ say: 'weight 5 at 3 white filled with sand', means: 'What holds the bunch in hand' },
	{ say: 'letters TIDE at 34 of gold', means: 'Add a word of foils' },
	{ say: '1 16 at 14 white filled with 5 at 4 gold', means: 'A balloon in a balloon' },
	{ say: 'form limbs on column', means: 'Add a form of modelling balloons' },
	{ say: '6 260 black 24 wound as leg on row 2 round', means: 'Add curls to the form in hand' },
	{ say: '5 260 brown 12 growing 6½ bent 180', means: 'Add a set of bands' },
	{ say: '1 sandbag or 4 stakes', means: 'Add an alternative' },
	{ say: '2 to 4 moss mat', means: 'Add an estimated line' },
	{ say: '2 moss mat optional', means: 'Add an optional line' },
	{ say: '2 moss mat taken along', means: 'Add what is taken along' },
	{ say: 'size small 4 ft', means: 'Add a size by layers' },
	{ say: 'size large 7 ft scaled', means: 'Add a size by scale' },
	{ say: 'swap main and pop', means: 'Swap two colour slots' },
	{ say: 'swap star for moon', means: 'Swap what is swappable' },
	{ say: 'leave out spots', means: 'Leave a slot out' },
	{ say: 'put back spots', means: 'Put a slot back' },
	{ say: 'step cover it with a sheet', means: 'Add a step to the plan' },
	{ say: 'step at site fill the base with water', means: 'Add a step where it stands' },
	{ say: 'priced by margin 48 %', means: 'Price this design its own way' },
	{ say: 'each strip takes 2 adhesive strip', means: 'A follow-on rule of this design' }
];
