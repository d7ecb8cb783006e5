import Fraction from 'fraction.js';
import { assemble, type Assembly } from '../../src/lib/core/assembly/assemble.ts';
import { applyRemedy } from '../../src/lib/core/checks/remedy.ts';
import { sayRecipe } from '../../src/lib/core/compare/say-recipe.ts';
import { countLines } from '../../src/lib/core/count-back/count-lines.ts';
import { planOf } from '../../src/lib/core/plan/plan.ts';
import type { RecipeDraft } from '../../src/lib/core/recipe/draft.ts';
import { omittingSlots } from '../../src/lib/core/recipe/omit-slots.ts';
import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';
import { leadSize, runsBy, scaleBy } from '../../src/lib/core/recipe/scale.ts';
import { drawAssembly, type DrawList } from '../../src/lib/core/scene/draw-list.ts';
import { inOrder } from '../../src/lib/core/scene/svg.ts';
import type { Run } from '../../src/lib/core/structures/run/document.ts';
import { packNow } from '../../src/lib/core/structures/run/pack-run.ts';
import { jobOf } from '../../src/lib/core/structures/run/place.ts';
import { tallyReport } from '../../src/lib/core/tally/report.ts';
import { tally, type TallyContext } from '../../src/lib/core/tally/tally.ts';

/** Balls and discs written one by one; what comes after them is summed. */
const LISTED = 12;

/** Rounded, so that another processor's last digit is no difference; never minus nothing. */
const digits = (n: number) => String(Math.round(n * 100) / 100 + 0);
const text = (value: unknown): string =>
	typeof value === 'number'
		? digits(value)
		: value instanceof Fraction
			? value.toFraction()
			: Array.isArray(value)
				? `[${value.map(text).join(' ')}]`
				: typeof value === 'object' && value !== null
					? `{${Object.entries(value)
							.filter(([, v]) => v !== undefined)
							.map(([k, v]) => `${k} ${text(v)}`)
							.join(', ')}}`
					: String(value);

/** One line each, the rest as sums that change when any of them does or when two change places. */
function listed(rows: readonly (readonly number[])[]): string[] {
	const rest = rows.slice(LISTED);
	const sums = (rest[0] ?? []).map((_, i) => rest.reduce((a, r, n) => a + (r[i] ?? 0) * (1 + n / rest.length), 0)); // prettier-ignore
	return [rows.slice(0, LISTED).map((r) => r.map(digits).join(' ')).join(' · '), ...(rest.length > 0 ? [`and ${rest.length}: ${sums.map(digits).join(' ')}`] : [])]; // prettier-ignore
}

function placed({ pieces, applied, lost, feet, overall }: Assembly): string[] {
	const spots = [...feet].map(([id, spot]) => `${id} ${text(spot)}`);
	return [
		`stands ${spots.join('; ')}; overall ${text(overall)}; lost ${text(lost)}`,
		...pieces.map((p) => `stack ${text(p.spots)} ${listed(p.placed.layers.flatMap((l) => [[l.tilt, l.top, l.z, l.pitch], ...l.rings.flat().map(({ x, y, z, d }) => [x, y, z, d])])).join(' ')}`), // prettier-ignore
		...applied.map((g) => `loose ${text(g.spots)} ${listed(g.balls.map(({ ball: { x, y, z, d } }) => [x, y, z, d])).join(' ')} ${listed(g.strands.map((s) => s.path.flatMap(({ x, y, z }) => [x, y, z]))).join(' ')}` ) // prettier-ignore
	];
}

function drawn(list: DrawList): string[] {
	const rows = inOrder(list).map((one) => {
		if ('disc' in one) {
			const { x, y, r, paint, row, flat = 1, lean = 0, path = [] } = one.disc;
			return [x, y, r, paint, row, flat, lean, path.length, path.reduce((a, v, i) => a + v * (1 + i / 10), 0)]; // prettier-ignore
		}
		return Object.values(one.tube).map((v) => (typeof v === 'number' ? v : 0));
	});
	return [`${list.view} ${digits(list.height)} high, ${digits(list.halfWidth)} either side: ${listed(rows).join(' ')}`]; // prettier-ignore
}

