import { fail } from '@sveltejs/kit';
import { readSupplier } from '$lib/core/materials/material-form.ts';
import { printMoney } from '$lib/core/units/print-number.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const [studio, suppliers] = await Promise.all([loadStudio(locals.repos), locals.repos.stock.suppliers()]);
	const style = { decimal: studio.settings.decimal };
	const sold = (id: string) => studio.materials.filter((m) => m.packs.some((p) => p.supplierId === id && !p.ended)).length; // prettier-ignore
	return {
		suppliers: suppliers.map((s) => ({
			id: s.id,
			name: s.name,
			shipping: printMoney(s.shippingMinor, style),
			freeFrom: printMoney(s.freeFromMinor, style),
			lead: s.leadDays === null ? '' : String(s.leadDays),
			sold: sold(s.id)
		})),
		fresh: crypto.randomUUID()
	};
};

export const actions: Actions = {
	save: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const { settings } = await loadStudio(locals.repos);
		const { stock } = locals.repos;
		const suppliers = await stock.suppliers();
		const context = { style: { decimal: settings.decimal }, currency: settings.rates.currency };
		const read = readSupplier(typed, context, suppliers);
		const { supplier = '' } = typed;
		if (!read.ok) return fail(400, { supplier, typed, errors: read.errors });
		const { name, shipping, freeFrom, lead } = read.values;
		const known = suppliers.some((s) => s.id === supplier);
		const own = { id: known ? supplier : sentId(typed), name, shippingMinor: shipping, freeFromMinor: freeFrom, leadDays: lead }; // prettier-ignore
		if (known) await stock.changeSupplier(own);
		else await stock.addSupplier(own);
		return { saved: name };
	}
};
