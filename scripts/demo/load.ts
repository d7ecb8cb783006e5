import { LOSS_CAUSES, type MoveKind } from '../../src/lib/core/stock/ledger.ts';
import { CalendarDate } from '@internationalized/date';
import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { emptyRecipe, newColourway } from '../../src/lib/core/recipe/build.ts';
import { removeSection } from '../../src/lib/core/recipe/edit.ts';
import { ofKind, type Structure } from '../../src/lib/core/structures/kinds.ts';
import { isBareStack, stacksIn, stackOf } from '../../src/lib/core/structures/stack/edit.ts';
import { type RecipeDraft } from '../../src/lib/core/recipe/draft.ts';
import { applyEntry } from '../../src/lib/core/language/apply.ts';
import { parseEntry } from '../../src/lib/core/language/read.ts';
import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';
import type { Run } from '../../src/lib/core/structures/run/document.ts';
import { packJob, packKey } from '../../src/lib/core/structures/run/organic.ts';
import { lengthOfRun } from '../../src/lib/core/structures/run/path.ts';
import { um } from '../../src/lib/core/units/length.ts';
import { packAtOnce } from '../../src/lib/server/services/packings.ts';
import { readPhoto } from '../../src/lib/core/photo/read-photo.ts';
import { POINT } from '../../src/lib/core/units/number.ts';
import { guestOf, OWNER } from '../../src/lib/server/actor.ts';
import type { Database } from '../../src/lib/server/db/client.ts';
import { createRepos, type Repos } from '../../src/lib/server/repos/index.ts';
import { newTerms, sendQuote } from '../../src/lib/server/services/quoting.ts';
import type { DemoDesign } from './design.ts';
import { demoDesigns, PHOTOGRAPHED } from './designs.ts';
import { loadCounts, loadJobPhotos } from './counts.ts';
import { loadJobs } from './jobs.ts';
import { loadLife } from './life.ts';
import { jobOfKind, PAST_QUOTES } from './quotes.ts';
import { settings } from './settings.ts';
import { loadPeople } from './people.ts';
import { loadThings } from './things.ts';
import { colours, stockRows, suppliers } from './stock.ts';

/** Ids that are the same every time, so that a second load finds the first one's rows. */
function ids(prefix: string): () => string {
	let n = 0;
	return () => `${prefix}-${++n}`;
}

/** Says one line of the entry line to a recipe, on top of what its newest section has. */
function say(recipe: RecipeDraft, line: string, newId: () => string, inHand?: string): string | undefined {
	const materials = stockRows.map((r) => ({ ...r.material, packs: [] }));
	const { slots, colourways, sections } = recipe as Recipe;
	const designs = demoDesigns.map(({ id, name }) => ({ id, name }));
	const [colourway] = colourways;
	const last = inHand ?? stacksIn(recipe as Recipe).at(-1)?.section.id;
	const parsed = parseEntry(line, {
		slots,
		colourway,
		colours,
		materials,
		sections,
		designs,
		style: POINT,
		recipe: recipe as Recipe,
		...(last === undefined ? {} : { section: last })
	});
	if (!parsed.ok) throw new Error(`The demo's line “${line}” was refused: ${parsed.say}`);
	return applyEntry(recipe, parsed.value, { section: last }, newId);
}

