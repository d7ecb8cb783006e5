import { error } from '@sveltejs/kit';
import type { Colourway } from '../../core/document/slot.ts';
import type { SizeOption } from '../../core/recipe/recipe.ts';
import type { TallyContext } from '../../core/tally/tally.ts';
import { parseCount } from '../../core/units/number.ts';
import type { Design } from '../repos/designs.ts';
import type { Repos } from '../repos/index.ts';
import { contextOf, loadLibrary, loadStudio, type Studio } from './studio.ts';

/** A design as an address asks for it: in which colours and size, how many. */
export interface LoadedDesign {
	readonly design: Design;
	readonly studio: Studio;
	readonly context: TallyContext;
	readonly colourway: Colourway;
	readonly size: SizeOption | undefined;
	readonly quantity: number;
	/** As it was typed, and what was wrong with it. */
	readonly typed: string;
	readonly trouble: string;
}

/** The same as plain text, as a thread is told: the design, and what stands behind the question mark. */
export interface DesignQuery {
	readonly design: string;
	readonly search: string;
}

export const queryOf = (params: { readonly design: string }, { search }: URL): DesignQuery => ({
	design: params.design,
	search
});

/** @throws 404 where there is no such design */
export async function loadDesign(repos: Repos, wanted: DesignQuery): Promise<LoadedDesign> {
	const searchParams = new URLSearchParams(wanted.search);
	const design = await repos.designs.find(wanted.design);
	if (!design) error(404, { message: 'There is no such design.', hint: 'Find it on the Shelf.' });
	const { recipe } = design;
	const typed = searchParams.get('quantity') ?? '1';
	const parsed = parseCount(typed, { what: 'How many', min: 1, max: 999 });
	const studio = await loadStudio(repos);
	return {
		design,
		studio,
		context: contextOf(studio, await loadLibrary(repos, recipe)),
		colourway: recipe.colourways.find((c) => c.id === searchParams.get('colourway')) ?? recipe.colourways[0]!,
		size: recipe.sizes.find((s) => s.id === searchParams.get('size')),
		quantity: parsed.ok ? parsed.value : 1,
		typed,
		trouble: parsed.ok ? '' : parsed.say
	};
}

/** What every page of a design says first: which it is, and in which colours, size and number it was asked for. */
export const headOf = ({ design, colourway, size, quantity, typed, trouble }: LoadedDesign) => ({
	id: design.id,
	name: design.recipe.name,
	colourway: colourway.name,
	colourwayId: colourway.id,
	size: size?.name ?? null,
	sizeId: size?.id ?? '',
	quantity,
	typed,
	trouble
});
