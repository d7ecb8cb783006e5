import { z } from 'zod';
import { MOST_COLUMNS } from './table.ts';
import { LIST_FIELDS, type Columns, type SavedColumns } from './columns.ts';

/** Guards {@link SavedColumns}: the JSON column of a supplier. */
export const savedColumnsSchema = z.partialRecord(z.enum(LIST_FIELDS), z.string().max(80)) satisfies z.ZodType<SavedColumns, unknown>; // prettier-ignore

/** Guards {@link Columns} as they are posted. */
export const columnsSchema = z.partialRecord(
	z.enum(LIST_FIELDS),
	z.number().int().min(0).max(MOST_COLUMNS - 1)
) satisfies z.ZodType<Columns, unknown>; // prettier-ignore