/** A demo design as a recipe, made through the same entry line that the Bench has. */
export function demoRecipe(design: DemoDesign): Recipe {
	const newId = ids(design.id);
	const recipe = emptyRecipe(design.name, newId) as RecipeDraft;
	recipe.tags = [...design.tags];
	// A bunch or a form stays in hand, as on the Bench, until another section is said.
	let inHand: string | undefined;
	for (const line of design.lines) {
		const made = say(recipe, line, newId, inHand);
		if (made !== undefined) inHand = made;
	}
	// What is counted by packing is packed, as the Bench does beside the typing.
	for (const { structure } of ofKind(recipe.sections, 'run')) {
		if (structure.organic.by !== 'packed') continue;
		const run = structure as Run;
		const job = packJob(run, null);
		if (!job) continue;
		const { counts } = packAtOnce(job)!;
		const length = um(Math.round(lengthOfRun(run) * 1000));
		structure.organic.packed = { key: packKey(run), length, counts: [...counts] };
	}
	// A design made of others only has no use for the empty stack that every new one starts with.
	const [first] = recipe.sections;
	if (first && isBareStack(first.structure as Structure)) removeSection(recipe, first.id);
	for (const slot of recipe.slots) slot.name = design.slots[slot.name] ?? slot.name;
	const [colourway] = recipe.colourways;
	colourway!.name = design.colourway;
	for (const [name, fills] of Object.entries(design.also ?? {})) {
		const byId = Object.fromEntries(
			recipe.slots.map((s) => [s.id, fills[s.name] ?? colourway!.fills[s.id] ?? null])
		);
		recipe.colourways.push(newColourway(newId(), name, byId) as (typeof recipe.colourways)[number]);
	}
	for (const slot of recipe.slots) slot.role = design.roles?.[slot.name] ?? null;
	for (const way of recipe.colourways) {
		const out = design.without?.[way.name] ?? [];
		way.without = recipe.slots.filter((s) => out.includes(s.name)).map((s) => s.id);
	}
	recipe.credit = design.credit ?? '';
	for (const size of recipe.sizes) {
		for (const [part, name] of Object.entries(design.parts?.[size.name] ?? {})) {
			const use = ofKind(recipe.sections, 'design').find((u) => u.section.name === part);
			const inner = demoDesigns.find((d) => d.id === use?.structure.design);
			const own = demoRecipe(inner!).sizes.find((s) => s.name === name);
			if (use && own) size.parts[use.section.id] = own.id;
		}
		if (design.parts?.[size.name]) size.height = null;
	}
	if (design.id === 'toadstool-family') sizeFamily(recipe);
	if (design.stand) stackOf(recipe)!.upright.material = design.stand;
	return recipe as Recipe;
}

/** Three of one figure: as it stands in the middle, a large one and a small one beside it. */
function sizeFamily(recipe: RecipeDraft) {
	const figure = demoRecipe(demoDesigns.find((d) => d.id === 'toadstool-figure')!);
	const sizes = [null, 'small', 'large'].map((name) => figure.sizes.find((s) => s.name === name)?.id ?? null);
	ofKind(recipe.sections, 'design').forEach(({ section, structure }, i) => {
		section.name = ['middle', 'small', 'large'][i]!;
		structure.size = sizes[i]!;
	});
}

/** Bags that were bought and used in the last weeks; written down once, however often it is loaded. */
async function stockShelf(repos: Repos, now: Date): Promise<void> {
	const day = (ago: number) => new Date(now.getTime() - ago * 86_400_000).toISOString().slice(0, 10);
	for (const [i, { material, packs }] of stockRows.slice(0, 12).entries()) {
		const { count, priceMinor } = packs[0]!;
		const write = (id: string, kind: MoveKind, pieces: number, ago: number) =>
			repos.stockMoves.add(material.id, {
				id: `${material.id}-${id}`,
				day: day(ago),
				kind,
				thousandths: pieces * 1000,
				costMinor: pieces > 0 && priceMinor !== null ? (priceMinor * pieces) / count : null,
				note: '',
				...(kind === 'bought' && { supplier: packs[0]!.supplier, batch: i % 2 === 0 ? 'T-1408' : 'T-1422' })
			});
		await write('bought', 'bought', 2 * count, 40 - (i % 7));
		await write('used', 'used', -Math.round(count * (0.4 + (i % 5) * 0.3)), 9 - (i % 4));
	}
	// Some were lost, and why is known of most.
	for (const [i, { material, packs }] of stockRows.slice(0, 4).entries())
		await repos.stockMoves.add(material.id, {
			id: `${material.id}-lost`,
			day: day(9 - i),
			kind: 'lost',
			thousandths: -(2 + i) * 1000,
			costMinor: null,
			note: '',
			cause: LOSS_CAUSES[i]!,
			batch: i % 2 === 0 ? 'T-1408' : 'T-1422',
			supplier: packs[0]!.supplier
		});
	for (const [i, { material, packs }] of stockRows.slice(12, 14).entries()) {
		const { count, priceMinor } = packs[0]!;
		const many = 2 + i;
		await repos.onOrders.add({ id: `${material.id}-order`, material: material.id, pack: `${material.id}-pack`, packs: many, count, costMinor: priceMinor === null ? null : priceMinor * many, ordered: day(6), due: day(i === 0 ? -3 : 2) }); // prettier-ignore
	}
	await repos.stockViews.keep({ id: 'view-order-again', name: 'to order again', query: 'low=1' });
	await repos.stockViews.keep({ id: 'view-worth', name: 'what is there', query: 'sort=worth.down&columns=bag onHand onOrder worth supplier each' }); // prettier-ignore
}

