import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { changes } from './changes.ts';
import { clients } from './clients.ts';
import { countBacks } from './count-backs.ts';
import { designs } from './designs.ts';
import { jobCounts } from './job-counts.ts';
import { jobFigures } from './job-figures.ts';
import { jobPhotos } from './job-photos.ts';
import { jobs } from './jobs.ts';
import { links } from './links.ts';
import { memoOf } from './memo.ts';
import { onOrders } from './on-orders.ts';
import { orders } from './orders.ts';
import { papers } from './papers.ts';
import { people } from './people.ts';
import { payments } from './payments.ts';
import { putAway } from './put-away.ts';
import { photos } from './photos.ts';
import { placePhotos } from './place-photos.ts';
import { quoteLife, sentQuotes } from './quote-life.ts';
import { priceLists } from './price-lists.ts';
import { quoteList } from './quote-list.ts';
import { stockMoves } from './stock-moves.ts';
import { quotes } from './quotes.ts';
import { silenced } from './silenced.ts';
import { stock } from './stock.ts';
import { stockViews } from './stock-views.ts';
import { tallyMarks } from './tally-marks.ts';
import { things } from './things.ts';
import { wholeStudio } from './whole-studio.ts';
import { workspaces } from './workspaces.ts';

/** Every repository for one actor. Built for each request: they hold nothing. */
export function createRepos(db: Database, actor: Actor) {
	return {
		workspaces: workspaces(db, actor),
		stock: stock(db, actor),
		designs: designs(db, actor),
		photos: photos(db, actor),
		countBacks: countBacks(db, actor),
		changes: changes(db, actor),
		clients: clients(db, actor),
		quotes: quotes(db, actor),
		quoteList: quoteList(db, actor),
		stockMoves: stockMoves(db, actor),
		priceLists: priceLists(db, actor),
		onOrders: onOrders(db, actor),
		stockViews: stockViews(db, actor),
		quoteLife: quoteLife(db, actor),
		people: people(db, actor),
		payments: payments(db, actor),
		papers: papers(db, actor),
		placePhotos: placePhotos(db, actor),
		putAway: putAway(db, actor),
		orders: orders(db, actor),
		sentQuotes: sentQuotes(db, actor),
		silenced: silenced(db, actor),
		things: things(db, actor),
		links: links(db, actor),
		jobs: jobs(db, actor),
		jobCounts: jobCounts(db, actor),
		jobPhotos: jobPhotos(db, actor),
		jobFigures: jobFigures(db, actor),
		tallyMarks: tallyMarks(db, actor),
		wholeStudio: wholeStudio(db, actor),
		memo: memoOf(db, actor)
	};
}
export type Repos = ReturnType<typeof createRepos>;
