import { and, asc, eq } from 'drizzle-orm';
import type { Colour, Material, Pack } from '../../core/materials/material.ts';
import { partColourSchema, reuseSchema } from '../../core/materials/material.schema.ts';
import type { RationalText } from '../../core/units/rational.ts';
import type { Micrometres } from '../../core/units/length.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { colour, material, pack, supplier } from '../db/tables/stock.ts';
import { touchStock } from './workspaces.ts';

export interface Supplier {
	readonly id: string;
	readonly name: string;
}

/** A material as the Stockroom's form gives it: its packs name suppliers by id. */
export interface NewMaterial extends Omit<Material, 'packs'> {
	readonly pack: {
		readonly id: string;
		readonly supplierId: string;
		readonly count: number;
		readonly priceMinor: number | null;
		readonly depositMinor?: number | null | undefined;
	};
}

/** Materials, colours, packs and suppliers. */
export function stock(db: Database, actor: Actor) {
	const own = { workspaceId: actor.workspace, changedBy: actor.person };
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
				.select({ id: supplier.id, name: supplier.name })
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
				list.push({
					id: p.id,
					supplier: supplierName,
					count: p.count,
					priceMinor: p.priceMinor,
					...(p.depositMinor === null ? {} : { depositMinor: p.depositMinor })
				});
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
		async addSupplier(added: Supplier): Promise<void> {
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
					.values({ ...toRow(rest), ...own })
					.onConflictDoNothing({ target: [material.workspaceId, material.id] });
				await tx
					.insert(pack)
					.values({ ...first, materialId: added.id, ...own })
					.onConflictDoNothing({ target: [pack.workspaceId, pack.id] });
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
						.values({ ...toRow(each), ...own })
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
		/** @returns false where there is no such pack */
		async changePack(
			id: string,
			change: { count: number; priceMinor: number | null; depositMinor?: number | null }
		): Promise<boolean> {
			return db.write(async (tx) => {
				const done = await tx
					.update(pack)
					.set({ ...change, changedBy: actor.person })
					.where(and(eq(pack.workspaceId, actor.workspace), eq(pack.id, id)))
					.returning({ id: pack.id });
				if (done.length > 0) await touchStock(tx, actor);
				return done.length > 0;
			});
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
	return { of: partsSchema.parse(parts).map((p) => ({ ...p, hex: hexes.get(p.colour) ?? '#c9ccd2' })) };
}

const thousandths = (value: number | null): number | null =>
	value === null ? null : Math.max(1, Math.round(value * 1000));
const ofThousand = (value: number | null): number | null => (value === null ? null : value / 1000);

const toRow = ({ colour: colourId, litres, grams, ...rest }: Omit<Material, 'packs'>) => ({
	...rest,
	colourId,
	fillMl: thousandths(litres),
	weightMg: thousandths(grams)
});

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
		packs
	};
}
