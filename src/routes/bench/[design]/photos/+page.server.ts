import { error, fail } from '@sveltejs/kit';
import { captionField, photoField } from '$lib/server/photo-fields.ts';
import { sentId } from '$lib/server/form-fields.ts';
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

export const actions: Actions = {
	add: async ({ request, locals, params }) => {
		const form = await request.formData();
		const said = captionField.safeParse(form.get('caption') ?? '');
		const typed = String(form.get('caption') ?? '');
		const no = (trouble: string) => fail(400, { trouble, typed });
		if (!said.success) return no(said.error.issues[0]!.message);
		const photo = await takenPhoto(form.get('file'), locals.work);
		if (typeof photo === 'string') return no(photo);
		if (!(await locals.repos.designs.find(params.design))) return no('There is no such design.');
		const own = sentId({ id: String(form.get('id') ?? '') });
		const outcome = await locals.repos.photos.add(params.design, own, photo, said.data, new Date());
		if (outcome === 'full') return no(`A design has at most ${MOST_PHOTOS} photos. Take one out first.`);
		return { added: own };
	},
	caption: async ({ request, locals, params }) => {
		const form = Object.fromEntries(await request.formData());
		const read = photoField.extend({ caption: captionField }).safeParse(form);
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
		const read = photoField.safeParse(Object.fromEntries(await request.formData()));
		if (read.success) await locals.repos.photos.remove(params.design, read.data.photo, new Date());
		return {};
	}
};
