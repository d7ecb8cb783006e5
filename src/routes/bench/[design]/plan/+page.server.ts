import { fail } from '@sveltejs/kit';
import { mergeFields, startedFrom, type Fields } from '$lib/core/forms/merge-fields.ts';
import type { Errors } from '$lib/core/forms/read-form.ts';
import type { PlanEdit } from '$lib/core/plan/arrange.ts';
import { readStep } from '$lib/core/plan/read-step.ts';
import { designWork } from '$lib/server/design-work.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { changePlan, stepNow } from '$lib/server/services/plan.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => ({
	...(await designWork(event, 'plan page')),
	fresh: crypto.randomUUID()
});

const GONE = 'That step is not there any more. Reload the page.';
const OTHERS = 'Changed meanwhile, in another tab or by somebody else. Save again to keep yours.';

interface Place {
	readonly repos: App.Locals['repos'];
	readonly design: string;
}

export const actions: Actions = {
	say: async ({ request, locals: { repos }, params: { design } }) => {
		const form = await fieldsOf(request);
		const now = await stepNow(repos, design, form.id ?? '');
		const { mine, errors } = mergeFields(form, startedFrom(form.started), now ?? {});
		if (Object.keys(errors).length > 0)
			return fail(409, { id: form.id ?? '', trouble: inWords(errors), typed: mine, started: now });
		return said({ repos, design }, mine, (id, { says, uses }) => ({ kind: 'say', id, says, uses }));
	},
	add: async ({ request, locals: { repos }, params: { design } }) =>
		said({ repos, design }, await fieldsOf(request), (id, step) => ({ kind: 'add', id, ...step })),
	move: plain((id, { to = '' }) => ({ kind: 'move', id, to })),
	remove: plain((id) => ({ kind: 'remove', id })),
	asMade: plain((id) => ({ kind: 'as made', id }))
};

/** Does what the form of a step says; what was typed comes back with what is wrong with it. */
async function said(
	place: Place,
	typed: Fields,
	editOf: (id: string, step: Extract<ReturnType<typeof readStep>, { ok: true }>['step']) => PlanEdit
) {
	const { settings } = await loadStudio(place.repos);
	const read = readStep(typed, {
		style: { decimal: settings.decimal },
		currency: settings.rates.currency
	});
	const { id = '' } = typed;
	return read.ok ? did(place, typed, editOf(id, read.step)) : fail(400, { id, trouble: read.errors, typed });
}

/** What is done by a button alone. */
function plain(editOf: (id: string, form: Fields) => PlanEdit): Actions[string] {
	return async ({ request, locals: { repos }, params }) => {
		const form = await fieldsOf(request);
		return did({ repos, design: params.design! }, form, editOf(form.id ?? '', form));
	};
}

async function did({ repos, design }: Place, typed: Fields, edit: PlanEdit) {
	const { saveId = '' } = typed;
	const [id, trouble] = [edit.id, { text: GONE }];
	const known = id !== '' && id.length <= 90 && saveId.length >= 8 && saveId.length <= 64;
	if (!known) return fail(400, { id: '', trouble, typed });
	return (await changePlan(repos, design, { edit, saveId }, new Date()))
		? { done: id }
		: fail(404, { id, trouble, typed });
}

/** What a list chooses is named by ids, which nobody reads. */
const inWords = ({ photo, about, ...errors }: Errors): Errors => ({
	...errors,
	...(photo && { photo: OTHERS }),
	...(about && { about: OTHERS })
});
