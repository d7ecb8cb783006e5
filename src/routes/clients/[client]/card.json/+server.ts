import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** All that is kept of a client, as they may ask for it: the card, quotes as they were sent, messages, papers and payments. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const { repos } = locals;
	const client = await repos.clients.find(params.client);
	if (!client) error(404, { message: 'There is no such client.' });
	const quotes = await Promise.all(
		(await repos.clients.quotesOf(client.id)).map(async ({ id, ...quote }) => ({
			...quote,
			sent: (await repos.quoteLife.issues(id)).map(({ number, issuedAt, frozen }) => ({
				number,
				issuedAt,
				shown: { ...frozen, lines: frozen.lines.map((line) => ({ ...line, picture: undefined })) }
			})),
			happened: (await repos.quoteLife.events(id)).map(({ event, at, said }) => ({ event, at, said })),
			messages: (await repos.papers.messages(id)).map(({ kind, recipient, subject, sentAt }) => ({
				kind,
				recipient,
				subject,
				sentAt
			})),
			papers: (await repos.papers.of(id)).map((p) => p.frozen),
			payments: await repos.payments.of(id)
		}))
	);
	return new Response(JSON.stringify({ client, quotes }, null, '\t'), {
		headers: {
			'content-type': 'application/json',
			'content-disposition': 'attachment; filename="client.json"'
		}
	});
};
