import { error, fail, redirect } from '@sveltejs/kit';
import type { FormContext } from '$lib/core/forms/fields.ts';
import { countingPack } from '$lib/core/materials/counting-pack.ts';
import { readMaterialChange, readSupplier, readWholePack } from '$lib/core/materials/material-form.ts';
import type { Material } from '$lib/core/materials/material.ts';
import { readMove } from '$lib/core/stock/move-form.ts';
import { readOrder } from '$lib/core/stock/on-order.ts';
import { dayNumber, dayOfNumber } from '$lib/core/units/calendar-day.ts';
import { reservedFrom } from '$lib/server/services/where-used.ts';
import { takeLoss } from '$lib/server/take-loss.ts';
import { orderCame, orderOff } from '$lib/server/order-actions.ts';
import { USUAL_LEAD } from '$lib/core/buying/buying.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { changesOf } from '$lib/server/pages/changes-page.ts';
import { materialPage } from '$lib/server/pages/material-page.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { askFirst, NOTHING_ASKED } from '$lib/server/services/stock-effect.ts';
import { loadStudio, type Studio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

const found = (studio: Studio, id: string): Material =>
	studio.materials.find((m) => m.id === id) ?? error(404, 'There is no such material.');

export const load: PageServerLoad = async ({ locals, params }) => {
	const studio = await loadStudio(locals.repos);
	const today = dayIn(studio.settings.zone);
	// Looked for beside the page: it shows when it is found.
	const used = locals.work('where used', { material: params.material }).catch(() => null);
	return {
		...(await materialPage(locals.repos, studio, { material: found(studio, params.material), today })),
		used,
		/** Set aside for accepted jobs still ahead. */
		reserved: used.then((found) => found && reservedFrom(found, today)),
		changes: await changesOf(locals.repos, { about: 'material', aboutId: params.material }, studio.settings),
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
	return { typed, studio, context, material: found(studio, params.material) };
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
		const pack = countingPack(material)?.count;
		const suppliers = await event.locals.repos.stock.suppliers();
		const read = readMove(typed, { pack, today: dayIn(studio.settings.zone), suppliers }, context);
		if (!read.ok) return fail(400, { move: { typed, errors: read.errors } });
		await event.locals.repos.stockMoves.add(material.id, { ...read.values, id: sentId(typed) });
		return { moved: true };
	},
	/** Writes down what is ordered. */
	order: async (event) => {
		const { typed, studio, context, material } = await sent(event);
		const { repos } = event.locals;
		const today = dayIn(studio.settings.zone);
		const supplier = material.packs.find((p) => p.id === typed.pack)?.supplierId;
		const lead = (await repos.stock.suppliers()).find((s) => s.id === supplier)?.leadDays ?? USUAL_LEAD;
		const about = {
			material: material.id,
			packs: material.packs,
			today,
			due: dayOfNumber(dayNumber(today) + lead)
		};
		const read = readOrder(typed, about, context);
		if (!read.ok) return fail(400, { order: { typed, errors: read.errors } });
		await repos.onOrders.add({ ...read.order, id: sentId(typed) });
		return { ordered: true };
	},
	came: orderCame,
	off: orderOff,
	/** Counts with the share of loss that was learned, once what that moves is seen. */
	loss: async (event) => {
		const { typed, studio, material } = await sent(event);
		const taken = await takeLoss(event.locals, studio, material.id, typed);
		if ('trouble' in taken) error(400, taken.trouble);
		return taken.asks.say ? fail(409, { loss: { asks: taken.asks } }) : { lossTaken: true };
	},
	/** Offers it no more, or again. */
	retire: async (event) => {
		const { typed, studio, material } = await sent(event);
		const back = material.retired === true;
		const changed: Material = { ...material, retired: back ? undefined : true, into: undefined };
		const asks = await askFirst(event.locals.work, studio, changed, typed);
		if (asks.say) return fail(409, { retire: { asks } });
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
