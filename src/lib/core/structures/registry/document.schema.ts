import { z } from 'zod';
import { applied } from '../applied/document.schema.ts';
import { bunch } from '../bunch/document.schema.ts';
import { design } from '../design/document.schema.ts';
import { extras } from '../extras/document.schema.ts';
import { form } from '../form/document.schema.ts';
import { frame } from '../frame/document.schema.ts';
import type { Kind, StructureOf } from '../kinds.ts';
import { run } from '../run/document.schema.ts';
import { stack } from '../stack/document.schema.ts';
import { weave } from '../weave/document.schema.ts';

const SCHEMAS = { stack, applied, extras, bunch, form, run, weave, frame, design } satisfies {
	readonly [K in Kind]: z.ZodType<StructureOf[K], unknown>;
};

/** Any kind, in the order of the published JSON Schema: a new one comes before the designs. */
export const structure = z.discriminatedUnion('kind', [
	SCHEMAS.stack,
	SCHEMAS.applied,
	SCHEMAS.extras,
	SCHEMAS.bunch,
	SCHEMAS.form,
	SCHEMAS.run,
	SCHEMAS.weave,
	SCHEMAS.frame,
	SCHEMAS.design
]);
