import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { idSchema } from '$lib/core/id.schema.ts';
import { AS_USUAL, MOST_MILES } from '$lib/core/labour/job.ts';
import { isCalendarDay } from '$lib/core/quote/read-form.ts';
import { parseBounded } from '$lib/core/units/number.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { newTerms, recipePage } from '$lib/server/services/quoting.ts';
import { sendAndPost, WHY_NOT_SENT } from '$lib/server/services/sending.ts';
import { shownSettings } from '$lib/server/services/shown-settings.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** Kept designs by name, and the first with its recipe: the price is worked out on the phone as she chooses. */
export const load: PageServerLoad = async ({ locals }) => {
	const [studio, offered, clients] = await Promise.all([
		loadStudio(locals.repos),
		locals.repos.quotes.offered(),
		locals.repos.clients.list()
	]);
	const { settings, materials, colours } = studio;
	return {
		fresh: crypto.randomUUID(),
		clients: clients.map((c) => c.name),
		designs: offered.map(({ versionId, name }) => ({ id: versionId, name })),
		...(await recipePage(
			locals.repos,
			offered.slice(0, 1).map((o) => o.versionId)
		)),
		settings: shownSettings(locals.actor, settings),
		materials,
		colours
	};
};

const piecesSchema = z
	.array(
		z.strictObject({
			versionId: z.string().min(1).max(90),
			colourwayId: idSchema.nullable(),
			sizeId: idSchema.nullable(),
			quantity: z.number().int().min(1).max(999),
			asked: z.string().max(200)
		})
	)
	.min(1)
	.max(50);

/** Reads JSON; nothing where it is none. */
function json(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return undefined;
	}
}

/** The pieces on the phone as a draft, with the way there and the day. @returns its id, or why it is none */
async function draftOf({ request, locals }: Pick<RequestEvent, 'request' | 'locals'>) {
	const typed = await fieldsOf(request);
	const client = (typed.client ?? '').trim();
	const refuse = (trouble: string) => ({ client: client.slice(0, 200), trouble });
	if (client === '') return refuse('Who is it for? Type a name.');
	if (client.length > 120) return refuse('A name has up to 120 letters.');
	const pieces = piecesSchema.safeParse(json(typed.lines ?? ''));
	if (!pieces.success) return refuse('Put a piece on the quote first.');
	const { settings } = await loadStudio(locals.repos);
	const said = (typed.miles ?? '').trim();
	const miles = parseBounded(said || '0', { what: 'The way there', min: 0, max: MOST_MILES }, { decimal: settings.decimal }); // prettier-ignore
	if (!miles.ok) return refuse(miles.say);
	const day = typed.eventDate ?? '';
	if (day !== '' && !isCalendarDay(day)) return refuse('There is no such day. Pick one from the calendar.');
	for (const { versionId } of pieces.data)
		if (!(await locals.repos.designs.version(versionId)))
			return refuse('A design on it is not kept any more. Take it out.');
	const asked = pieces.data.flatMap((p) => p.asked || []);
	const id = sentId(typed);
	const clientId = await locals.repos.clients.named(client, crypto.randomUUID());
	const terms = {
		...newTerms(settings),
		...(said === '' ? {} : { job: { ...AS_USUAL, miles: miles.value.valueOf() } }),
		...(asked.length > 0 ? { self: `asked on the phone: ${asked.join('; ')}`.slice(0, 2000) } : {})
	};
	const lines = pieces.data.map(({ versionId, colourwayId, sizeId, quantity }) => ({
		id: crypto.randomUUID(),
		versionId,
		colourwayId,
		sizeId,
		quantity,
		way: null
	}));
	await locals.repos.quotes.create(
		id,
		{ clientId, eventDate: day || null, zone: settings.zone, terms, lines },
		new Date()
	);
	return { client, id, asked: asked.join('; ') };
}

export const actions: Actions = {
	draft: async (event) => {
		const made = await draftOf(event);
		if ('trouble' in made) return fail(400, made);
		redirect(303, `/quotes/${made.id}`);
	},
	/** The same, and sent: the page of the quote has the link. */
	send: async (event) => {
		const made = await draftOf(event);
		if ('trouble' in made) return fail(400, made);
		const { locals, url } = event;
		const { client, id, asked } = made;
		const kept = (why: string) =>
			fail(400, { client, trouble: `It is a draft now, and was not sent. ${why}`, draft: id });
		if (asked) return kept(`What was asked for is not in it yet: ${asked.slice(0, 200)}.`);
		const quote = await locals.repos.quotes.find(id);
		const outcome =
			quote?.state === 'draft'
				? await sendAndPost(locals.repos, { id, evenUnknown: false }, locals.work, url)
				: 'sent';
		if (outcome !== 'sent') return kept(WHY_NOT_SENT[outcome]);
		redirect(303, `/quotes/${id}`);
	}
};
