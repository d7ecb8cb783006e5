import { and, asc, eq, ne } from 'drizzle-orm';
import {
	OPEN_HEX,
	type Colour,
	type Material,
	type Pack,
	type PriceBreak
} from '../../core/materials/material.ts';
import { factsSchema } from '../../core/materials/facts.schema.ts';
import { breaksSchema, partColourSchema, reuseSchema } from '../../core/materials/material.schema.ts';
import type { RationalText } from '../../core/units/rational.ts';
import type { Micrometres } from '../../core/units/length.ts';
import type { Actor } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { colour, material, pack, packPrice, supplier } from '../db/tables/stock.ts';
import { keepPrices } from './pack-prices.ts';
import { touchStock } from './workspaces.ts';

export interface Supplier {
	readonly id: string;
	readonly name: string;
	/** What sending costs and from how much on nothing, minor units; days to the door. Null is not known. */
	readonly shippingMinor: number | null;
	readonly freeFromMinor: number | null;
	readonly leadDays: number | null;
}

/** A material as the Stockroom's form gives it: its packs name suppliers by id. */
export interface NewMaterial extends Omit<Material, 'packs'> {
	readonly pack: NewPack;
}

/** A pack as a form gives it. */
export interface NewPack {
	readonly id: string;
	readonly supplierId: string;
	readonly count: number;
	readonly priceMinor: number | null;
	readonly depositMinor?: number | null | undefined;
	readonly suppliersName?: string;
	readonly code?: string;
	/** `YYYY-MM-DD`: since when it costs that. */
	readonly since?: string | null;
	readonly until?: string | null;
	readonly breaks?: readonly PriceBreak[] | null;
	readonly usual?: boolean;
	readonly ended?: boolean;
}

/** What a pack cost from a day on. */
export interface PriceThen {
	readonly pack: string;
	readonly day: string;
	readonly count: number;
	readonly priceMinor: number | null;
}

/** What may be changed of a material: what is said of it, whether it is offered, and what stands for it. */
export type MaterialChange = Partial<Omit<Material, 'id' | 'packs' | 'retired' | 'into'>> & {
	readonly retired?: boolean;
	readonly into?: string | null;
};

