import { json } from '@sveltejs/kit';
import { readText } from '$lib/server/answers.ts';
import type { RequestHandler } from './$types';

/** Takes in a part of a file: what the Stockroom lacks first, then designs. Sending a part again changes nothing. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const body = await readText(request);
	if ('answer' in body) return body.answer;
	const read = await locals.work('read brought', { body: body.value });
	if ('say' in read) return json({ message: read.say }, { status: 400 });
	const { designs, ...stock } = read.value;
	await locals.repos.stock.importMaterials(stock);
	return json({ brought: await locals.repos.designs.importDesigns(designs, new Date()) });
};
