import type { Permission } from './actor.ts';

/** What each route asks of whoever calls it. A route that is not here is refused, and a test says so. */
export const PERMISSIONS: Readonly<Record<string, Permission>> = {
	'/': 'read',
	'/healthz': 'public',
	'/theme': 'public',
	'/shelf': 'design',
	'/shelf/open': 'design',
	'/shelf/picture/[design]': 'design',
	'/bench': 'design',
	'/bench/[design]': 'design',
	'/bench/[design]/save': 'design',
	'/bench/[design]/keep': 'design',
	'/bench/[design]/colours': 'design',
	'/bench/[design]/library': 'design',
	'/bench/[design]/lists': 'design',
	'/bench/[design]/sizes': 'design',
	'/bench/[design]/touches': 'design',
	'/bench/[design]/versions': 'design',
	'/bench/[design]/recipe.json': 'design',
	'/shorthand': 'read',
	'/api/tally': 'design',
	'/api/openapi.json': 'read',
	'/schema/recipe-3.json': 'read',
	'/stockroom': 'stock',
	'/quotes': 'quote',
	'/quotes/[quote]': 'quote',
	'/quotes/[quote]/save': 'quote',
	'/quick': 'quote',
	'/settings': 'settings',
	'/q/[token]': 'public',
	'/q/[token]/quote.pdf': 'public'
};
