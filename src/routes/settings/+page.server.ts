import { mergeFields, startedFrom } from '$lib/core/forms/merge-fields.ts';
import { fail } from '@sveltejs/kit';
import { settingsSchema } from '$lib/core/workspace/settings.schema.ts';
import { choicesFor, printSettings, readSettings, ruleRows } from '$lib/core/workspace/settings-form.ts';
import { CURRENCIES } from '$lib/core/money/money.ts';
import { METHOD_OPTIONS, methodLabel, METHODS } from '$lib/core/pricing/methods.ts';
import { fitWords } from '$lib/core/sizing/read-pumps.ts';
import { firstIssue } from '$lib/server/answers.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { settings, materials } = await loadStudio(locals.repos);
	const { rates } = settings;
	return {
		values: printSettings(settings),
		decimal: settings.decimal,
		currencies: CURRENCIES,
		crew: rates.crew.length,
		rules: ruleRows(rates.rules).map((rule) => ({
			of: rule.of,
			choices: choicesFor(rule, materials).map((m) => ({ id: m.id, name: m.name })),
			gone: rule.material !== null && !materials.some((m) => m.id === rule.material) ? rule.material : null
		})),
		methods: METHOD_OPTIONS.map(
			([method, called]) => [method, called, methodLabel(method), METHODS[method].unit] as const
		),
		pumps: [...rates.pumps.map((p) => p.id), 'new'],
		fits: rates.pumps.map(({ pairs }) => (pairs.length > 1 ? fitWords(pairs) : ''))
	};
};

const KEEPS_ITS_MONEY = (currency: string): string =>
	`Quotes were sent in ${currency}, so the books stay in it. Another currency needs a studio of its own.`;

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const { settings, materials } = await loadStudio(locals.repos);
		const { rates } = settings;
		const now = printSettings(settings);
		const meanwhile = mergeFields(typed, startedFrom(typed.started), now);
		if (Object.keys(meanwhile.errors).length > 0)
			return fail(409, { typed: meanwhile.mine, errors: meanwhile.errors, started: now });
		const { next, errors } = readSettings(meanwhile.mine, settings, materials);
		if (Object.keys(errors).length > 0) return fail(400, { typed, errors });
		const parsed = settingsSchema.safeParse(next);
		if (!parsed.success)
			return fail(400, { typed, errors: { name: firstIssue(parsed.error) } as Record<string, string> });
		if (parsed.data.rates.currency !== rates.currency && (await locals.repos.quoteLife.isAnyIssued()))
			return fail(400, { typed, errors: { currency: KEEPS_ITS_MONEY(rates.currency) } });
		await locals.repos.workspaces.change(parsed.data);
		return { saved: true };
	}
};
