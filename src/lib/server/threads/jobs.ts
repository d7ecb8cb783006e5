import { backUp } from '../backup/back-up.ts';
import { putBackup, rehearseStudio, type Going } from '../backup/go-back.ts';
import { billCsv } from '../services/bill-csv.ts';
import { tally } from '../../core/tally/tally.ts';
import type { PaperDays } from '../pdf/paper-sheet.ts';
import type { FrozenPaper } from '../../core/papers/paper.ts';
import type { QuoteWords } from '../pdf/quote.ts';
import type { Paper } from '../pdf/sizing-holes.ts';
import { countPage } from '../pages/count-page.ts';
import { draftSums, freezeQuote, quoteToday, type Freezing } from '../services/quoting.ts';
import { coloursPage } from '../pages/colours-page.ts';
import { cutPage } from '../pages/cut-page.ts';
import { thingsPage } from '../pages/things-page.ts';
import { dayPage } from '../pages/day-page.ts';
import { jobCountPage } from '../pages/job-count-page.ts';
import { jobListsPage } from '../pages/job-lists-page.ts';
import { jobPage } from '../pages/job-page.ts';
import { listsPage } from '../pages/lists-page.ts';
import { picture } from '../pages/picture.ts';
import { cashPage, numbersPage } from '../pages/numbers-page.ts';
import { planPage } from '../pages/plan-page.ts';
import { settlePage } from '../pages/settle-page.ts';
import { sheetPage } from '../pages/sheet-page.ts';
import { lessonsFor, taughtCountsPage } from '../pages/taught-page.ts';
import { tallyPage } from '../pages/tally-page.ts';
import { swatchesPage } from '../pages/swatches-page.ts';
import { sizesPage } from '../pages/sizes-page.ts';
import type { Repos } from '../repos/index.ts';
import { figuresOfJob } from '../services/job-figures.ts';
import { workOfJob } from '../services/job.ts';
import { loadStudio } from '../services/studio.ts';
import type { JobCounted } from '../../core/job/counted.ts';
import { wantedTwice } from '../services/jobs-ahead.ts';
import { loadDesign, type DesignQuery } from '../services/design-query.ts';
import { readCalendar } from '../services/read-calendar.ts';
import { readBrought } from '../services/import-designs.ts';
import { checkPicture, type Uploaded } from '../services/check-picture.ts';
import { buildPlanPage, type PlanAsked } from '../services/build-plan.ts';
import { buyingList } from '../services/buying-list.ts';
import { buyingPage } from '../services/buying.ts';
import { whereUsed } from '../services/where-used.ts';
import { planBroughtList } from '../services/bring-list.ts';
import { stockEffect } from '../services/stock-effect.ts';
import { touchedBy } from '../services/nesting.ts';
import { planPaper } from '../services/plan-paper.ts';
import { recipesFile } from '../services/recipes-file.ts';
import { shelfItems, type ShelfWork } from '../services/shelf.ts';
import { sideBySide, type Choice } from '../services/side-by-side.ts';
import { bringStudio, lookIntoStudioFile, takeOutStudio } from '../studio-file/studio-file.ts';
import { answerTally } from '../services/tally-request.ts';
import { compareVersions, type VersionPair } from '../services/versions.ts';
import type { TallyRequest } from '../../core/tally/request.schema.ts';
import type { FrozenQuote } from '../../core/quote/frozen.ts';
import type { Micrometres } from '../../core/units/length.ts';

/** Papers and the solver are large, and few tasks want them: a thread that is just begun does not wait for them. */
const papers = () => import('../pdf/papers.ts');
const solver = async (seconds: number) => (await import('./solver.ts')).solver(seconds);

/** Seconds the solver has for a purchase: then what was found stands, and is said not to be proved. */
const SOLVING = 8;

/** A plan is made better for so long, milliseconds; then the best so far stands. */
const PLANNING = 1200;
const withinTime = () => {
	const until = Date.now() + PLANNING;
	return { rounds: 3000, goesOn: () => Date.now() < until };
};

