import { countingPack } from '$lib/core/materials/counting-pack.ts';
import { offeredOf } from '$lib/core/materials/catalogue.ts';
import { unitCost } from '$lib/core/materials/unit-cost.ts';
import { inBags, onShelf } from '$lib/core/stock/ledger.ts';
import { eachText } from '$lib/server/pages/stock-words.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

/** Colours and what can be bought in them, of every supplier. */
export const load: PageServerLoad = async ({ locals: { repos } }) => {
	const [{ materials, colours }, moves] = await Promise.all([loadStudio(repos), repos.stockMoves.all()]);
	return {
		colours: colours.filter((c) => !c.of),
		sold: offeredOf(materials).flatMap((m) => {
			if (m.colour === null) return [];
			const each = unitCost(m);
			const own = moves.get(m.id);
			return [
				{
					id: m.id,
					name: m.name,
					kind: m.kind,
					nominal: m.nominal,
					colour: m.colour,
					suppliers: [...new Set(m.packs.filter((p) => !p.ended).map((p) => p.supplier))],
					each: each ? eachText(each.valueOf()) : null,
					onHand: own ? inBags(onShelf(own).onHand, countingPack(m)?.count) : null
				}
			];
		})
	};
};
