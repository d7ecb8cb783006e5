import type { Work } from '../threads/pool.ts';
import { paperDays, type Desk } from './orders.ts';

/** The clock, the client's page and what makes a PDF, as a request knows them. @param token of the client's link */
export const deskFor = (url: Pick<URL, 'origin'>, token: string, work: Work): Desk => ({
	now: new Date(),
	link: `${url.origin}/q/${token}`,
	pdf: (paper) => work('client paper', { paper, days: paperDays(paper) })
});