/** What is worked out on a thread of its own: each reads through its own connection, and answers with plain data. */
export const JOBS = {
	'count page': countPage,
	'frozen quote': (repos: Repos, wanted: Freezing) => freezeQuote(repos, wanted),
	'quote today': (repos: Repos, wanted: { id: string }) => quoteToday(repos, wanted),
	'draft sums': (repos: Repos, { ids }: { ids: readonly string[] }) => draftSums(repos, ids),
	'plan page': planPage,
	'lists page': listsPage,
	'shop sheet': sheetPage,
	'things page': thingsPage,
	'cut page': cutPage,
	'wanted twice': wantedTwice,
	'colours page': coloursPage,
	'sizes page': sizesPage,
	'job page': jobPage,
	'job lists': jobListsPage,
	'settle page': settlePage,
	'day page': dayPage,
	'tally page': tallyPage,
	'build plan': (repos: Repos, asked: PlanAsked) => buildPlanPage(repos, asked, withinTime),
	'job count page': jobCountPage,
	'job figures': async (repos: Repos, { id, counted }: { id: string; counted: JobCounted }) => {
		const work = await workOfJob(repos, id, await loadStudio(repos));
		return work ? figuresOfJob(repos, work, counted) : [];
	},
	'numbers page': numbersPage,
	'cash ahead': cashPage,
	'lessons for': lessonsFor,
	'taught counts': (repos: Repos, _: object) => taughtCountsPage(repos),
	'buying page': async (repos: Repos, wanted: Parameters<typeof buyingPage>[1]) =>
		buyingPage(repos, wanted, await solver(SOLVING)),
	'buying list': async (repos: Repos, wanted: Parameters<typeof buyingList>[1]) =>
		buyingList(repos, wanted, await solver(SOLVING)),
	'read calendar': (_: Repos, wanted: Parameters<typeof readCalendar>[0]) =>
		Promise.resolve(readCalendar(wanted)),
	'swatches page': swatchesPage,
	picture,
	'plan paper': async (repos: Repos, wanted: DesignQuery) => {
		const found = await loadDesign(repos, wanted);
		const { planPdf } = await papers();
		const pdf = await planPdf(await planPaper(repos, found, new Date()));
		return { name: found.design.recipe.name, pdf: new Uint8Array(pdf) };
	},
	bill: async (repos: Repos, wanted: DesignQuery) => {
		const { design, context, colourway, size, quantity } = await loadDesign(repos, wanted);
		const worked = tally(design.recipe, colourway.id, quantity, context, size?.id ?? null);
		return { name: design.recipe.name, csv: billCsv(worked, context) };
	},
	'quote paper': async (repos: Repos, { frozen, words }: { frozen: FrozenQuote; words: QuoteWords }) => {
		const photo = frozen.place && (await repos.placePhotos.find(frozen.place.photo));
		const { quotePdf } = await papers();
		return new Uint8Array(await quotePdf(frozen, words, photo?.bytes));
	},
	'client paper': async (_: Repos, { paper, days }: { paper: FrozenPaper; days: PaperDays }) =>
		new Uint8Array(await (await papers()).paperPdf(paper, days)),
	'sizer holes': async (_: Repos, { sizes, paper }: { sizes: readonly Micrometres[]; paper: Paper }) =>
		new Uint8Array(await (await papers()).sizingHoles(sizes, paper)),
	tally: (repos: Repos, request: TallyRequest) => answerTally(repos, request),
	'recipes file': recipesFile,
	'shelf items': (repos: Repos, rows: readonly ShelfWork[]) => shelfItems(repos, rows),
	'stock effect': stockEffect,
	'plan list': planBroughtList,
	'where used': whereUsed,
	touched: async (repos: Repos, { design }: { design: string }) => {
		const found = await repos.designs.find(design);
		return found ? touchedBy(repos, found.id, found.recipe) : null;
	},
	'two versions': (repos: Repos, { design, ...pair }: VersionPair & { design: string }) =>
		compareVersions(repos, design, pair),
	'side by side': (repos: Repos, { first, second }: { first: Choice; second: Choice }) =>
		sideBySide(repos, first, second),
	'check picture': (_: Repos, picture: Uploaded) => Promise.resolve(checkPicture(picture)),
	'back up': (
		_: Repos,
		{ url, file, passphrase }: { url: string; file: string; passphrase?: string | undefined }
	) => backUp(url, file, passphrase),
	'rehearse going back': (repos: Repos, going: Going) => rehearseStudio(repos, going),
	'go back': (repos: Repos, going: Going) => putBackup(repos, going),
	'take out studio': takeOutStudio,
	'look into studio file': lookIntoStudioFile,
	'bring studio': bringStudio,
	'read brought': (_: Repos, { body }: { body: string }) => Promise.resolve(readBrought(body))
} satisfies Readonly<Record<string, (repos: Repos, input: never) => Promise<unknown>>>;

export type Job = keyof typeof JOBS;
/** What takes as long as there is of it: a whole studio, or all of them. */
export const LONG_JOBS: ReadonlySet<Job> = new Set<Job>(['back up', 'rehearse going back', 'go back', 'take out studio', 'look into studio file', 'bring studio']); // prettier-ignore
export type JobInput<J extends Job> = Parameters<(typeof JOBS)[J]>[1];
export type Answer<J extends Job> = Awaited<ReturnType<(typeof JOBS)[J]>>;

/** Works out one thing. */
export function work<J extends Job>(repos: Repos, job: J, input: JobInput<J>): Promise<Answer<J>> {
	const one = JOBS[job] as (repos: Repos, input: JobInput<J>) => Promise<Answer<J>>;
	return one(repos, input);
}
