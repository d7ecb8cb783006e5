import { fail } from '@sveltejs/kit';
import { parseBounded, parseCount } from '$lib/core/units/number.ts';
import { mixed, rational, ZERO, type Rational } from '$lib/core/units/rational.ts';
import { designWork } from '$lib/server/design-work.ts';
import { linesOf } from '$lib/server/pages/count-page.ts';
import { asked, askedFor } from '$lib/server/services/asked.ts';
import { keepCount, makeCounted, type Counted } from '$lib/server/services/count-back.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { zone, ...page } = await designWork(event, 'count page');
	const day = new Intl.DateTimeFormat('en-US', { dateStyle: 'medium', timeStyle: 'short', timeZone: zone });
	return {
		...page,
		counts: (await event.locals.repos.countBacks.list(page.id)).map((c) => ({
			id: c.id,
			when: day.format(c.countedAt),
			quantity: c.quantity,
			note: c.note,
			madeVersion: c.madeVersion,
			lines: c.lines
				.filter((l) => l.recipe !== l.took || l.lost > 0)
				.map((l) => ({ ...l, recipe: mixed(rational(l.recipe)), took: mixed(rational(l.took)) }))
		})),
		fresh: crypto.randomUUID()
	};
};

type Trouble = Record<string, string>;

export const actions: Actions = {
	default: async ({ request, locals, params, url }) => {
		const wanted = await asked(locals.repos, askedFor(params, url));
		const form = await request.formData();
		const typed = Object.fromEntries([...form].map(([k, v]) => [k, String(v)])) as Trouble;
		const said = String(form.get('id') ?? '');
		const trouble: Trouble = {};
		const took = new Map<string, { took: Rational; lost: number }>();
		const style = { decimal: wanted.studio.settings.decimal };
		const count = (name: string): Rational => {
			const parsed = parseBounded(typed[name]!, { what: 'The count', min: 0, max: 100_000 }, style);
			if (!parsed.ok) trouble[name] = parsed.say;
			return parsed.ok ? parsed.value : ZERO;
		};
		const read = (name: string): number => {
			const text = typed[name] ?? '';
			if (text.trim() === '') return 0;
			const parsed = parseCount(text, { what: 'What was lost', min: 0, max: 100_000 }, style);
			if (!parsed.ok) trouble[name] = parsed.say;
			return parsed.ok ? parsed.value : 0;
		};
		for (const { key } of linesOf(wanted).lines) {
			// A blank is not counted: missing, never 0.
			if ((typed[`took.${key}`] ?? '').trim() === '') continue;
			took.set(key, { took: count(`took.${key}`), lost: read(`lost.${key}`) });
		}
		const note = (typed.note ?? '').trim();
		if (note.length > 500) trouble.note = 'A note has at most 500 letters. Shorten it.';
		if (took.size === 0) trouble.note = 'Nothing was counted. Type what it took beside a line.';
		if (Object.keys(trouble).length > 0) return fail(400, { trouble, typed, refused: '' });
		const back: Counted = { id: /^[\w-]{8,50}$/.test(said) ? said : crypto.randomUUID(), took, note };
		await keepCount(locals.repos, wanted, back, new Date());
		if (typed.then !== 'make') return { kept: true, left: [] as readonly string[], version: null };
		const made = await makeCounted(locals.repos, wanted, back, new Date());
		if ('refused' in made) return fail(409, { trouble: {} as Trouble, typed, refused: made.refused });
		return { kept: true, left: made.left, version: made.version };
	}
};
