import { error, fail, redirect } from '@sveltejs/kit';
import type { FormContext } from '$lib/core/forms/fields.ts';
import { countingPack } from '$lib/core/materials/counting-pack.ts';
import {
	materialFields,
	printBreaks,
	readMaterialChange,
	readSupplier,
	readWholePack
} from '$lib/core/materials/material-form.ts';
import { inBags, MOVE_WORDS, onShelf, reorderAt } from '$lib/core/stock/ledger.ts';
import { readMove } from '$lib/core/stock/move-form.ts';
import { farWords, nearTo, TOO_FAR } from '$lib/core/materials/near.ts';
import { unitCost } from '$lib/core/materials/unit-cost.ts';
import type { Material } from '$lib/core/materials/material.ts';
import { printMoney } from '$lib/core/units/print-number.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { USUAL_LEAD } from '$lib/server/pages/stockroom-page.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { askFirst, NOTHING_ASKED } from '$lib/server/services/stock-effect.ts';
import { loadStudio, type Studio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

async function found(studio: Studio, id: string): Promise<Material> {
	return studio.materials.find((m) => m.id === id) ?? error(404, 'There is no such material.');
}

export const load: PageServerLoad = async ({ locals, params }) => {
	const [studio, suppliers, prices, all] = await Promise.all([
		loadStudio(locals.repos),
		locals.repos.stock.suppliers(),
		locals.repos.stock.prices(params.material),
		locals.repos.stockMoves.all()
	]);
	const material = await found(studio, params.material);
	const style = { decimal: studio.settings.decimal };
	const each = unitCost(material);
	const counting = countingPack(material);
	const today = dayIn(studio.settings.zone);
	const moves = all.get(material.id) ?? [];
	const byId = new Map(studio.colours.map((c) => [c.id, c]));
	const shelf = onShelf(moves);
	const lead = suppliers.find((s) => s.id === counting?.supplierId)?.leadDays ?? USUAL_LEAD;
	const reorder = reorderAt(moves, today, lead);
	const nameOf = (id: string) => studio.materials.find((m) => m.id === id)?.name ?? id;
	return {
		material,
		typed: materialFields(material, style),
		into: material.into ? { id: material.into, name: nameOf(material.into) } : null,
		/** What may stand for it. */
		others: studio.materials
			.filter((m) => m.kind === material.kind && m.id !== material.id && !m.retired)
			.map(({ id, name }) => ({ id, name })),
		packs: material.packs.map((p) => ({
			...p,
			counts: p.id === counting?.id,
			price: printMoney(p.priceMinor, style),
			deposit: printMoney(p.depositMinor ?? null, style),
			breaksText: printBreaks(p.breaks, style),
			each: p.priceMinor === null ? null : (p.priceMinor / p.count / 100).toFixed(3)
		})),
		/** One piece, in the money of the business. */
		each: each ? (each.valueOf() / 100).toFixed(3) : null,
		prices,
		suppliers,
		colours: studio.colours,
		settings: studio.settings,
		today,
		shelf: {
			onHand: inBags(shelf.onHand, counting?.count),
			pieces: shelf.onHand / 1000,
			value: printMoney(Math.round(shelf.value.valueOf()), style),
			valueKnown: shelf.valueKnown,
			oldest: shelf.layers[0]?.day ?? null,
			reorder: reorder === 0 ? null : inBags(reorder, counting?.count),
			isLow: reorder > 0 && shelf.onHand <= reorder,
			lead,
			moves: moves.toReversed().slice(0, 30).map((m) => ({ ...m, says: MOVE_WORDS[m.kind], pieces: inBags(Math.abs(m.thousandths), undefined), cost: printMoney(m.costMinor, style) })) // prettier-ignore
		},
		/** What could stand in for it. */
		near: nearTo(material, studio.materials, byId).map(({ material: m, colour, distance }) => ({
			id: m.id,
			name: m.name,
			hex: colour.hex,
			far: farWords(distance),
			distance: Math.round(distance * 10) / 10,
			isFar: distance > TOO_FAR,
			onHand: all.has(m.id) ? inBags(onShelf(all.get(m.id)!).onHand, countingPack(m)?.count) : null
		})),
		hex: byId.get(material.colour ?? '')?.hex ?? null,
		/** Set aside for accepted jobs; said when it is worked out. */
		reserved: locals.work('reserved', { material: params.material, from: today }).catch(() => null),
		stamp: studio.stamp,
		fresh: crypto.randomUUID()
	};
};

async function sent({ request, locals, params }: RequestEvent) {
	const typed = await fieldsOf(request);
	const studio = await loadStudio(locals.repos);
	const context: FormContext = {
		style: { decimal: studio.settings.decimal },
		currency: studio.settings.rates.currency
	};
	return { typed, studio, context, material: await found(studio, params.material) };
}

export const actions: Actions = {
	save: async (event) => {
		const { typed, studio, context, material } = await sent(event);
		const read = readMaterialChange({ ...typed, id: material.id }, studio, context);
		if (!read.ok) return fail(400, { save: { typed, errors: read.errors, asks: NOTHING_ASKED } });
		const asks = await askFirst(event.locals.work, studio, { ...material, ...read.values }, typed);
		if (asks.say) return fail(409, { save: { typed, errors: {}, asks } });
		await event.locals.repos.stock.changeMaterial(material.id, read.values);
		return { saved: read.values.name };
	},
	pack: async (event) => {
		const { typed, studio, context, material } = await sent(event);
		const suppliers = await event.locals.repos.stock.suppliers();
		const read = readWholePack(typed, { suppliers }, context);
		const { pack = '' } = typed;
		if (!read.ok) return fail(400, { pack: { id: pack, typed, errors: read.errors, asks: NOTHING_ASKED } });
		const own = material.packs.find((p) => p.id === pack);
		if (!own)
			return fail(404, {
				pack: {
					id: pack,
					typed,
					errors: { price: 'That pack is gone. Reload the page.' },
					asks: NOTHING_ASKED
				}
			});
		const packs = material.packs.map((p) => (p.id === pack ? asPack(p.id, own.supplier, read.values) : p));
		const asks = await askFirst(event.locals.work, studio, uncounted(material, packs), typed);
		if (asks.say) return fail(409, { pack: { id: pack, typed, errors: {}, asks } });
		await event.locals.repos.stock.changePack(pack, read.values);
		return { savedPack: pack };
	},
	addPack: async (event) => {
		const { typed, studio, context, material } = await sent(event);
		const { stock } = event.locals.repos;
		const id = sentId(typed);
		const suppliers = await stock.suppliers();
		// A supplier nobody has bought from yet is named here.
		const named = typed.newSupplier?.trim() ?? '';
		const supplier = named === '' ? undefined : readSupplier({ name: named }, context, suppliers);
		if (supplier && !supplier.ok)
			return fail(400, {
				add: { typed, errors: { newSupplier: supplier.errors.name ?? '' }, asks: NOTHING_ASKED }
			});
		const fresh = supplier && { id: `${id}-supplier`, name: supplier.values.name };
		const held = { ...typed, ...(fresh && { supplier: fresh.id }) };
		const read = readWholePack(held, { suppliers: fresh ? [...suppliers, fresh] : suppliers }, context);
		if (!read.ok) return fail(400, { add: { typed, errors: read.errors, asks: NOTHING_ASKED } });
		const name = fresh?.name ?? suppliers.find((s) => s.id === read.values.supplierId)?.name ?? '';
		const packs = [...material.packs, asPack(`${id}-pack`, name, read.values)];
		const asks = await askFirst(event.locals.work, studio, uncounted(material, packs), typed);
		if (asks.say) return fail(409, { add: { typed, errors: {}, asks } });
		if (fresh) await stock.addSupplier(fresh);
		await stock.addPack(material.id, { ...read.values, id: `${id}-pack` });
		return { addedPack: name };
	},
	/** Writes down what happened to it. */
	move: async (event) => {
		const { typed, studio, context, material } = await sent(event);
		const read = readMove(typed, countingPack(material)?.count, dayIn(studio.settings.zone), context);
		if (!read.ok) return fail(400, { move: { typed, errors: read.errors } });
		await event.locals.repos.stockMoves.add(material.id, { ...read.values, id: sentId(typed) });
		return { moved: true };
	},
	/** Offers it no more, or again. */
	retire: async (event) => {
		const { material } = await sent(event);
		const back = material.retired === true;
		await event.locals.repos.stock.changeMaterial(material.id, {
			retired: !back,
			...(back && { into: null })
		});
		return { retired: !back };
	},
	/** Lets another stand for it, everywhere. */
	merge: async (event) => {
		const { typed, studio, material } = await sent(event);
		const into = studio.materials.find((m) => m.id === typed.into && m.kind === material.kind && m.id !== material.id && !m.retired); // prettier-ignore
		if (!into)
			return fail(400, { merge: { into: typed.into ?? '', trouble: 'Pick the one that stands for it.', asks: NOTHING_ASKED } }); // prettier-ignore
		const asks = await askFirst(
			event.locals.work,
			studio,
			{ ...material, retired: true, into: into.id },
			typed
		);
		if (asks.say) return fail(409, { merge: { into: into.id, trouble: '', asks } });
		await event.locals.repos.stock.changeMaterial(material.id, { retired: true, into: into.id });
		redirect(303, `/stockroom/${into.id}`);
	}
};

type Read = Extract<ReturnType<typeof readWholePack>, { ok: true }>['values'];
/** A pack as the computation would read it. */
function asPack(id: string, supplier: string, read: Read): Material['packs'][number] {
	const { until, since, breaks, usual, ended, ...rest } = read;
	return {
		...rest,
		id,
		supplier,
		...(since && { since }),
		...(until && { until }),
		...(breaks && { breaks }),
		...(usual && { usual: true }),
		...(ended && { ended: true })
	};
}

/** Which of its prices counts is found anew. */
const uncounted = ({ counts: _, ...material }: Material, packs: Material['packs']): Material => ({
	...material,
	packs
});