/** Materials, colours, packs and suppliers. */
export function stock(db: Database, actor: Actor) {
	const own = { workspaceId: actor.workspace, changedBy: actor.person };
	/** Writes a pack with the first row of its prices. */
	async function putPack(tx: Writer, materialId: string, added: NewPack) {
		const rows = await tx
			.insert(pack)
			.values({ ...added, materialId, ...own })
			.onConflictDoNothing({ target: [pack.workspaceId, pack.id] })
			.returning();
		for (const row of rows) {
			await keepPrice(tx, row);
			if (row.usual) await onlyUsual(tx, materialId, row.id);
		}
	}
	const onlyUsual = (tx: Writer, materialId: string, id: string) =>
		tx
			.update(pack)
			.set({ usual: false })
			.where(and(eq(pack.workspaceId, actor.workspace), eq(pack.materialId, materialId), ne(pack.id, id)));
	/** A row of what a pack costs since the day that is said, or today. */
	const keepPrice = (tx: Writer, { since, ...row }: Pick<NewPack, 'id' | 'count' | 'priceMinor' | 'since'>) =>
		keepPrices(tx, actor, since ?? new Date().toISOString().slice(0, 10), [row]);
	return {
		async colours(): Promise<Colour[]> {
			const rows = await db.read
				.select()
				.from(colour)
				.where(eq(colour.workspaceId, actor.workspace))
				.orderBy(asc(colour.name));
			const hexes = new Map(rows.map((c) => [c.id, c.hex]));
			return rows.map(({ parts, ...row }) => ({ ...colourOf(row), ...assortedOf(parts, hexes) }));
		},
		async suppliers(): Promise<Supplier[]> {
			return db.read
				.select({
					id: supplier.id,
					name: supplier.name,
					shippingMinor: supplier.shippingMinor,
					freeFromMinor: supplier.freeFromMinor,
					leadDays: supplier.leadDays
				})
				.from(supplier)
				.where(eq(supplier.workspaceId, actor.workspace))
				.orderBy(asc(supplier.name));
		},
		async materials(): Promise<Material[]> {
			const rows = await db.read
				.select()
				.from(material)
				.where(eq(material.workspaceId, actor.workspace))
				.orderBy(asc(material.kind), asc(material.nominal), asc(material.name));
			const packs = await db.read
				.select({ pack, supplierName: supplier.name })
				.from(pack)
				.innerJoin(
					supplier,
					and(eq(supplier.workspaceId, pack.workspaceId), eq(supplier.id, pack.supplierId))
				)
				.where(eq(pack.workspaceId, actor.workspace));
			const byMaterial = new Map<string, Pack[]>();
			for (const { pack: p, supplierName } of packs) {
				const list = byMaterial.get(p.materialId) ?? [];
				list.push(packOf(p, supplierName));
				byMaterial.set(p.materialId, list);
			}
			return rows.map((row) => fromRow(row, byMaterial.get(row.id) ?? []));
		},
		async addColour(added: Colour): Promise<void> {
			await db.write(async (tx) => {
				await tx
					.insert(colour)
					.values({ ...colourRow(added), ...own })
					.onConflictDoNothing();
				await touchStock(tx, actor);
			});
		},
		async addSupplier(added: Pick<Supplier, 'id' | 'name'> & Partial<Supplier>): Promise<void> {
			await db.write(async (tx) => {
				await tx
					.insert(supplier)
					.values({ ...added, ...own })
					.onConflictDoNothing();
			});
		},
		/** Adds a material with its first pack. Repeating it with the same id changes nothing. */
		async addMaterial(added: NewMaterial): Promise<void> {
			const { pack: first, ...rest } = added;
			await db.write(async (tx) => {
				await tx
					.insert(material)
					.values({ ...materialRow(rest), ...own })
					.onConflictDoNothing({ target: [material.workspaceId, material.id] });
				await putPack(tx, added.id, first);
				await touchStock(tx, actor);
			});
		},
		/** Takes in what a recipe file names and the Stockroom lacks, without packs: nobody knows what they cost yet. */
		async importMaterials(added: {
			readonly colours: readonly Colour[];
			readonly materials: readonly Omit<Material, 'packs'>[];
		}): Promise<void> {
			if (added.colours.length + added.materials.length === 0) return;
			await db.write(async (tx) => {
				for (const each of added.colours)
					await tx
						.insert(colour)
						.values({ ...colourRow(each), ...own })
						.onConflictDoNothing();
				for (const each of added.materials)
					await tx
						.insert(material)
						.values({ ...materialRow(each), ...own })
						.onConflictDoNothing();
				await touchStock(tx, actor);
			});
		},
		/** The share that is lost of it, as it is counted with from now on. @returns false where there is no such material */
		async changeLoss(id: string, loss: RationalText): Promise<boolean> {
			return db.write(async (tx) => {
				const done = await tx
					.update(material)
					.set({ loss, changedBy: actor.person })
					.where(and(eq(material.workspaceId, actor.workspace), eq(material.id, id)))
					.returning({ id: material.id });
				if (done.length > 0) await touchStock(tx, actor);
				return done.length > 0;
			});
		},
		/** A material as it is from now on, its packs left alone. @returns false where there is none */
		async changeMaterial(id: string, changed: MaterialChange): Promise<boolean> {
			return db.write(async (tx) => {
				const done = await tx
					.update(material)
					.set({ ...toChange(changed), changedBy: actor.person })
					.where(and(eq(material.workspaceId, actor.workspace), eq(material.id, id)))
					.returning({ id: material.id });
				if (done.length > 0) await touchStock(tx, actor);
				return done.length > 0;
			});
		},
		/** A further pack of a material. Repeating it with the same id changes nothing. */
		async addPack(materialId: string, added: NewPack): Promise<void> {
			await db.write(async (tx) => {
				await putPack(tx, materialId, added);
				await touchStock(tx, actor);
			});
		},
		/**
		 * A pack as it is from now on; another price is a row of its history.
		 * @returns false where there is no such pack
		 */
		async changePack(
			id: string,
			change: Omit<NewPack, 'id' | 'supplierId'> & Partial<Pick<NewPack, 'supplierId'>>
		): Promise<boolean> {
			return db.write(async (tx) => {
				const mine = and(eq(pack.workspaceId, actor.workspace), eq(pack.id, id));
				const [before] = await tx.select().from(pack).where(mine);
				if (!before) return false;
				await tx
					.update(pack)
					.set({ ...change, changedBy: actor.person })
					.where(mine);
				if (change.usual) await onlyUsual(tx, before.materialId, id);
				if (before.priceMinor !== change.priceMinor || before.count !== change.count)
					await keepPrice(tx, { ...before, ...change, since: change.since ?? null });
				await touchStock(tx, actor);
				return true;
			});
		},
		async changeSupplier({ id, ...change }: Supplier): Promise<boolean> {
			return db.write(async (tx) => {
				const done = await tx
					.update(supplier)
					.set({ ...change, changedBy: actor.person })
					.where(and(eq(supplier.workspaceId, actor.workspace), eq(supplier.id, id)))
					.returning({ id: supplier.id });
				// Materials say who sells them by name.
				if (done.length > 0) await touchStock(tx, actor);
				return done.length > 0;
			});
		},
		/** What the packs of a material cost from which day on, oldest first. */
		async prices(materialId: string): Promise<PriceThen[]> {
			return db.read
				.select({
					pack: packPrice.packId,
					day: packPrice.day,
					count: packPrice.count,
					priceMinor: packPrice.priceMinor
				})
				.from(packPrice)
				.innerJoin(pack, and(eq(pack.workspaceId, packPrice.workspaceId), eq(pack.id, packPrice.packId)))
				.where(and(eq(packPrice.workspaceId, actor.workspace), eq(pack.materialId, materialId)))
				.orderBy(asc(packPrice.day), asc(packPrice.id));
		}
	};
}

