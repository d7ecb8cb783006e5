import { text } from 'drizzle-orm/sqlite-core';

/** The person whose request wrote a row last. Rows from before people were asked are the owner's. */
export const changedBy = () => text('changed_by').notNull();
