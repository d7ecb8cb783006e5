import type { Stack } from './stack/document.ts';
import type { Applied } from './applied/document.ts';
import type { Extras } from './extras/document.ts';
import type { DesignUse } from './design/document.ts';
import type { Bunch } from './bunch/document.ts';
import type { Frame } from './frame/document.ts';
import type { Form } from './form/document.ts';
import type { Run } from './run/document.ts';
import type { Weave } from './weave/document.ts';

/** The one list of kinds: everything that asks about all of them is made from it, so that a kind left out does not compile. */
export interface StructureOf {
	readonly stack: Stack;
	readonly applied: Applied;
	readonly extras: Extras;
	readonly bunch: Bunch;
	readonly form: Form;
	readonly run: Run;
	readonly weave: Weave;
	readonly frame: Frame;
	readonly design: DesignUse;
}
export type Kind = keyof StructureOf;
/** How a section is built. */
export type Structure = StructureOf[Kind];
/** A structure of one kind, as a table of all kinds takes it. */
export type Of<K extends Kind> = { readonly kind: K } & StructureOf[K];

/** A structure, or a draft of one, as one certain kind; undefined where it is another. For what is about that kind alone. */
export const asKind = <S extends { readonly kind: Kind }, K extends Kind>(
	s: S,
	kind: K
): Extract<S, { readonly kind: K }> | undefined =>
	s.kind === kind ? (s as Extract<S, { readonly kind: K }>) : undefined;

/** Sections of one certain kind, in their order. For what is about that kind alone. */
export const ofKind = <S extends { readonly structure: { readonly kind: Kind } }, K extends Kind>(
	sections: readonly S[],
	kind: K
): { readonly section: S; readonly structure: Extract<S['structure'], { readonly kind: K }> }[] =>
	sections.flatMap((section) => {
		const structure = asKind<S['structure'], K>(section.structure, kind);
		return structure === undefined ? [] : [{ section, structure }];
	});
