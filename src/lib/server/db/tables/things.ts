import { sql } from 'drizzle-orm';
import { check, foreignKey, index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'; // prettier-ignore
import { CONDITIONS } from '../../../core/owned/owned.ts';
import { changedBy } from './changed-by.ts';
import { material } from './stock.ts';
import { workspace } from './workspace.ts';

const owner = () =>
	text('workspace_id')
		.notNull()
		.references(() => workspace.id);

/** One piece of what comes back: this stand, that hoop. */
export const ownedThing = sqliteTable(
	'owned_thing',
	{
		workspaceId: owner(),
		id: text().notNull(),
		materialId: text('material_id').notNull(),
		/** What is written on it: “stand 3”. */
		name: text().notNull(),
		condition: text({ enum: CONDITIONS }).notNull(),
		/** Where it is kept; blank is not said. */
		place: text().notNull(),
		note: text().notNull(),
		/** Minor units a hire, and what is left for it; null is not said. */
		hireMinor: integer('hire_minor'),
		depositMinor: integer('deposit_minor'),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.materialId], foreignColumns: [material.workspaceId, material.id] }),
		uniqueIndex('owned_thing_name').on(t.workspaceId, t.name),
		index('owned_thing_material').on(t.workspaceId, t.materialId),
		check('owned_thing_money', sql`(${t.hireMinor} IS NULL OR ${t.hireMinor} >= 0) AND (${t.depositMinor} IS NULL OR ${t.depositMinor} >= 0)`)
	]
); // prettier-ignore

/** What is left of sticks and sheets and lies on the shelf: so many of each length, or of both sides. */
export const offcut = sqliteTable(
	'offcut',
	{
		workspaceId: owner(),
		materialId: text('material_id').notNull(),
		/** Micrometres; of a sheet along its grain. */
		length: integer().notNull(),
		/** The other side of what is left of a sheet; 0 is a stick. */
		wide: integer().notNull().default(0),
		count: integer().notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.materialId, t.length, t.wide] }),
		foreignKey({ columns: [t.workspaceId, t.materialId], foreignColumns: [material.workspaceId, material.id] }),
		check('offcut_there', sql`${t.length} > 0 AND ${t.wide} >= 0 AND ${t.count} > 0`)
	]
); // prettier-ignore
