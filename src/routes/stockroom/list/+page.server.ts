import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { MATERIAL_KINDS } from '$lib/core/materials/material.ts';
import { columnsSchema } from '$lib/core/price-list/columns.schema.ts';
import { printMoney } from '$lib/core/units/print-number.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import type { SentList } from '$lib/server/services/bring-list.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { effectLines, effectWords } from '$lib/server/services/stock-effect.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const [{ settings }, suppliers, saved, last] = await Promise.all([
		loadStudio(locals.repos),
		locals.repos.stock.suppliers(),
		locals.repos.priceLists.columns(),
		locals.repos.priceLists.last()
	]);
	return { settings, suppliers, saved, last, fresh: crypto.randomUUID() };
};

/** What is sent to bring a list in; the text is held to the limit of what can be sent at all. */
const sentSchema = z.object({
	text: z.string().min(1),
	columns: z.string().max(2000).transform((text, context) => {
		try {
			return columnsSchema.parse(JSON.parse(text));
		} catch {
			context.addIssue({ code: 'custom', message: 'not columns' });
			return z.NEVER;
		}
	}),
	kind: z.enum(MATERIAL_KINDS).or(z.literal('')).default(''),
	supplier: z.string().max(64),
	named: z.string().max(80).default(''),
	file: z.string().max(200).default('a list'),
	takeNew: z.literal('on').optional()
}); // prettier-ignore

const count = (many: number, one: string, more: string): string => (many === 0 ? '' : `${many} ${many === 1 ? one : more}`); // prettier-ignore

export const actions: Actions = {
	bring: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const refuse = (say: string) => fail(400, { trouble: say });
		const sent = sentSchema.safeParse(typed);
		if (!sent.success) return refuse('That could not be read. Choose the file again.');
		const { text, columns, kind, supplier, named, file, takeNew } = sent.data;
		const { repos, work } = locals;
		const [studio, suppliers] = await Promise.all([loadStudio(repos), repos.stock.suppliers()]);
		const name = named.trim();
		const known = suppliers.find((s) => s.id === supplier) ?? (supplier === '' ? suppliers.find((s) => s.name.toLowerCase() === name.toLowerCase()) : undefined); // prettier-ignore
		if (!known && name === '') return refuse('Whose list is it? Pick the supplier, or type a new one.');
		const style = { decimal: studio.settings.decimal };
		const choices = { columns, kind: kind || null, style, currency: studio.settings.rates.currency };
		const wanted: SentList = { text, choices, supplier: known?.id ?? null, named: known ? '' : name, takeNew: takeNew === 'on', meant: typed.meant ?? '' }; // prettier-ignore
		const plan = await work('plan list', wanted);
		if ('trouble' in plan) return refuse(plan.trouble);
		if (plan.many === 0) return refuse('There is nothing in it to take: every row is as it is here, or not known.'); // prettier-ignore
		if (plan.rows === null) {
			const { counts, about } = plan;
			const what = [
				count(counts.changes, 'pack changes', 'packs change'),
				count(counts.another, 'pack is added to what you have', 'packs are added to what you have'),
				takeNew ? count(counts.new, 'material is new', 'materials are new') : ''
			].filter(Boolean);
			const left = counts.problem + counts.unknown + (takeNew ? 0 : counts.new);
			const say = `${what.join(', ')}${left > 0 ? `; ${count(left, 'row is', 'rows are')} left out` : ''}. ${effectWords(plan.effect, (minor) => printMoney(minor, style))}`; // prettier-ignore
			return fail(409, { asks: { say, about, lines: effectLines(plan.effect, (minor) => printMoney(minor, style)) } }); // prettier-ignore
		}
		// Ids of what it adds are made of this one.
		const id = sentId(typed).slice(0, 40);
		const supplierId = known?.id ?? `${id}-supplier`;
		if (!known) await repos.stock.addSupplier({ id: supplierId, name });
		await repos.priceLists.bringIn({ id, supplier: supplierId, day: dayIn(studio.settings.zone), file, columns: plan.columns, rows: plan.rows }); // prettier-ignore
		return { brought: plan.many };
	},
	/** Takes a list back. */
	undo: async ({ request, locals }) => {
		const { list = '' } = await fieldsOf(request);
		const { settings } = await loadStudio(locals.repos);
		const done = await locals.repos.priceLists.takeBack(list, dayIn(settings.zone));
		if (!done) return fail(404, { trouble: 'That list was taken back already.' });
		const kept = [
			count(done.changedSince, 'pack was changed since, and stays', 'packs were changed since, and stay'),
			count(done.stay, 'material is used by now: it is retired and stays', 'materials are used by now: they are retired and stay') // prettier-ignore
		].filter(Boolean);
		return { undone: kept.length > 0 ? `It is taken back. ${kept.join('; ')}.` : 'It is taken back.' };
	}
};
