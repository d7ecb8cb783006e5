import { buildLayer, emptyStack, newLine, newSection, type NewId } from '../recipe/build.ts';
import {
	addExtra,
	addSection,
	insertLayer,
	stackOf,
	stacksIn,
	swapSlots,
	type RecipeDraft
} from '../recipe/edit.ts';
import type { Mutable } from '../document/mutable.ts';
import { addPiece } from '../structures/applied/edit.ts';
import type { Entry } from './entry.ts';
import { exchange } from '../recipe/swap.ts';
import { applyLined } from '../recipe/apply-run.ts';
import { applyBunch, ownBalloon, slotFor } from '../structures/bunch/apply.ts';
import type { AppliedPiece } from '../structures/applied/document.ts';
import type { FormPiece } from '../structures/form/document.ts';
import type { Recipe, SizeOption } from '../recipe/recipe.ts';

/** Where what was said goes. */
export interface EntryPlace {
	/** Section whose stack takes layers and uprights; without one, the newest stack. */
	readonly section?: string | undefined;
	/** Place in it, 0 lowest; without one, on top. */
	readonly index?: number;
	readonly colourway?: string;
}

const newestStack = (recipe: RecipeDraft): string | undefined =>
	stacksIn(recipe as Recipe).at(-1)?.section.id;

/**
 * Does what a line of the entry line says to a recipe, as one edit.
 * @returns the section it made, for the next lines to go there
 */
export function applyEntry(
	recipe: RecipeDraft,
	entry: Entry,
	place: EntryPlace,
	newId: NewId
): string | undefined {
	switch (entry.kind) {
		case 'layer': {
			const stack = place.section ?? newestStack(recipe);
			const own = stackOf(recipe, stack);
			if (!own) return undefined;
			const built = buildLayer(entry.layer, own.squash, newId);
			insertLayer(recipe, place.index ?? own.layers.length, built, stack);
			return undefined;
		}
		case 'upright': {
			const own = stackOf(recipe, place.section ?? newestStack(recipe));
			if (own) Object.assign(own.upright, entry.upright);
			return undefined;
		}
		case 'stands': {
			const own = stackOf(recipe, place.section ?? newestStack(recipe));
			if (own) own.onFloor = entry.onFloor;
			return undefined;
		}
		case 'section': {
			const { name, structure, ...where } = entry.section;
			const section = { ...newSection(newId(), name, structure ?? emptyStack()), ...where };
			addSection(recipe, section);
			return section.structure.kind === 'design' ? undefined : section.id;
		}
		case 'go on':
			return entry.section;
		case 'item':
		case 'weight':
			return applyBunch(recipe, entry, place.section, newId);
		case 'run':
		case 'weave':
			applyLined(recipe, entry, place.section, newId);
			return undefined;
		case 'form piece': {
			const own = recipe.sections.find((s) => s.id === place.section);
			if (own?.structure.kind !== 'form') return undefined;
			const { colour, ...said } = entry.piece;
			const slot = slotFor(recipe, newId)(colour);
			own.structure.pieces.push({ ...said, id: newId(), slot } as Mutable<FormPiece>);
			if (entry.section !== null && own.stand.by === null) own.stand = { ...own.stand, by: entry.section };
			return undefined;
		}
		case 'lines': {
			const group =
				entry.lines.length > 1
					? entry.lines
							.map((l) => l.name)
							.join(' or ')
							.slice(0, 80)
					: null;
			entry.lines.forEach(({ material, quantity, range, onSpot }, i) => {
				const line = newLine(newId(), material, quantity);
				const choice = group === null ? null : { group, when: '' };
				const { role, swappable } = entry;
				const taken = group === null ? role !== 'optional' : i === 0;
				const spot = onSpot ? { onSpot } : {};
				addExtra(recipe, { ...line, range, role, swappable, choice, taken, ...spot }, newId);
			});
			return undefined;
		}
		case 'piece': {
			const { what, section, ...said } = entry.piece;
			const piece: AppliedPiece = {
				...said,
				id: newId(),
				each: '1',
				swappable: false,
				what: what.kind === 'material' ? what : ownBalloon(recipe, what, newId)
			};
			addPiece(recipe, piece, section, newId);
			return undefined;
		}
		case 'size': {
			const size: SizeOption = { id: newId(), swaps: {}, parts: {}, ...entry.size };
			recipe.sizes.push(size as Mutable<SizeOption>);
			return undefined;
		}
		case 'leave': {
			const way = recipe.colourways.find((c) => c.id === place.colourway) ?? recipe.colourways[0]!;
			way.without = way.without.filter((s) => s !== entry.slot);
			if (entry.out) way.without.push(entry.slot);
			return undefined;
		}
		case 'swap slots':
			swapSlots(recipe, place.colourway ?? recipe.colourways[0]!.id, entry.slots);
			return undefined;
		case 'exchange':
			recipe.sections = exchange(recipe as Recipe, entry.element, entry.to).sections as Mutable<
				Recipe['sections']
			>;
			return undefined;
		case 'step': {
			const uses = place.section === undefined ? [] : [place.section];
			const says = { text: entry.text, place: entry.place, ...(entry.wait > 0 ? { wait: entry.wait } : {}) };
			recipe.steps.push({ id: newId(), own: true, says, uses, out: false });
			return undefined;
		}
		case 'pricing':
			recipe.pricing = { ...entry.pricing };
			return undefined;
		case 'rule':
			recipe.rules = [...recipe.rules.filter((r) => r.of !== entry.rule.of), { ...entry.rule }];
			return undefined;
	}
}
