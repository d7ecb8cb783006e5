import type { BillLine } from '../../core/bom/bill.ts';
import { NEVER_BOUGHT } from '../../core/document/line-role.ts';
import { quantityText } from '../../core/cost/cost.ts';
import {
	inflateList,
	packList,
	pullList,
	strikeList,
	vanLitres,
	VENUE_CHECKS,
	type JobList,
	type PackedPiece,
	type TickGroup
} from '../../core/job/lists.ts';
import { isPiece } from '../../core/owned/owned.ts';
import type { Repos } from '../repos/index.ts';
import { talliesOf, workOfJob, type JobWork } from '../services/job.ts';
import { loadStudio } from '../services/studio.ts';

/** What a list is called on the screen, and what is done with it. */
const LIST_WORDS: Readonly<Record<JobList, readonly [name: string, about: string]>> = {
	pull: ['Pull', 'Off the shelf, for all pieces together.'],
	inflate: ['Inflate', 'Each size once over all pieces. Spares are inflated last.'],
	pack: ['Pack', 'Into the van, piece by piece.'],
	venue: ['Before you leave it', 'The usual cautions: local rules, the venue and qualified people decide.'],
	strike: ['Take down', 'At the end, and what comes home.']
};

/** Lists of a job: one bill for all its pieces. No price is read here. @returns null where there is no such job */
export async function jobListsPage(repos: Repos, { id }: { readonly id: string }) {
	const work = await workOfJob(repos, id, await loadStudio(repos));
	if (!work) return null;
	const { row, order, context } = work;
	const { bill } = order;
	const groups: Readonly<Record<JobList, readonly TickGroup[]>> = {
		pull: pullList(bill.lines),
		inflate: inflateList(bill, context.catalogue),
		pack: packList(piecesOf(work), bill),
		venue: [{ name: '', lines: VENUE_CHECKS }],
		strike: work.leftAs === 'set up and struck' ? strikeList(bill.lines) : []
	};
	const ticked = await repos.jobs.ticked(id);
	const van = vanLitres(bill, context.rates.pumps);
	return {
		id,
		number: row.number,
		client: row.client,
		occasion: row.occasion,
		balloons: bill.balloons,
		spares: bill.spares,
		van: { litres: Math.round(van.litres / 10) * 10, isRough: van.unsure > van.litres * 0.1 },
		lists: (Object.keys(groups) as JobList[]).map((list) => ({
			list,
			name: LIST_WORDS[list][0],
			about: LIST_WORDS[list][1],
			groups: groups[list],
			ticked: [...(ticked.get(list) ?? [])]
		}))
	};
} // prettier-ignore

/** Pieces as they are packed: with what comes back of each, and what is only taken along. */
function piecesOf(work: JobWork): PackedPiece[] {
	const tallies = talliesOf(work);
	const made = work.items.map(({ id, recipe, quantity }, i): PackedPiece => {
		const { lines } = tallies[i]!.bill;
		const line = ({ key, label, used, unit }: BillLine) => ({ key, label, count: quantityText(used, unit) });
		const back = lines.filter((l) => l.role !== 'by-product' && l.material && isPiece(l.material));
		const along = lines.filter((l) => l.role === 'taken along' && !NEVER_BOUGHT.has(l.role));
		return { id, name: recipe.name, quantity, back: back.map(line), along: along.map(line) };
	});
	return [...made, ...work.typed.map(({ id, label, quantity }): PackedPiece => ({ id, name: label, quantity, back: [], along: [] }))];
} // prettier-ignore
