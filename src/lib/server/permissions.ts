import type { Permission } from './actor.ts';

/** What a route asks of whoever calls it: a page for its load and each of its actions, anything else for each method. */
type Asks = Readonly<Record<string, Permission>>;

/** A route or a thing it does that is not here is refused, and a test says so. */
export const PERMISSIONS: Readonly<Record<string, Asks>> = {
	'/': { load: 'read' },
	'/healthz': { GET: 'public' },
	'/theme': { POST: 'public' },
	'/begin': { load: 'public', default: 'public' },
	'/sign-in': { load: 'public', default: 'public' },
	'/sign-in/code': { load: 'public', default: 'public' },
	'/sign-out': { POST: 'public' },
	'/forgot': { load: 'public', default: 'public' },
	'/reset/[token]': { load: 'public', default: 'public' },
	'/join/[token]': { load: 'public', default: 'public' },
	'/me': {
		load: 'read',
		password: 'read',
		end: 'read',
		endOthers: 'read',
		stepStart: 'read',
		stepConfirm: 'read',
		stepStop: 'read'
	},
	'/not-yours': { load: 'read' },
	'/work': { load: 'work' },
	'/settings/backups': { load: 'people', make: 'people' },
	'/settings/backups/[backup]': { load: 'people', default: 'people' },
	'/settings/studio-file': { load: 'people', look: 'people', bring: 'people' },
	'/settings/studio-file/studio.zip': { POST: 'people' },
	'/settings/studio-file/piece': { POST: 'people' },
	'/settings/health': { load: 'people' },
	'/settings/changes': { load: 'settings' },
	'/settings/people': {
		load: 'people',
		invite: 'people',
		takeBack: 'people',
		role: 'people',
		end: 'people',
		signOut: 'people'
	},
	'/compare': { load: 'design', default: 'design' },
	'/welcome': { load: 'settings', begin: 'settings', skip: 'settings' },
	'/new': { load: 'design', empty: 'design', build: 'design' },
	'/shelf': { load: 'design', duplicate: 'design', away: 'design', out: 'design', remove: 'design' },
	'/shelf/bring': { POST: 'design' },
	'/shelf/bring/here': { POST: 'design' },
	'/shelf/open': { load: 'design' },
	'/shelf/recipes.json': { GET: 'design' },
	'/shelf/picture/[design]': { GET: 'work' },
	'/bench': { load: 'design' },
	'/bench/[design]': { load: 'design' },
	'/bench/[design]/save': { POST: 'design' },
	'/bench/[design]/keep': { POST: 'design' },
	'/bench/[design]/colours': { load: 'design' },
	'/bench/[design]/library': { GET: 'design' },
	'/bench/[design]/bill.csv': { GET: 'money' },
	'/bench/[design]/count': { load: 'design', default: 'design' },
	'/bench/[design]/lists': { load: 'work' },
	'/bench/[design]/picture.svg': { GET: 'work' },
	'/bench/[design]/photos': {
		load: 'work',
		add: 'design',
		caption: 'design',
		cover: 'design',
		remove: 'design'
	},
	'/bench/[design]/plan': {
		load: 'work',
		say: 'design',
		add: 'design',
		move: 'design',
		remove: 'design',
		asMade: 'design'
	},
	'/bench/[design]/plan.pdf': { GET: 'work' },
	'/bench/[design]/sheet': { load: 'work' },
	'/bench/[design]/swatches': { load: 'work' },
	'/bench/[design]/sizes': { load: 'design' },
	'/bench/[design]/touches': { GET: 'design' },
	'/bench/[design]/versions': { load: 'design', name: 'design', restore: 'design' },
	'/bench/[design]/recipe.json': { GET: 'design' },
	'/photo/[photo]': { GET: 'work' },
	'/shorthand': { load: 'design' },
	'/api/tally': { POST: 'money' },
	'/api/openapi.json': { GET: 'money' },
	'/schema/recipe-6.json': { GET: 'design' },
	'/schema/recipes-1.json': { GET: 'design' },
	'/thumb': { load: 'read' },
	'/thumb/[rule]': { load: 'read' },
	'/thumb/sizing-holes.pdf': { GET: 'read' },
	'/stockroom': {
		load: 'books',
		pack: 'stock',
		loss: 'stock',
		add: 'stock',
		colour: 'stock',
		keepView: 'stock',
		dropView: 'stock'
	},
	'/stockroom/orders': { load: 'books', came: 'stock', off: 'stock' },
	'/stockroom/labels': { load: 'stock' },
	'/stockroom/colours': { load: 'books' },
	'/stockroom/suppliers': { load: 'books', save: 'stock' },
	'/stockroom/list/stock': { GET: 'stock' },
	'/stockroom/list': { load: 'stock', bring: 'stock', undo: 'stock' },
	'/stockroom/stock.csv': { GET: 'books' },
	'/stockroom/count': { load: 'stock', save: 'stock' },
	'/stockroom/[material]': {
		load: 'books',
		save: 'stock',
		pack: 'stock',
		addPack: 'stock',
		move: 'stock',
		order: 'stock',
		came: 'stock',
		off: 'stock',
		loss: 'stock',
		retire: 'stock',
		merge: 'stock'
	},
	'/stockroom/things': { load: 'books', add: 'stock', change: 'stock', remove: 'stock' },
	'/stockroom/cut': { load: 'stock', put: 'stock', take: 'stock', cut: 'stock' },
	'/quotes': { load: 'books', create: 'quote' },
	'/quotes/recipes/[version]': { GET: 'quote' },
	'/quotes/[quote]': {
		load: 'books',
		send: 'quote',
		decide: 'quote',
		endLink: 'quote',
		revise: 'quote',
		drop: 'quote',
		remind: 'quote',
		answer: 'quote',
		copy: 'quote',
		invoice: 'quote',
		credit: 'quote',
		settle: 'quote',
		place: 'quote',
		away: 'quote',
		out: 'quote',
		remove: 'quote'
	},
	'/quotes/[quote]/file': { GET: 'books' },
	'/quotes/[quote]/paper/[paper]': { GET: 'books' },
	'/quotes/[quote]/message/[message]': { GET: 'books' },
	'/quotes/[quote]/post/[message]': { load: 'books' },
	'/quotes/[quote]/place/[photo]': { GET: 'books' },
	'/quotes/[quote]/save': { POST: 'quote' },
	'/quotes/[quote]/forecast': { GET: 'books' },
	'/numbers': { load: 'books' },
	'/numbers/[answer]': { GET: 'books' },
	'/numbers/taught': {
		load: 'books',
		take: 'settings',
		back: 'settings',
		out: 'settings',
		counts: 'settings'
	},
	'/jobs': { load: 'work' },
	'/jobs/events.json': { GET: 'work' },
	'/jobs/jobs.ics': { GET: 'work' },
	'/jobs/buying': { load: 'books', order: 'stock' },
	'/jobs/buying/list': { GET: 'books' },
	'/jobs/calendar': { load: 'work', bring: 'quote', remove: 'quote' },
	'/jobs/day/[day]': { load: 'work' },
	'/jobs/plan': { load: 'work' },
	'/jobs/[quote]': {
		load: 'work',
		day: 'quote',
		takeOut: 'quote',
		place: 'quote',
		again: 'quote',
		move: 'quote'
	},
	'/jobs/[quote]/count': { load: 'work', default: 'tick' },
	'/jobs/[quote]/lists': { load: 'work' },
	'/jobs/[quote]/photos': { load: 'work', add: 'tick', say: 'quote', remove: 'quote' },
	'/jobs/[quote]/photos/[photo]': { GET: 'work' },
	'/jobs/[quote]/settle': { load: 'work', default: 'quote' },
	'/jobs/[quote]/tally': { load: 'work' },
	'/jobs/[quote]/tally/marks': { GET: 'work', POST: 'tick' },
	'/jobs/[quote]/tick': { POST: 'tick' },
	'/clients': { load: 'books' },
	'/clients/[client]': { load: 'books', save: 'quote', merge: 'quote', forget: 'quote' },
	'/clients/[client]/card.json': { GET: 'books' },
	'/quick': { load: 'quote', draft: 'quote', send: 'quote' },
	'/settings/work': {
		load: 'settings',
		save: 'settings',
		timed: 'settings',
		out: 'settings',
		bring: 'settings'
	},
	'/settings/standards.csv': { GET: 'settings' },
	'/bench/[design]/price': { load: 'money', default: 'design' },
	'/settings': { load: 'settings', default: 'settings' },
	'/q/[token]': { load: 'public', accept: 'public', decline: 'public', ask: 'public', pay: 'public' },
	'/q/[token]/total': { GET: 'public' },
	'/q/[token]/the-day.ics': { GET: 'public' },
	'/q/[token]/paper/[paper]': { GET: 'public' },
	'/q/[token]/place/[photo]': { GET: 'public' },
	'/q/[token]/thanks/[photo]': { GET: 'public' },
	'/q/[token]/photo/[photo]': { GET: 'public' },
	'/q/[token]/quote.pdf': { GET: 'public' }
};

/**
 * What a request asks for. A page that is posted to names its action in the address: `?/say`; one it does not have does
 * nothing, and asks for what the page asks.
 * @returns undefined where nobody has said who may
 */
export function permissionFor(route: string, method: string, url: URL): Permission | undefined {
	const asks = Object.hasOwn(PERMISSIONS, route) ? PERMISSIONS[route]! : undefined;
	if (!asks) return undefined;
	const own = (what: string) => (Object.hasOwn(asks, what) ? asks[what] : undefined);
	const read = own('load') ?? own('GET');
	if (method === 'GET' || method === 'HEAD' || method === 'OPTIONS') return read ?? own('POST');
	const action = [...url.searchParams.keys()].find((k) => k.startsWith('/'))?.slice(1) ?? 'default';
	return own(method) ?? own(action) ?? read;
}