const colourOf = ({ id, name, finish, hex }: Colour): Colour => ({ id, name, finish, hex });

const colourRow = ({ of, ...rest }: Colour) => ({
	...colourOf(rest),
	parts: of?.map(({ colour: part, parts }) => ({ colour: part, parts })) ?? null
});

const partsSchema = partColourSchema.omit({ hex: true }).array();
/** Colours of an assorted bag as they look now; one that is gone is a grey nobody sells. */
function assortedOf(parts: unknown, hexes: ReadonlyMap<string, string>): Pick<Colour, 'of'> {
	if (parts === null) return {};
	return { of: partsSchema.parse(parts).map((p) => ({ ...p, hex: hexes.get(p.colour) ?? OPEN_HEX })) };
}

const thousandths = (value: number | null): number | null =>
	value === null ? null : Math.max(1, Math.round(value * 1000));
const ofThousand = (value: number | null): number | null => (value === null ? null : value / 1000);

type Row = Omit<Material, 'packs'>;
/** What a material is, as its row: without whose it is. */
export const materialRow = ({
	colour: colourId,
	litres,
	grams,
	retired,
	into,
	facts,
	counts: _,
	average: _a,
	...rest
}: Row) => ({
	...rest,
	facts: facts && Object.keys(facts).length > 0 ? facts : null,
	colourId,
	fillMl: thousandths(litres),
	weightMg: thousandths(grams),
	retired: retired === true,
	intoId: into ?? null
});

/** Of what changes only what is said. */
const toChange = ({
	colour: colourId,
	litres,
	grams,
	into,
	retired,
	facts,
	counts: _,
	average: _a,
	...rest
}: MaterialChange) => ({
	...rest,
	...(colourId !== undefined && { colourId }),
	...(litres !== undefined && { fillMl: thousandths(litres) }),
	...(grams !== undefined && { weightMg: thousandths(grams) }),
	...(into !== undefined && { intoId: into || null }),
	...(retired !== undefined && { retired }),
	...(facts !== undefined && { facts: Object.keys(facts).length > 0 ? facts : null })
});

/** A pack as the computation reads it: what is not said stands nowhere. */
function packOf(row: typeof pack.$inferSelect, supplierName: string): Pack {
	const {
		id,
		supplierId,
		count,
		priceMinor,
		depositMinor,
		suppliersName,
		code,
		since,
		until,
		breaks,
		usual,
		ended
	} = row;
	return {
		id,
		supplier: supplierName,
		supplierId,
		count,
		priceMinor,
		...(depositMinor !== null && { depositMinor }),
		...(suppliersName && { suppliersName }),
		...(code && { code }),
		...(since !== null && { since }),
		...(until !== null && { until }),
		...(breaks !== null && { breaks: breaksSchema.parse(breaks) }),
		...(usual && { usual }),
		...(ended && { ended })
	};
}

function fromRow(row: typeof material.$inferSelect, packs: Pack[]): Material {
	return {
		id: row.id,
		kind: row.kind,
		name: row.name,
		nominal: row.nominal as Micrometres | null,
		colour: row.colourId,
		safe: row.safe as Micrometres | null,
		loss: row.loss,
		reuse: row.reuse === null ? null : reuseSchema.parse(row.reuse),
		unit: row.unit,
		mark: row.mark,
		litres: ofThousand(row.fillMl),
		grams: ofThousand(row.weightMg),
		chambers: row.chambers,
		...(row.outline === null ? {} : { outline: row.outline }),
		...(row.facts !== null && { facts: factsSchema.parse(row.facts) }),
		...(row.retired && { retired: true as const }),
		...(row.intoId !== null && { into: row.intoId }),
		packs
	};
}
