import { fail } from '@sveltejs/kit';
import { countingPack } from '$lib/core/materials/counting-pack.ts';
import { offeredOf } from '$lib/core/materials/catalogue.ts';
import { KIND_WORDS, MATERIAL_KINDS } from '$lib/core/materials/material.ts';
import { inBags, onShelf } from '$lib/core/stock/ledger.ts';
import { readCountSheet } from '$lib/core/stock/move-form.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const [studio, moves] = await Promise.all([loadStudio(locals.repos), locals.repos.stockMoves.all()]);
	const hexes = new Map(studio.colours.map((c) => [c.id, c]));
	const rows = offeredOf(studio.materials)
		.filter((m) => !m.reuse)
		.map((m) => {
			const pack = countingPack(m)?.count;
			const own = moves.get(m.id);
			return {
				id: m.id,
				kind: m.kind,
				name: m.name,
				colour: hexes.get(m.colour ?? '') ?? null,
				pack: pack ?? null,
				unit: m.unit,
				should: own ? inBags(onShelf(own).onHand, pack) : null,
				last: own?.findLast((o) => o.kind === 'counted')?.day ?? null
			};
		});
	return {
		groups: MATERIAL_KINDS.flatMap((kind) => {
			const own = rows.filter((r) => r.kind === kind);
			return own.length > 0 ? [{ kind, words: KIND_WORDS[kind], rows: own }] : [];
		}),
		fresh: crypto.randomUUID()
	};
};

export const actions: Actions = {
	save: async ({ request, locals }) => {
		const typed = await fieldsOf(request);
		const studio = await loadStudio(locals.repos);
		const sheet = offeredOf(studio.materials).map((m) => ({ id: m.id, pack: countingPack(m)?.count }));
		const read = readCountSheet(typed, sheet, { decimal: studio.settings.decimal });
		if (!read.ok) return fail(400, { typed, errors: read.errors as Record<string, string> });
		const differed = await locals.repos.stockMoves.count(sentId(typed), dayIn(studio.settings.zone), read.found); // prettier-ignore
		return { counted: read.found.length, differed };
	}
};
