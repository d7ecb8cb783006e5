import { error, fail } from '@sveltejs/kit';
import { z } from 'zod';
import { takenPhoto } from '$lib/server/threads/taken-photo.ts';
import { MOST_PHOTOS } from '$lib/server/repos/photos.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const design = await locals.repos.designs.find(params.design);
	if (!design) error(404, { message: 'There is no such design.', hint: 'Find it on the Shelf.' });
	return {
		id: design.id,
		name: design.recipe.name,
		photos: await locals.repos.photos.list(design.id),
		most: MOST_PHOTOS,
		fresh: crypto.randomUUID()
	};
};

const caption = z.string().trim().max(120, 'A caption has at most 120 letters. Shorten it.');
const one = z.object({ photo: z.string().min(1).max(64) });

export const actions: Actions = {
	add: async ({ request, locals, params }) => {
		const form = await request.formData();
		const said = caption.safeParse(form.get('caption') ?? '');
		const typed = String(form.get('caption') ?? '');
		const no = (trouble: string) => fail(400, { trouble, typed });
		if (!said.success) return no(said.error.issues[0]!.message);
		const photo = await takenPhoto(form.get('file'), locals.work);
		if (typeof photo === 'string') return no(photo);
		if (!(await locals.repos.designs.find(params.design))) return no('There is no such design.');
		const id = String(form.get('id') ?? '');
		const own = /^[\w-]{8,64}$/.test(id) ? id : crypto.randomUUID();
		const outcome = await locals.repos.photos.add(params.design, own, photo, said.data, new Date());
		if (outcome === 'full') return no(`A design has at most ${MOST_PHOTOS} photos. Take one out first.`);
		return { added: own };
	},
	caption: async ({ request, locals, params }) => {
		const form = Object.fromEntries(await request.formData());
		const read = one.extend({ caption }).safeParse(form);
		if (!read.success) return fail(400, { trouble: read.error.issues[0]!.message, typed: '' });
		await locals.repos.photos.say(params.design, read.data.photo, read.data.caption);
		return { said: read.data.photo };
	},
	cover: async ({ request, locals, params }) => {
		const form = await request.formData();
		const photo = String(form.get('photo') ?? '');
		if (!(await locals.repos.photos.setCover(params.design, photo || null)))
			return fail(404, { trouble: 'That photo is not there any more. Reload the page.', typed: '' });
		return { covered: photo };
	},
	remove: async ({ request, locals, params }) => {
		const read = one.safeParse(Object.fromEntries(await request.formData()));
		if (read.success) await locals.repos.photos.remove(params.design, read.data.photo, new Date());
		return {};
	}
};
