import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { mergeFields, startedFrom, type Fields } from '$lib/core/forms/merge-fields.ts';
import type { PlanEdit } from '$lib/core/plan/arrange.ts';
import { STEP_PLACES, type StepWords } from '$lib/core/document/step.ts';
import { parseWait } from '$lib/core/units/duration.ts';
import { designWork } from '$lib/server/design-work.ts';
import { changePlan, stepNow } from '$lib/server/services/plan.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => ({
	...(await designWork(event, 'plan page')),
	fresh: crypto.randomUUID()
});

const word = (most: number, say: string) => z.string().trim().max(most, say);
const formSchema = z.object({
	id: z.string().min(1).max(90),
	saveId: z.string().min(8).max(64),
	text: word(500, 'A step has at most 500 letters. Make two of it.').min(1, 'Say what is done.'),
	place: z.enum(STEP_PLACES),
	tool: word(80, 'A tool has at most 80 letters.'),
	method: word(80, 'A method has at most 80 letters.'),
	wait: z.string().max(40),
	check: word(300, 'A check has at most 300 letters.'),
	photo: z.string().max(64),
	about: z.string().max(64),
	after: z.string().max(90)
});
const idSchema = formSchema.pick({ id: true, saveId: true });
const moveSchema = idSchema.extend({ to: z.string().min(1).max(90) });

const GONE = 'That step is not there any more. Reload the page.';

export const actions: Actions = {
	say: async ({ request, locals, params }) => {
		const form = await fieldsOf(request);
		const now = await stepNow(locals.repos, params.design, form.id ?? '');
		const { mine, errors } = mergeFields(form, startedFrom(form.started), now ?? {});
		if (Object.keys(errors).length > 0)
			return fail(409, { id: form.id ?? '', trouble: inWords(errors), typed: mine, started: now });
		const read = await readStep(mine, locals.repos);
		if ('failure' in read) return read.failure;
		const { id, saveId, says, uses } = read;
		return did(locals.repos, params.design, { edit: { kind: 'say', id, says, uses }, saveId }, read.typed);
	},
	add: async ({ request, locals, params }) => {
		const read = await readStep(await fieldsOf(request), locals.repos);
		if ('failure' in read) return read.failure;
		const { id, saveId, says, uses, after } = read;
		const edit = { kind: 'add', id, says, uses, after: after || null } as const;
		return did(locals.repos, params.design, { edit, saveId }, read.typed);
	},
	move: async ({ request, locals, params }) => {
		const form = moveSchema.safeParse(Object.fromEntries(await request.formData()));
		if (!form.success) return fail(400, { id: '', trouble: { text: GONE }, typed: {} });
		const { id, to, saveId } = form.data;
		return did(locals.repos, params.design, { edit: { kind: 'move', id, to }, saveId });
	},
	remove: plain('remove'),
	asMade: plain('as made')
};

function plain(kind: 'remove' | 'as made'): Actions[string] {
	return async ({ request, locals, params }) => {
		const form = idSchema.safeParse(Object.fromEntries(await request.formData()));
		if (!form.success) return fail(400, { id: '', trouble: { text: GONE }, typed: {} });
		return did(locals.repos, params.design!, { edit: { kind, id: form.data.id }, saveId: form.data.saveId });
	};
}

type Typed = Record<string, string>;

const fieldsOf = async (request: Request): Promise<Typed> =>
	Object.fromEntries([...(await request.formData())].map(([k, v]) => [k, String(v)]));

/** What a list chooses is named by ids, which nobody reads. */
const inWords = ({ photo, about, ...errors }: Typed): Typed => ({
	...errors,
	...(photo && { photo: OTHERS }),
	...(about && { about: OTHERS })
});
const OTHERS = 'Changed meanwhile, in another tab or by somebody else. Save again to keep yours.';

async function did(
	repos: App.Locals['repos'],
	design: string,
	change: { edit: PlanEdit; saveId: string },
	typed: Typed = {}
) {
	const { id } = change.edit;
	if (!(await changePlan(repos, design, change, new Date())))
		return fail(404, { id, trouble: { text: GONE }, typed });
	return { done: id };
}

/** Reads the form of a step; what was typed comes back with what is wrong with it. */
async function readStep(typed: Fields, repos: App.Locals['repos']) {
	const id = typed.id ?? '';
	const form = formSchema.safeParse({ after: '', about: '', photo: '', ...typed });
	if (!form.success) {
		const trouble = Object.fromEntries(form.error.issues.map((i) => [String(i.path[0]), i.message]));
		return { failure: fail(400, { id, trouble, typed }) };
	}
	const { settings } = await loadStudio(repos);
	const wait = parseWait(form.data.wait, { decimal: settings.decimal });
	if (!wait.ok) return { failure: fail(400, { id, trouble: { wait: wait.say } as Typed, typed }) };
	const { text, place, tool, method, check, photo, about, saveId, after } = form.data;
	const says: StepWords = {
		text,
		place,
		tool,
		method,
		check,
		wait: wait.value ?? 0,
		photo: photo || undefined
	};
	return { id, saveId, says, uses: about ? [about] : [], after, typed };
}
