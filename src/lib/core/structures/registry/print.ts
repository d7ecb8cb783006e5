import { print as applied } from '../applied/print.ts';
import { print as bunch } from '../bunch/print.ts';
import { print as design } from '../design/print.ts';
import { print as extras } from '../extras/print.ts';
import { print as form } from '../form/print.ts';
import { print as frame } from '../frame/print.ts';
import { print as run } from '../run/print.ts';
import { print as stack } from '../stack/print.ts';
import { print as weave } from '../weave/print.ts';
import type { Id } from '../../document/id.ts';
import type { Heading, PrintContext, PrintedLine, PrintFacet } from '../facets/print.ts';
import type { Kind, Of, StructureOf } from '../kinds.ts';

const PRINTS: { readonly [K in Kind]: PrintFacet<StructureOf[K]> } = {
	stack,
	applied,
	extras,
	bunch,
	form,
	run,
	weave,
	frame,
	design
};

/** A structure as it is typed, a line a part or setting. */
export const linesOf = <K extends Kind>(s: Of<K>, context: PrintContext): PrintedLine[] =>
	PRINTS[s.kind].lines(s, context);

/** All that tells two versions of a structure apart, a line each. */
export const saidOf = <K extends Kind>(s: Of<K>, heading: Heading, context: PrintContext): string[] =>
	PRINTS[s.kind].said(s, heading, context);

/** A part of a structure in a few words; undefined where it has none of that id. @param section its name */
export const partIn = <K extends Kind>(
	s: Of<K>,
	id: Id,
	section: string,
	context: PrintContext
): string | undefined => PRINTS[s.kind].part(s, id, section, context);
