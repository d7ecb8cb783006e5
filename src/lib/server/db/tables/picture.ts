import { sql } from 'drizzle-orm';
import { blob, check, integer, text, type AnySQLiteColumn } from 'drizzle-orm/sqlite-core';
import { PHOTO_TYPES } from '../../../core/photo/read-photo.ts';

/** What every row that holds a picture has of it. */
export const pictureColumns = () => ({
	/** What it is by its own bytes, whatever its name said. */
	type: text({ enum: PHOTO_TYPES }).notNull(),
	/** Pixels, as it is looked at. */
	width: integer().notNull(),
	height: integer().notNull(),
	addedAt: integer('added_at', { mode: 'timestamp_ms' }).notNull(),
	bytes: blob({ mode: 'buffer' }).notNull()
});

/** Up to 10 MB, and of some size. @param name of the check */
export const pictureSize = (name: string, t: { readonly width: AnySQLiteColumn; readonly height: AnySQLiteColumn; readonly bytes: AnySQLiteColumn }) =>
	check(name, sql`${t.width} > 0 AND ${t.height} > 0 AND length(${t.bytes}) <= 10485760`); // prettier-ignore
