import { fail } from '@sveltejs/kit';
import type { FollowOnRule } from '$lib/core/bom/follow-on.ts';
import type { MaterialKind } from '$lib/core/materials/material.ts';
import { COUNTS } from '$lib/core/bom/follow-on.ts';
import { parseMoney } from '$lib/core/money/money.ts';
import { parseBounded } from '$lib/core/units/number.ts';
import { rational, rationalText } from '$lib/core/units/rational.ts';
import { settingsSchema } from '$lib/core/workspace/settings.schema.ts';
import { firstIssue } from '$lib/server/answers.ts';
import { fitWords, printPairs, readPumps } from '$lib/core/sizing/read-pumps.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

/** Kinds of material that follow from a count: what ties, fixes and pads. */
const FOLLOWERS = new Set<MaterialKind>(['modelling', 'tie', 'adhesive', 'ribbon', 'fitting', 'weight']);

const percentText = (percent: string) => String(Math.round(rational(percent).valueOf() * 1000) / 1000);

export const load: PageServerLoad = async ({ locals }) => {
	const { settings, materials } = await loadStudio(locals.repos);
	const { rates, business } = settings;
	const values: Record<string, string> = {
		...business,
		labour: (rates.labourPerHour / 100).toFixed(2),
		overhead:
			rates.overhead.kind === 'hour'
				? (rates.overhead.minor / 100).toFixed(2)
				: percentText(rates.overhead.percent),
		overheadKind: rates.overhead.kind,
		method: rates.price.method,
		margin: percentText(rates.price.margin),
		markup: percentText(rates.price.markup),
		loss: String(rational(rates.defaultLoss).mul(100).valueOf()),
		service: String(Math.round(rates.service * 1000) / 10),
		counting: rates.counting,
		pricePoint: rates.price.pricePoint ? (rates.price.pricePoint.step / 100).toFixed(2) : '',
		minimum: (rates.price.minimumMinor / 100).toFixed(2),
		tax: percentText(rates.price.tax.percent),
		taxKind: rates.price.tax.inclusive ? 'inclusive' : 'exclusive',
		fee: percentText(rates.price.fee.percent),
		feeFixed: (rates.price.fee.fixedMinor / 100).toFixed(2),
		deposit: percentText(rates.price.deposit)
	};
	COUNTS.forEach((of, i) => {
		const rule = rates.rules.find((r) => r.of === of);
		values[`each-${i}`] = rule ? rational(rule.each).toFraction(true) : '';
		values[`material-${i}`] = rule?.material ?? '';
	});
	const pumps = Array.from({ length: rates.pumps.length + 1 }, (_, i) => rates.pumps[i]?.id ?? `new-${i}`);
	pumps.forEach((_, i) => {
		values[`pump-${i}`] = rates.pumps[i]?.name ?? '';
		values[`pairs-${i}`] = printPairs(rates.pumps[i]?.pairs ?? []);
	});
	const followers = materials.filter((m) => FOLLOWERS.has(m.kind)).map((m) => ({ id: m.id, name: m.name }));
	const fits = rates.pumps.map(({ pairs }) => (pairs.length > 1 ? fitWords(pairs) : ''));
	return { values, counts: [...COUNTS], followers, pumps, fits };
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const typed = Object.fromEntries(await request.formData()) as Record<string, string>;
		const { settings, materials } = await loadStudio(locals.repos);
		const { rates } = settings;
		const style = { decimal: settings.decimal };
		const errors: Record<string, string> = {};
		const percent = (name: string, what: string, max: number) => {
			const parsed = parseBounded(typed[name] ?? '', { what, min: 0, max, unit: ' %' }, style);
			if (parsed.ok) return parsed.value;
			errors[name] = parsed.say;
			return rational(0);
		};
		const amount = (name: string, what: string) => {
			const parsed = parseMoney(typed[name] ?? '', rates.currency, style);
			if (parsed.ok) return parsed.value.minor;
			errors[name] = parsed.code === 'missing' ? `${what} is blank. Type 0 for none.` : parsed.say;
			return 0;
		};
		const step = (typed.pricePoint ?? '').trim() === '' ? null : amount('pricePoint', 'The price point');
		const margin = percent('margin', 'The margin', 1_000_000);
		if (!errors.margin && margin.compare(100) >= 0)
			errors.margin = 'No price leaves a margin of 100 % or more. Type less than 100.';
		const service = percent('service', 'The service level', 99.9).div(100).valueOf();
		const rules = COUNTS.flatMap((of, i): FollowOnRule[] => {
			const text = (typed[`each-${i}`] ?? '').trim();
			// A blank is no rule: nothing follows from that count.
			if (text === '') return [];
			const each = parseBounded(text, { what: 'Pieces for each', min: 0, max: 1000 }, style);
			const material = typed[`material-${i}`] || null;
			if (!each.ok) errors[`each-${i}`] = each.say;
			if (material !== null && !materials.some((m) => m.id === material))
				errors[`material-${i}`] = 'That material is not in the Stockroom.';
			return each.ok ? [{ of, each: rationalText(each.value), material }] : [];
		});
		const pumps = readPumps(typed, rates.pumps, style);
		Object.assign(errors, pumps.errors);
		const next = {
			...settings,
			business: {
				name: typed.name ?? '',
				address: typed.address ?? '',
				email: typed.email ?? '',
				phone: typed.phone ?? '',
				terms: typed.terms ?? ''
			},
			rates: {
				...rates,
				labourPerHour: amount('labour', 'The hourly rate'),
				overhead:
					typed.overheadKind === 'percent'
						? { kind: 'percent', percent: rationalText(percent('overhead', 'Overhead', 1000)) }
						: { kind: 'hour', minor: amount('overhead', 'Overhead') },
				counting: typed.counting === 'bag' ? 'bag' : 'piece',
				defaultLoss: rationalText(percent('loss', 'The loss', 90).div(100)),
				service,
				rules,
				pumps: pumps.pumps,
				price: {
					...rates.price,
					method: typed.method === 'markup' ? 'markup' : 'margin',
					margin: rationalText(margin),
					markup: rationalText(percent('markup', 'The markup', 10_000)),
					pricePoint: step ? { step, mode: 'up' } : null,
					minimumMinor: amount('minimum', 'The minimum order'),
					fee: {
						...rates.price.fee,
						percent: rationalText(percent('fee', 'The payment fee', 30)),
						fixedMinor: amount('feeFixed', 'The fee a payment')
					},
					tax: {
						percent: rationalText(percent('tax', 'The tax rate', 100)),
						inclusive: typed.taxKind === 'inclusive'
					},
					deposit: rationalText(percent('deposit', 'The deposit', 100))
				}
			}
		};
		if ((typed.name ?? '').trim() === '') errors.name = 'Give the business a name.';
		if (Object.keys(errors).length > 0) return fail(400, { typed, errors });
		const parsed = settingsSchema.safeParse(next);
		if (!parsed.success)
			return fail(400, { typed, errors: { name: firstIssue(parsed.error) } as Record<string, string> });
		await locals.repos.workspaces.change(parsed.data);
		return { saved: true };
	}
};
