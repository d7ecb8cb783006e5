import { changedBy } from './changed-by.ts';
import { sql } from 'drizzle-orm';
import {
	check,
	foreignKey,
	index,
	integer,
	primaryKey,
	sqliteTable,
	text,
	uniqueIndex
} from 'drizzle-orm/sqlite-core';
import { FINISHES, MATERIAL_KINDS, type PriceBreak, type Reuse } from '../../../core/materials/material.ts';
import { LOSS_CAUSES, MOVE_KINDS } from '../../../core/stock/ledger.ts';
import type { MaterialFacts } from '../../../core/materials/facts.ts';
import type { SavedColumns } from '../../../core/price-list/columns.ts';
import type { UndoOfList } from '../../../core/price-list/undo.schema.ts';
import { workspace } from './workspace.ts';

const owner = () =>
	text('workspace_id')
		.notNull()
		.references(() => workspace.id);

/** A colour in one finish. */
export const colour = sqliteTable(
	'colour',
	{
		workspaceId: owner(),
		id: text().notNull(),
		name: text().notNull(),
		finish: text({ enum: FINISHES }).notNull(),
		/** `#rrggbb` */
		hex: text().notNull(),
		/** Of an assorted bag: its colours and their shares. Read only through `partsSchema`. */
		parts: text({ mode: 'json' }).$type<readonly { colour: string; parts: number }[]>(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		uniqueIndex('colour_name').on(t.workspaceId, t.name, t.finish),
		check('colour_hex', sql`${t.hex} GLOB '#[0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f]'`)
	]
);

export const supplier = sqliteTable(
	'supplier',
	{
		workspaceId: owner(),
		id: text().notNull(),
		name: text().notNull(),
		/** What sending costs, minor units; null is not known. */
		shippingMinor: integer('shipping_minor'),
		/** From this much on it is sent for nothing, minor units; null is never. */
		freeFromMinor: integer('free_from_minor'),
		/** Days from the order to the door; null is not known. */
		leadDays: integer('lead_days'),
		/** Which column of its price lists is what. Read only through `savedColumnsSchema`. */
		listColumns: text('list_columns', { mode: 'json' }).$type<SavedColumns>(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		uniqueIndex('supplier_name').on(t.workspaceId, t.name)
	]
);

/** Anything bought. */
export const material = sqliteTable(
	'material',
	{
		workspaceId: owner(),
		id: text().notNull(),
		kind: text({ enum: MATERIAL_KINDS }).notNull(),
		name: text().notNull(),
		/** Micrometres, as printed on the bag. */
		nominal: integer(),
		colourId: text('colour_id'),
		/** Micrometres. */
		safe: integer(),
		/** Share lost a piece, a rational under 1; null takes the workspace's default. */
		loss: text(),
		/** Read only through `reuseSchema`. */
		reuse: text({ mode: 'json' }).$type<Reuse>(),
		unit: text().notNull().default('piece'),
		/** The letter of a foil, the model of a modelling balloon. */
		mark: text(),
		/** Millilitres, by its maker. */
		fillMl: integer('fill_ml'),
		/** Milligrams, empty. */
		weightMg: integer('weight_mg'),
		chambers: integer().notNull().default(1),
		/** The edge of a foil as she drew it: closed path data in a square from −100 to 100. */
		outline: text(),
		/** Not offered any more; what uses it keeps it. */
		retired: integer({ mode: 'boolean' }).notNull().default(false),
		/** The material that stands for it since they were made one: no reference in the schema, as that would rebuild the table. */
		intoId: text('into_id'),
		/** What its kind alone has. Read only through `factsSchema`. */
		facts: text({ mode: 'json' }).$type<MaterialFacts>(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.colourId], foreignColumns: [colour.workspaceId, colour.id] }),
		uniqueIndex('material_name').on(t.workspaceId, t.name),
		check('material_nominal', sql`${t.nominal} IS NULL OR ${t.nominal} > 0`)
	]
);

/** How a supplier sells a material. A null price is unknown, never 0. */
export const pack = sqliteTable(
	'pack',
	{
		workspaceId: owner(),
		id: text().notNull(),
		materialId: text('material_id').notNull(),
		supplierId: text('supplier_id').notNull(),
		count: integer().notNull(),
		/** Minor units of the workspace's currency. */
		priceMinor: integer('price_minor'),
		/** Left with the supplier until it comes back; null is none. */
		depositMinor: integer('deposit_minor'),
		/** What the supplier calls it, and the code it is ordered by. */
		suppliersName: text('suppliers_name').notNull().default(''),
		code: text().notNull().default(''),
		/** `YYYY-MM-DD`: since when it costs that; null is not known. */
		since: text(),
		/** The last day of a sale; null is no sale. */
		until: text(),
		/** From so many packs on, a pack for less. Read only through `breaksSchema`. */
		breaks: text({ mode: 'json' }).$type<readonly PriceBreak[]>(),
		/** The one that is usually bought. */
		usual: integer({ mode: 'boolean' }).notNull().default(false),
		/** Not sold any more. */
		ended: integer({ mode: 'boolean' }).notNull().default(false),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({
			columns: [t.workspaceId, t.materialId],
			foreignColumns: [material.workspaceId, material.id]
		}),
		foreignKey({
			columns: [t.workspaceId, t.supplierId],
			foreignColumns: [supplier.workspaceId, supplier.id]
		}),
		index('pack_material').on(t.workspaceId, t.materialId),
		check('pack_count', sql`${t.count} > 0`),
		check('pack_price', sql`${t.priceMinor} IS NULL OR ${t.priceMinor} > 0`)
	]
);

