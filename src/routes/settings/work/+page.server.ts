import Papa from 'papaparse';
import { fail } from '@sveltejs/kit';
import { mergeFields, startedFrom } from '$lib/core/forms/merge-fields.ts';
import { JOB_TASK_DEFINITIONS, LEFT_AS } from '$lib/core/labour/job.ts';
import { learned } from '$lib/core/labour/standards.ts';
import { TASK_DEFINITIONS, TASK_GROUPS, TASKS, type Task } from '$lib/core/labour/task.ts';
import { CARD_BY, CARD_CLASSES } from '$lib/core/pricing/basis.ts';
import { METHOD_OPTIONS } from '$lib/core/pricing/methods.ts';
import { RULE_KINDS, RULES } from '$lib/core/pricing/rules.ts';
import { MINUTED } from '$lib/core/quote/read-job.ts';
import { isCalendarDay } from '$lib/core/quote/read-form.ts';
import { settingsSchema } from '$lib/core/workspace/settings.schema.ts';
import type { Settings } from '$lib/core/workspace/settings.ts';
import { withRows, type StandardRow } from '$lib/core/workspace/standards-file.ts';
import { printWork, readWork, TOLD_METHODS, unitWords } from '$lib/core/workspace/work-form.ts';
import { firstIssue } from '$lib/server/answers.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { settings } = await loadStudio(locals.repos);
	const { standards, jobs, people } = settings.rates;
	return {
		values: printWork(settings),
		groups: TASK_GROUPS.map((group) => ({
			group,
			tasks: TASKS.filter((task) => TASK_DEFINITIONS[task].group === group).map((task) => ({
				task,
				unit: unitWords(task),
				...learned(standards[task]),
				origin: standards[task].origin,
				timings: standards[task].timings ?? []
			}))
		})).filter((g) => g.tasks.length > 0),
		minuted: MINUTED.map((task) => ({ task, phase: JOB_TASK_DEFINITIONS[task].phase })),
		jobs: jobs.templates.map((t) => ({ id: t.id, name: t.name })),
		people: people.length,
		told: TOLD_METHODS,
		card: CARD_CLASSES,
		cardBy: CARD_BY,
		methods: METHOD_OPTIONS,
		leftAs: LEFT_AS,
		rules: settings.rates.price.rules.length,
		ruleKinds: RULE_KINDS.map((kind) => ({
			kind,
			called: RULES[kind].called,
			asks: RULES[kind].asks,
			way: RULES[kind].way
		}))
	};
};

/** Changes the settings as they stand just now. @returns the sentence of what is wrong with them */
async function changed(
	locals: App.Locals,
	change: (settings: Settings) => unknown
): Promise<string | undefined> {
	const { settings } = await loadStudio(locals.repos);
	const parsed = settingsSchema.safeParse(change(settings));
	if (!parsed.success) return firstIssue(parsed.error);
	await locals.repos.workspaces.change(parsed.data);
	return undefined;
}
const taskOf = (text: string | undefined): Task | undefined => TASKS.find((t) => t === text);

export const actions: Actions = {
	save: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const { settings } = await loadStudio(locals.repos);
		const now = printWork(settings);
		const meanwhile = mergeFields(typed, startedFrom(typed.started), now);
		if (Object.keys(meanwhile.errors).length > 0)
			return fail(409, { typed: meanwhile.mine, errors: meanwhile.errors, started: now });
		const { next, errors } = readWork(meanwhile.mine, settings);
		if (Object.keys(errors).length > 0) return fail(400, { typed, errors });
		const trouble = await changed(locals, () => next);
		if (trouble) return fail(400, { typed, errors: { van: trouble } as Record<string, string> });
		return { saved: true };
	},
	/** A build that was timed, by the stopwatch or typed. */
	timed: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const task = taskOf(typed.task);
		const [many, seconds] = [Number(typed.count), Number(typed.seconds)];
		if (!task) return fail(400, { timing: 'Choose what was timed.' });
		if (!Number.isInteger(many) || many < 1 || many > 10_000)
			return fail(400, { timing: 'How many were made? Type a whole number of 1 or more.' });
		if (!(seconds >= 0.1 && seconds <= 86_400))
			return fail(400, {
				timing: 'How long did it take? Start the watch, or type the seconds, up to a day.'
			});
		const day = typed.day && isCalendarDay(typed.day) ? typed.day : new Date().toISOString().slice(0, 10);
		const timing = { day, count: many, seconds, out: false };
		const trouble = await changed(locals, (settings) => {
			const { standards } = settings.rates;
			const own = standards[task];
			const timings = [...(own.timings ?? []), timing].slice(-200);
			return {
				...settings,
				rates: { ...settings.rates, standards: { ...standards, [task]: { ...own, timings } } }
			};
		});
		return trouble ? fail(400, { timing: trouble }) : { timed: task };
	},
	/** Standards out of a file; all of it, or none. */
	bring: async ({ request, locals }) => {
		const file = (await request.formData()).get('file');
		if (!(file instanceof File) || file.size === 0)
			return fail(400, { file: 'Choose a file of standards first.' });
		if (file.size > 100_000) return fail(400, { file: 'That is too large for a file of standards.' });
		const read = Papa.parse<Partial<StandardRow>>(await file.text(), {
			header: true,
			skipEmptyLines: 'greedy'
		});
		if (!read.meta.fields?.includes('task') || !read.meta.fields.includes('seconds'))
			return fail(400, { file: 'Its first line has to name the columns task and seconds.' });
		const { settings } = await loadStudio(locals.repos);
		const next = withRows(read.data, settings.rates.standards);
		if (!next.ok) return fail(400, { file: next.say });
		const { standards } = next;
		const trouble = await changed(locals, (now) => ({ ...now, rates: { ...now.rates, standards } }));
		return trouble ? fail(400, { file: trouble }) : { brought: next.changed };
	},
	/** A bad day is left out, or taken back in. */
	out: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const task = taskOf(typed.task);
		const at = Number(typed.at);
		if (!task) return fail(400, { timing: 'Choose what was timed.' });
		await changed(locals, (settings) => {
			const { standards } = settings.rates;
			const own = standards[task];
			const timings = (own.timings ?? []).map((t, i) => (i === at ? { ...t, out: !t.out } : t));
			return {
				...settings,
				rates: { ...settings.rates, standards: { ...standards, [task]: { ...own, timings } } }
			};
		});
		return { left: task };
	}
};
