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
			const counted = own?.findLast((o) => o.kind === 'counted');
			return {
				id: m.id,
				kind: m.kind,
				name: m.name,
				colour: hexes.get(m.colour ?? '') ?? null,
				pack: pack ?? null,
				unit: m.unit,
				should: own ? inBags(onShelf(own).onHand, pack) : null,
				last: counted?.day ?? null,
				/** Its last count: whoever counts it again should know of it. */
				seen: counted?.id ?? ''
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
		if (!read.ok) return fail(400, { typed, errors: read.errors as Record<string, string>, seen: {} as Record<string, string> }); // prettier-ignore
		const seen = Object.fromEntries(sheet.map(({ id }) => [id, typed[`seen.${id}`] ?? '']));
		const { differed, others } = await locals.repos.stockMoves.count({ id: sentId(typed), day: dayIn(studio.settings.zone), seen }, read.found); // prettier-ignore
		if (others.length > 0) {
			const packs = new Map(sheet.map(({ id, pack }) => [id, pack]));
			const errors = Object.fromEntries(others.map(({ material, thousandths }) => [`at.${material}`, `Somebody counted ${inBags(thousandths, packs.get(material))} of it since this sheet was opened. Change yours, or send it again and yours counts.`])); // prettier-ignore
			const sheetError = { sheet: 'Nothing is written yet: somebody counted at the same time.' };
			return fail(409, { typed, errors: { ...errors, ...sheetError } as Record<string, string>, seen: Object.fromEntries(others.map((o) => [o.material, o.count])) }); // prettier-ignore
		}
		return { counted: read.found.length, differed };
	}
};
