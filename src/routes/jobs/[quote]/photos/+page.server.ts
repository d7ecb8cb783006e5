import { error, fail } from '@sveltejs/kit';
import { z } from 'zod';
import { may } from '$lib/server/actor.ts';
import { MOST_JOB_PHOTOS } from '$lib/server/repos/job-photos.ts';
import { captionField, photoField } from '$lib/server/photo-fields.ts';
import { sentId } from '$lib/server/form-fields.ts';
import { takenPhoto } from '$lib/server/threads/taken-photo.ts';
import type { Actions, PageServerLoad } from './$types';

const GONE = { message: 'There is no such job.', hint: 'A job is a quote with a yes: find them under Jobs.' };

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const job = await locals.repos.jobs.find(params.quote);
	if (!job) error(404, GONE);
	const mayLink = may(locals.actor, 'books');
	const issued = mayLink ? (await locals.repos.quotes.find(job.id))?.issued : undefined;
	return {
		id: job.id,
		client: job.client,
		number: job.number,
		photos: await locals.repos.jobPhotos.of(job.id),
		link: issued ? `${url.origin}/q/${issued.token}` : '',
		mayAdd: may(locals.actor, 'tick'),
		mayShow: may(locals.actor, 'quote'),
		fresh: crypto.randomUUID()
	};
};

const LOST = 'That photo is not there any more. Reload the page.';

export const actions: Actions = {
	add: async ({ request, locals, params }) => {
		const form = await request.formData();
		const typed = String(form.get('caption') ?? '').slice(0, 1000);
		const no = (trouble: string) => fail(400, { trouble, typed });
		const said = captionField.safeParse(typed);
		if (!said.success) return no(said.error.issues[0]!.message);
		const photo = await takenPhoto(form.get('file'), locals.work);
		if (typeof photo === 'string') return no(photo);
		if (!(await locals.repos.jobs.find(params.quote))) error(404, GONE);
		const id = sentId({ id: String(form.get('id') ?? '') });
		const { type, width, height, bytes } = photo;
		const own = { id, type, width, height, bytes, caption: said.data, isShown: false };
		if (!(await locals.repos.jobPhotos.add(params.quote, own, new Date())))
			return no(`A job has at most ${MOST_JOB_PHOTOS} photos. Take one out first.`);
		return { added: id };
	},
	/** What stands under it, and whether the client sees it. */
	say: async ({ request, locals, params }) => {
		const form = Object.fromEntries(await request.formData());
		const read = photoField.extend({ caption: captionField, shown: z.string().optional() }).safeParse(form);
		if (!read.success) return fail(400, { trouble: read.error.issues[0]!.message, typed: '' });
		const { photo, shown } = read.data;
		const done = await locals.repos.jobPhotos.say(params.quote, photo, { caption: read.data.caption, isShown: shown === 'yes' }); // prettier-ignore
		return done ? { said: photo } : fail(404, { trouble: LOST, typed: '' });
	},
	remove: async ({ request, locals, params }) => {
		const read = photoField.safeParse(Object.fromEntries(await request.formData()));
		if (read.success) await locals.repos.jobPhotos.remove(params.quote, read.data.photo);
		return {};
	}
};
