import { browserWords } from '../../core/people/browser-words.ts';

/** A client has opened a link: told once, and logged. Whoever signs in to that studio is no client of it. */
export async function lookedAt(
	{ actor, person, repos }: Pick<App.Locals, 'actor' | 'person' | 'repos'>,
	token: string,
	request: Pick<Request, 'headers'>,
	what: 'page' | 'paper'
): Promise<void> {
	if (person?.actor.workspace === actor.workspace) return;
	const at = new Date();
	await repos.links.look(token, { at, what, device: browserWords(request.headers.get('user-agent') ?? '') });
	if (what === 'page') await repos.sentQuotes.seen(token, at);
}