function packed(run: Run): string[] {
	const job = jobOf(run);
	if (!job) return [];
	const { balls, counts, gap, limit, overlap } = packNow(job);
	return [`packed ${text({ counts, gap, limit, overlap })} ${listed(balls.map((b) => [b.part, b.x, b.y, b.z, b.d, b.at])).join(' ')}`]; // prettier-ignore
}

/** Everything the core works out from one recipe, a line each: what a change of any figure shows up in. */
export function figuresOf(recipe: Recipe, context: TallyContext): string[] {
	const { catalogue } = context;
	const worked = tally(recipe, null, 3, context);
	const { toBuy, toInflate, tasks, cost, price, heights, findings, notes } = tallyReport(recipe, { colourway: null, size: null, quantity: 3 }, worked); // prettier-ignore
	const { assembly } = worked;
	const turned = drawAssembly(assembly, { catalogue, view: 'front', camera: { turn: 0.45, tilt: 0.4 }, apart: { sections: recipe.sections, gap: 220 } }); // prettier-ignore
	const lines: string[] = [
		...toBuy.map((l) => `buy ${text(l)}`),
		...toInflate.map((l) => `inflate ${text(l)}`),
		...tasks.map((t) => `work ${text(t)}`),
		`cost ${text(cost)}`,
		`price ${text(price)} heights ${text(heights)} notes ${text(notes)}`,
		...findings.map((f) => `finding ${text(f)}`),
		...placed(assembly),
		...(['front', 'side', 'plan'] as const).flatMap((view) => drawn(drawAssembly(assembly, { catalogue, view }))), // prettier-ignore
		...drawn(turned),
		...countLines(recipe, { colourway: null, size: null, quantity: 3 }, context).map(
			(l) => `counted ${text(l)}`
		),
		...planOf(recipe, { colourway: null, size: null, quantity: 3 }, context).flatMap(({ name, quantity, seconds, steps }) => [`plan ${name} ${quantity} ${digits(seconds)}`, ...steps.map((s) => `step ${text(s)}`)]), // prettier-ignore
		`size ${text(leadSize(recipe, context.rates.pumps))}`,
		...recipe.sections.flatMap(({ structure }) => (structure.kind === 'run' ? packed(structure) : []))
	];
	for (const [index, { remedy }] of worked.findings.entries()) {
		if (!remedy) continue;
		const draft = structuredClone(recipe) as RecipeDraft;
		applyRemedy(draft, remedy.act, { newId: () => 'new', pumps: context.rates.pumps });
		lines.push(`remedied ${index}: ${changed(recipe, draft as Recipe)}`);
	}
	const bigger = scaleBy(recipe, 1.3);
	const smaller = scaleBy(recipe, 0.6);
	lines.push(`bigger ${text(bigger.notes)}: ${changed(recipe, bigger.recipe)}`);
	lines.push(`smaller ${text(smaller.notes)}: ${changed(recipe, smaller.recipe)}`);
	lines.push(
		`longer: ${changed(recipe, runsBy(recipe, 1.5))}`,
		`shorter: ${changed(recipe, runsBy(recipe, 0.4))}`
	);
	for (const { id, name } of recipe.slots) {
		const without = omittingSlots(recipe, new Set([id]));
		lines.push(`without ${name}: ${changed(recipe, without)}`, ...placed(assemble(without, null, context.library, context.rates.pumps, null))); // prettier-ignore
	}
	return lines;
}

/** Lines of the recipe as said that are new. */
function changed(before: Recipe, after: Recipe): string {
	const known = new Set(sayRecipe(before, String));
	return sayRecipe(after, String).filter((line) => !known.has(line)).join(' | '); // prettier-ignore
}