/** What a pack cost from a day on: a row for every price it had. */
export const packPrice = sqliteTable(
	'pack_price',
	{
		workspaceId: owner(),
		id: text().notNull(),
		packId: text('pack_id').notNull(),
		/** `YYYY-MM-DD` */
		day: text().notNull(),
		count: integer().notNull(),
		/** Null is not known. */
		priceMinor: integer('price_minor'),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({ columns: [t.workspaceId, t.packId], foreignColumns: [pack.workspaceId, pack.id] }),
		index('pack_price_pack').on(t.workspaceId, t.packId, t.day),
		check('pack_price_count', sql`${t.count} > 0`)
	]
);

/** What happened to what is on the shelf. Rows are only added: a trigger sees to it. */
export const stockMove = sqliteTable(
	'stock_move',
	{
		workspaceId: owner(),
		id: text().notNull(),
		materialId: text('material_id').notNull(),
		/** `YYYY-MM-DD` */
		day: text().notNull(),
		kind: text({ enum: MOVE_KINDS }).notNull(),
		/** Thousandths of a piece or of its unit; below 0 it leaves. */
		thousandths: integer().notNull(),
		/** What all of it cost, minor units; null is not known. */
		costMinor: integer('cost_minor'),
		note: text().notNull().default(''),
		/** Of what was lost: why. */
		cause: text({ enum: LOSS_CAUSES }),
		/** What is printed on the bag of the lot it was made in. */
		batch: text().notNull().default(''),
		/** Who sold it; null is not known. */
		supplierId: text('supplier_id'),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({
			columns: [t.workspaceId, t.materialId],
			foreignColumns: [material.workspaceId, material.id]
		}),
		index('stock_move_material').on(t.workspaceId, t.materialId, t.day)
	]
);

/** What is on order, and whether it came. */
export const onOrder = sqliteTable(
	'on_order',
	{
		workspaceId: owner(),
		id: text().notNull(),
		materialId: text('material_id').notNull(),
		packId: text('pack_id').notNull(),
		packs: integer().notNull(),
		/** Pieces in a pack as it was ordered. */
		count: integer().notNull(),
		/** All of it, minor units; null is not known. */
		costMinor: integer('cost_minor'),
		/** `YYYY-MM-DD` */
		ordered: text().notNull(),
		due: text(),
		/** The day it came; null is not yet. */
		came: text(),
		/** It will not come. */
		off: integer({ mode: 'boolean' }).notNull().default(false),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({
			columns: [t.workspaceId, t.materialId],
			foreignColumns: [material.workspaceId, material.id]
		}),
		foreignKey({ columns: [t.workspaceId, t.packId], foreignColumns: [pack.workspaceId, pack.id] }),
		index('on_order_material').on(t.workspaceId, t.materialId),
		check('on_order_packs', sql`${t.packs} > 0 AND ${t.count} > 0`)
	]
);

/** A price list that was brought in, with what would take it back. */
export const priceList = sqliteTable(
	'price_list',
	{
		workspaceId: owner(),
		id: text().notNull(),
		supplierId: text('supplier_id').notNull(),
		/** `YYYY-MM-DD` */
		day: text().notNull(),
		/** The file's name, or that it was pasted. */
		file: text().notNull(),
		changed: integer().notNull(),
		added: integer().notNull(),
		/** Read only through `undoOfListSchema`. */
		undo: text({ mode: 'json' }).$type<UndoOfList>().notNull(),
		undone: integer({ mode: 'boolean' }).notNull().default(false),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		foreignKey({
			columns: [t.workspaceId, t.supplierId],
			foreignColumns: [supplier.workspaceId, supplier.id]
		})
	]
);

/** A way to look at the Stockroom that was kept by a name. */
export const stockView = sqliteTable(
	'stock_view',
	{
		workspaceId: owner(),
		id: text().notNull(),
		name: text().notNull(),
		/** The address it stands for, behind the question mark. */
		query: text().notNull(),
		changedBy: changedBy()
	},
	(t) => [
		primaryKey({ columns: [t.workspaceId, t.id] }),
		uniqueIndex('stock_view_name').on(t.workspaceId, t.name)
	]
);