/** Loads the invented studio. Safe to repeat: rows that are there stay as they are. */
export async function loadDemo(
	db: Database,
	now: Date
): Promise<{ materials: number; designs: number; quotes: number }> {
	const repos = createRepos(db, OWNER);
	await repos.workspaces.create(settings, now, true);
	for (const supplier of suppliers) await repos.stock.addSupplier(supplier);
	for (const colour of colours) await repos.stock.addColour(colour);
	const known = new Set((await repos.stock.materials()).map((m) => m.id));
	for (const { material, packs } of stockRows) {
		if (known.has(material.id)) continue;
		const [first] = packs;
		await repos.stock.addMaterial({
			...material,
			pack: {
				id: `${material.id}-pack`,
				supplierId: first!.supplier,
				count: first!.count,
				priceMinor: first!.priceMinor
			}
		});
	}
	await loadPeople(db, now);
	for (const design of demoDesigns) {
		// A load that was ended halfway is gone on with: each step is done where it is missing.
		const found = await repos.designs.find(design.id);
		const kept = found && (await repos.designs.version(`${design.id}.1`));
		if (kept && (!design.later || found.revision > 1)) continue;
		const recipe = demoRecipe(design);
		if (!found) await repos.designs.create(design.id, recipe, now);
		if (!kept) await repos.designs.keep(design.id, now);
		if (!design.later) continue;
		const draft = structuredClone(recipe) as RecipeDraft;
		say(draft, design.later, ids(`${design.id}-later`));
		await repos.designs.save(
			design.id,
			{ saveId: `${design.id}-later`, baseRevision: 1, recipe: draft as Recipe },
			now
		);
	}
	for (const { design, caption } of PHOTOGRAPHED) {
		const read = readPhoto(readFileSync(new URL(`./photos/${design}.jpg`, import.meta.url)));
		if (!read.ok) throw new Error(`The demo's photo of ${design} was refused: ${read.say}`);
		await repos.photos.add(design, `photo-${design}`, read.photo, caption, now);
	}
	const today = new CalendarDate(now.getUTCFullYear(), now.getUTCMonth() + 1, now.getUTCDate());
	await loadPast(repos, today);
	// The year before accounts were kept of the shelf: what its jobs took is in no ledger.
	await loadCounts(repos, today);
	await stockShelf(repos, now);
	const quotes = await loadQuotes(repos, createRepos(db, guestOf(OWNER.workspace)), now, today);
	return { materials: stockRows.length, designs: demoDesigns.length, quotes };
}

