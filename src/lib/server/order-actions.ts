import { fail, type RequestEvent } from '@sveltejs/kit';
import { parseCount } from '../core/units/number.ts';
import { fieldsOf } from './form-fields.ts';
import { dayIn } from './services/day-in.ts';
import { loadStudio } from './services/studio.ts';

const GONE = 'That is not on order any more. Reload the page.';

/** So many packs of what was ordered came; the rest is still to come. */
export async function orderCame({ request, locals: { repos } }: RequestEvent) {
	const { order = '', packs = '' } = await fieldsOf(request);
	const { settings } = await loadStudio(repos);
	const style = { decimal: settings.decimal };
	const of = (await repos.onOrders.open()).find((o) => o.id === order);
	if (!of) return fail(404, { came: { order, packs, say: GONE } });
	const many = packs.trim() === '' ? { ok: true as const, value: of.packs } : parseCount(packs, { what: 'Packs that came', min: 1, max: of.packs }, style); // prettier-ignore
	if (!many.ok) return fail(400, { came: { order, packs, say: many.say } });
	const done = await repos.onOrders.came(order, { packs: many.value, day: dayIn(settings.zone) });
	return done ? { arrived: true } : fail(404, { came: { order, packs, say: GONE } });
}

/** What was ordered will not come. */
export async function orderOff({ request, locals: { repos } }: RequestEvent) {
	const { order = '' } = await fieldsOf(request);
	return (await repos.onOrders.off(order)) ? { off: true } : fail(404, { came: { order, packs: '', say: GONE } }); // prettier-ignore
}
