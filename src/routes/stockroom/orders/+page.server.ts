import { orderCame, orderOff } from '$lib/server/order-actions.ts';
import { orderRow } from '$lib/server/pages/material-page.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals: { repos } }) => {
	const [{ materials, settings }, orders] = await Promise.all([loadStudio(repos), repos.onOrders.open()]);
	const [today, style] = [dayIn(settings.zone), { decimal: settings.decimal }];
	return { orders: orders.map((o) => orderRow(o, { materials, today, style })) };
};

export const actions: Actions = { came: orderCame, off: orderOff };