async function loadQuotes(repos: Repos, client: Repos, now: Date, today: CalendarDate): Promise<number> {
	const terms = newTerms(settings);
	const line = (id: string, quantity: number, colourwayId: string | null = null) => ({
		id: `line-${id}`,
		versionId: `${id}.1`,
		colourwayId,
		sizeId: null,
		way: null,
		quantity
	});
	const wanted = [
		{
			id: 'quote-regatta',
			client: 'Tidewick Sailing Club',
			days: 18,
			terms: {
				...terms,
				occasion: 'Summer regatta',
				venue: 'Club slipway, Tidewick',
				setting: 'outdoor' as const,
				job: jobOfKind('outdoor', { miles: 4 })
			},
			lines: [line('lighthouse-column', 2), line('tide-gauge-pole', 1)],
			send: true
		},
		{
			id: 'quote-garden',
			client: 'Fernbank Garden Centre',
			days: 33,
			terms: {
				...terms,
				occasion: 'Opening weekend',
				venue: 'Main glasshouse, Fernbank',
				deliveryMinor: 4500,
				job: jobOfKind('room', { crew: ['tansy', 'pip'] }),
				discount: { kind: 'percent' as const, percent: '5' }
			},
			lines: [line('toadstool-figure', 3), line('watering-can-column', 2)],
			send: false
		},
		{
			id: 'quote-bees',
			client: 'Tidewick Beekeepers',
			days: 47,
			terms: {
				...terms,
				occasion: 'Honey fair',
				venue: 'Parish hall, Tidewick',
				job: jobOfKind('piece')
			},
			lines: [line('hive-column', 2)],
			send: false
		}
	];
	for (const quote of wanted) {
		const found = await repos.quotes.find(quote.id);
		if (found && (!quote.send || found.state !== 'draft')) continue;
		const clientId = await repos.clients.named(quote.client, `client-${quote.id}`);
		const draft = {
			clientId,
			eventDate: today.add({ days: quote.days }).toString(),
			zone: settings.zone,
			terms: quote.terms,
			lines: quote.lines
		};
		if (!found) await repos.quotes.create(quote.id, draft, now);
		if (!quote.send) continue;
		const outcome = await sendQuote(repos, {
			id: quote.id,
			token: randomBytes(24).toString('base64url'),
			evenUnknown: false,
			now
		});
		if (outcome !== 'sent') throw new Error(`The demo's quote ${quote.id} was not sent: ${outcome}`);
	}
	await loadThings(repos);
	const under = await loadLife(repos, client, today);
	await loadJobs(repos, today);
	await loadJobPhotos(repos, today);
	return wanted.length + PAST_QUOTES.length + under;
}

/** The quotes of the last year, each sent three weeks before its day and answered a few days later. */
async function loadPast(repos: Repos, today: CalendarDate) {
	const terms = newTerms(settings);
	for (const [i, past] of PAST_QUOTES.entries()) {
		const id = `quote-past-${i + 1}`;
		const found = await repos.quotes.find(id);
		if (found && (found.state !== 'sent' || past.outcome === null)) continue;
		const day = today.add({ days: past.days });
		const sent = day.subtract({ days: 21 }).toDate('UTC');
		if (!found) {
			const { occasion, venue, margin, more } = past;
			await repos.quotes.create(
				id,
				{
					clientId: await repos.clients.named(past.client, `client-${id}`),
					eventDate: day.toString(),
					zone: settings.zone,
					terms: { ...terms, occasion, venue, margin, ...more, job: jobOfKind(past.job, past.plan) },
					lines: past.lines.map(([design, quantity], n) => ({
						id: `${id}-${n}`,
						versionId: `${design}.1`,
						colourwayId: null,
						sizeId: null,
						way: null,
						quantity
					}))
				},
				sent
			);
			const token = randomBytes(24).toString('base64url');
			const outcome = await sendQuote(repos, { id, token, evenUnknown: true, now: sent });
			if (outcome !== 'sent') throw new Error(`The demo's quote ${id} was not sent: ${outcome}`);
		}
		if (past.outcome)
			await repos.quoteLife.happen(id, past.outcome, day.subtract({ days: 16 }).toDate('UTC'));
	}
}
