import type { Parsed } from '../../errors.ts';
import type { Reader } from '../../language/reader.ts';
import type { Section } from '../../recipe/recipe.ts';
import { language as applied } from '../applied/language.ts';
import { language as bunch } from '../bunch/language.ts';
import { language as design } from '../design/language.ts';
import { language as extras } from '../extras/language.ts';
import type { EditKit, EntryPlace, Home, LanguageFacet, SectionDraft, Take } from '../facets/language.ts';
import { language as form } from '../form/language.ts';
import { language as frame } from '../frame/language.ts';
import type { Kind, Structure, StructureOf } from '../kinds.ts';
import { language as run } from '../run/language.ts';
import { language as stack } from '../stack/language.ts';
import { language as weave } from '../weave/language.ts';
import type { Said, SaidOf } from './said.ts';

/** In the order they are asked: what nothing else takes is a layer. */
const LANGUAGES: { readonly [K in Kind]: LanguageFacet<StructureOf[K], SaidOf[K]> } = {
	bunch,
	form,
	run,
	weave,
	frame,
	design,
	applied,
	extras,
	stack
};
const ALL: readonly LanguageFacet<Structure, Said>[] = Object.values(
	LANGUAGES as unknown as Record<Kind, LanguageFacet<Structure, Said>>
);

/** Whose sentence it is. */
const OF: ReadonlyMap<string, LanguageFacet<Structure, Said>> = new Map(
	ALL.flatMap((facet) => Object.keys(facet.take).map((kind) => [kind, facet] as const))
);
const facetOf = ({ kind }: Said): LanguageFacet<Structure, Said> => OF.get(kind)!;

/** Whether a sentence is about a structure, not about the design as a whole. */
export const isSaid = (entry: { readonly kind: string }): entry is Said => OF.has(entry.kind);

/** Plain words of every kind. */
export const phrases = (): readonly { readonly kind: Kind; readonly says: readonly string[] }[] =>
	(Object.keys(LANGUAGES) as Kind[]).map((kind) => ({ kind, says: LANGUAGES[kind].phrases }));

/** The list of parts a sentence adds one to. */
export const partOf = (said: Said) => facetOf(said).partOf?.(said);

/** Whether it stands in the picture while it is being said. */
export const isShown = (said: Said): boolean => facetOf(said).shown;

/** A sentence of what is in hand. */
export const readInHand = (r: Reader): Parsed<Said> | undefined =>
	first(
		ALL.map((f) => f.read),
		r
	);

/** A sentence that may be said wherever the line stands. */
export const readAnywhere = (r: Reader): Parsed<Said> | undefined =>
	first(
		ALL.map((f) => f.readAnywhere),
		r
	);

function first(readers: readonly ((r: Reader) => Parsed<Said> | undefined)[], r: Reader) {
	for (const read of readers) {
		const found = read(r);
		if (found !== undefined) return found;
	}
	return undefined;
}

/** The section that takes a sentence; undefined where none does. */
export const homeOf = (sections: readonly Section[], said: Said, place: EntryPlace): Home<Structure> =>
	facetOf(said).home(sections, said, place);

/** Does a sentence to the section that takes it. */
export const take = (
	section: SectionDraft<Structure>,
	said: Said,
	place: Pick<EntryPlace, 'index' | 'editing'>,
	kit: EditKit
): void => (facetOf(said).take[said.kind] as Take<Structure, Said>)(section, said, place, kit);

/** Words that begin a section, with what it is then. */
export const STARTS: ReadonlyMap<string, () => Structure> = new Map(
	ALL.flatMap(({ starts }) => (starts ? [[starts.word, starts.empty] as const] : []))
);

/** The word that begins a section of its kind; null where none does. */
export const startOf = ({ kind }: Pick<Structure, 'kind'>): string | null =>
	LANGUAGES[kind].starts?.word ?? null;

/** Whether the entry line can stand in it: what is said goes there. */
export const holdsLines = ({ kind }: Pick<Structure, 'kind'>): boolean => LANGUAGES[kind].starts !== null;

/** Lines that are read while a kind is in hand; the first is shown where nothing is typed yet. */
export const examplesOf = ({ kind }: Pick<Structure, 'kind'>): readonly string[] => LANGUAGES[kind].examples;
