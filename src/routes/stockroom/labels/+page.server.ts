import { toSVG } from 'bwip-js/node';
import { byCode, shelfCode } from '$lib/core/stock/shelf-code.ts';
import { offeredOf } from '$lib/core/materials/catalogue.ts';
import { KIND_WORDS, MATERIAL_KINDS } from '$lib/core/materials/material.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

/** Labels that are drawn at once. */
const MOST = 300;

/** Labels for the shelf, each with its bars (Code 128, ISO/IEC 15417). */
export const load: PageServerLoad = async ({ locals: { repos }, url }) => {
	const { materials, colours } = await loadStudio(repos);
	const kind = MATERIAL_KINDS.find((k) => k === url.searchParams.get('kind')) ?? null;
	const search = (url.searchParams.get('search') ?? '').slice(0, 60).trim().toLowerCase();
	const words = search.split(/\s+/);
	const hexes = new Map(colours.map((c) => [c.id, c.hex]));
	const own = offeredOf(materials).filter((m) => (kind === null || m.kind === kind) && (words.every((w) => m.name.toLowerCase().includes(w)) || byCode(search, [{ id: m.id, codes: [] }]).length > 0)); // prettier-ignore
	return {
		kind,
		search,
		kinds: MATERIAL_KINDS.filter((k) => materials.some((m) => m.kind === k)).map((k) => ({ kind: k, words: KIND_WORDS[k] })), // prettier-ignore
		many: own.length,
		labels: own.slice(0, MOST).map((m) => {
			const code = shelfCode(m.id);
			const bars = toSVG({ bcid: 'code128', text: code, height: 9, scale: 2, includetext: false });
			return { id: m.id, name: m.name, code: `${code.slice(0, 4)}-${code.slice(4)}`, hex: hexes.get(m.colour ?? '') ?? null, bars: `data:image/svg+xml,${encodeURIComponent(bars)}` }; // prettier-ignore
		})
	};
};
