import { fail } from '@sveltejs/kit';
import type { FormContext } from '$lib/core/forms/fields.ts';
import { PLAIN_MATERIAL } from '$lib/core/materials/material.ts';
import { readColour, readMaterial, readPack } from '$lib/core/materials/material-form.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { stockRows } from '$lib/server/pages/stockroom-page.ts';
import { lostOf } from '$lib/core/count-back/learned-loss.ts';
import { rational } from '$lib/core/units/rational.ts';
import { takeLoss } from '$lib/server/take-loss.ts';
import { askFirst, NOTHING_ASKED } from '$lib/server/services/stock-effect.ts';
import { printView, readView } from '$lib/core/stock/view.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { countedLines } from '$lib/server/services/counted-lines.ts';
import { contextOf, loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals: { repos } }) => {
	const [studio, suppliers, counts, moves, orders, views] = await Promise.all([
		loadStudio(repos),
		repos.stock.suppliers(),
		countedLines(repos),
		repos.stockMoves.all(),
		repos.onOrders.open(),
		repos.stockViews.list()
	]);
	return {
		rows: stockRows(studio.materials, studio.colours, {
			lost: lostOf(counts, contextOf(studio).catalogue),
			usual: rational(studio.settings.rates.defaultLoss).valueOf(),
			moves,
			orders,
			today: dayIn(studio.settings.zone),
			leads: new Map(suppliers.map((s) => [s.id, s.leadDays]))
		}),
		suppliers,
		views,
		colours: studio.colours,
		decimal: studio.settings.decimal,
		settings: studio.settings,
		fresh: crypto.randomUUID()
	};
};

/** Forms of the Stockroom as they were sent, and how numbers are typed here. */
async function sent({ request, locals }: { request: Request; locals: App.Locals }) {
	const typed = await fieldsOf(request);
	const studio = await loadStudio(locals.repos);
	const { settings, materials, colours } = studio;
	const context: FormContext = {
		style: { decimal: settings.decimal },
		currency: settings.rates.currency
	};
	return { typed, context, materials, colours, studio };
}

export const actions: Actions = {
	pack: async (event) => {
		const { typed, context, studio } = await sent(event);
		const { pack = '', count = '', price = '', deposit = '' } = typed;
		const read = readPack(typed, context);
		const answer = (
			status: number,
			errors: { readonly count?: string; readonly price?: string; readonly deposit?: string },
			asks = NOTHING_ASKED
		) => fail(status, { pack: { pack, count, price, deposit, errors, asks } });
		if (!read.ok) return answer(400, read.errors);
		const { count: pieces, price: priceMinor, deposit: depositMinor } = read.values;
		const changed = { count: pieces, priceMinor, depositMinor };
		const material = studio.materials.find((m) => m.packs.some((p) => p.id === pack));
		if (!material) return answer(404, { price: 'That pack is gone. Reload the page.' });
		const packs = material.packs.map((p) => (p.id === pack ? { ...p, ...changed } : p));
		const asks = await askFirst(event.locals.work, studio, { ...material, packs }, typed);
		if (asks.say) return answer(409, {}, asks);
		await event.locals.repos.stock.changePack(pack, changed);
		return { changed: pack };
	},
	/** Counts with the share of loss that builds have taught, once what that moves is seen. */
	loss: async (event) => {
		const { typed, studio } = await sent(event);
		const { material = '' } = typed;
		const taken = await takeLoss(event.locals, studio, material, typed);
		if ('trouble' in taken) return fail(400, { learned: taken.trouble });
		return taken.asks.say ? fail(409, { loss: { material, asks: taken.asks } }) : { taken: material };
	},
	/** Keeps the way it is looked at by a name. */
	keepView: async ({ request, locals }) => {
		const { name = '', query = '' } = await fieldsOf(request);
		const called = name.trim().slice(0, 40);
		if (called === '') return fail(400, { viewTrouble: 'Give the view a name first.' });
		const asked = printView(readView(new URLSearchParams(query.slice(0, 1000))));
		await locals.repos.stockViews.keep({ id: crypto.randomUUID(), name: called, query: asked });
		return { kept: called };
	},
	dropView: async ({ request, locals }) => {
		const { view = '' } = await fieldsOf(request);
		await locals.repos.stockViews.drop(view);
		return { dropped: view };
	},
	add: async (event) => {
		const { typed, context, materials, colours } = await sent(event);
		const { stock } = event.locals.repos;
		const read = readMaterial(typed, { materials, colours, suppliers: await stock.suppliers() }, context);
		if (!read.ok) return fail(400, { add: { typed, errors: read.errors } });
		const id = sentId(typed);
		const { supplier, count, price, deposit: depositMinor, ...material } = read.values;
		const pack = { id: `${id}-pack`, supplierId: supplier, count, priceMinor: price, depositMinor };
		await stock.addMaterial({ ...PLAIN_MATERIAL, ...material, id, pack });
		return { added: material.name };
	},
	colour: async (event) => {
		const { typed, context, colours } = await sent(event);
		const { name = '', hex = '', of = '' } = typed;
		const read = readColour(typed, context, colours);
		if (!read.ok)
			return fail(400, {
				colour: {
					trouble: read.errors.name ?? read.errors.hex ?? '',
					assorted: read.errors.of ?? '',
					name,
					hex,
					of
				}
			});
		await event.locals.repos.stock.addColour({ id: crypto.randomUUID(), finish: 'matte', ...read.values });
		return { addedColour: read.values.name };
	}
};
