import type { Rates } from '../../cost/rates.ts';
import type { Finding } from '../../checks/finding.ts';
import type { Colourway } from '../../document/slot.ts';
import type { Id } from '../../document/id.ts';
import type { Catalogue } from '../../materials/catalogue.ts';
import type { Recipe, Section } from '../../recipe/recipe.ts';
import type { HostShape } from '../kit/seats.ts';
import type { PlacedStack } from '../stack/placed.ts';

export interface CheckContext {
	/** As it is built: in its size, without the slots left out. */
	readonly recipe: Recipe;
	readonly section: Section;
	readonly catalogue: Catalogue;
	readonly colourway: Colourway | undefined;
	readonly rates: Rates;
	/** Pieces with a host that is not there. */
	readonly lost: readonly Id[];
	/** Where its layers are, where it has any. */
	readonly placed: PlacedStack | undefined;
	/** What it sits on, with everything else that sits there. */
	host(): HostShape;
}

/** What an experienced maker would say of a kind. */
export interface CheckFacet<S> {
	check(structure: S, context: CheckContext): Finding[];
	/** It has a weight in it, or hangs: nothing else needs to hold it down. */
	held(structure: S): boolean;
}
