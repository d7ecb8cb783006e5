import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { parseDate } from '@internationalized/date';
import { readOffcut } from '$lib/core/owned/owned-form.ts';
import type { Material } from '$lib/core/materials/material.ts';
import { SQUARE_FEET } from '$lib/core/units/area.ts';
import { um, type Micrometres } from '$lib/core/units/length.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

/** Jobs are offered for so many days on, and so many may be cut together. */
const [AHEAD, MOST_JOBS] = [120, 40];

export const load: PageServerLoad = async ({ locals, url }) => {
	const { settings, materials } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone, new Date());
	const until = parseDate(today).add({ days: AHEAD }).toString();
	const jobs = await locals.repos.things.dated(today, until);
	const asked = url.searchParams.getAll('quote').filter((id) => /^[\w-]{1,64}$/.test(id));
	const ticked = asked.slice(0, MOST_JOBS);
	return {
		jobs: jobs.map((j) => ({ ...j, ticked: ticked.includes(j.id) })),
		ticked: ticked.length,
		...(await locals.work('cut page', { quotes: ticked })),
		stuff: materials.filter(isCut).map(({ id, name }) => [id, name] as const),
		currency: settings.rates.currency,
		decimal: settings.decimal
	};
}; // prettier-ignore

/** Sold by length or by the square foot: what is cut of it leaves offcuts. */
const isCut = ({ kind, unit }: Material) => (kind === 'pipe' && unit !== 'piece') || unit === SQUARE_FEET;
const side = z.number().int().min(1).max(40_000_000);
const lengths = z
	.array(z.strictObject({ length: side, wide: side.or(z.literal(0)), count: z.number().int().min(1).max(5000) }))
	.max(200); // prettier-ignore
const done = z.strictObject({ material: z.string().min(1).max(64), used: lengths, left: lengths });
const orNone = (wide: number): Micrometres | 0 => (wide === 0 ? 0 : um(wide));
function parsed(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return null;
	}
}

export const actions: Actions = {
	put: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const { settings, materials } = await loadStudio(locals.repos);
		const read = readOffcut(typed, materials.filter(isCut), { style: { decimal: settings.decimal }, currency: settings.rates.currency }); // prettier-ignore
		if (!read.ok) return fail(400, { put: { typed, errors: read.errors } });
		await locals.repos.things.putOffcut(read.values);
		return { said: 'It is on the shelf.' };
	},
	take: async ({ request, locals }) => {
		const { material = '', length = '', wide = '' } = await fieldsOf(request);
		const [long, other] = [Number(length), Number(wide)];
		const there = Number.isInteger(long) && long > 0 && Number.isInteger(other) && other >= 0;
		return there && (await locals.repos.things.takeOffcut({ material, length: um(long), wide: orNone(other), count: 1 }))
			? { said: 'One is taken off the shelf.' }
			: fail(409, { trouble: 'That offcut is not there any more. Reload the page.' });
	},
	/** What was cut: offcuts it took are gone, what it left lies on the shelf. */
	cut: async ({ request, locals }) => {
		const read = done.safeParse(parsed((await fieldsOf(request)).done ?? ''));
		const { materials } = await loadStudio(locals.repos);
		if (!read.success || !materials.some((m) => m.id === read.data.material))
			return fail(400, { trouble: 'That cut could not be read. Reload the page, and press it again.' });
		const { material, used, left } = read.data;
		const of = (all: typeof used) => all.map(({ length, wide, count }) => ({ material, length: um(length), wide: orNone(wide), count }));
		return (await locals.repos.things.cut(of(used), of(left)))
			? { said: 'Cut: what is left is on the shelf.' }
			: fail(409, { trouble: 'An offcut of this plan is no longer on the shelf. Reload the page for a new one.' });
	}
}; // prettier-ignore
