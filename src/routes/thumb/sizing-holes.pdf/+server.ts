import { error } from '@sveltejs/kit';
import { inches, parseLength, type Micrometres } from '$lib/core/units/length.ts';
import { bytesAnswer } from '$lib/server/bytes-answer.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { RequestHandler } from './$types';

const MOST = 40;
const LARGEST = inches(40);

/** Sizer holes in true size: `sizes` in inches with commas between, `paper` letter or a4. */
export const GET: RequestHandler = async ({ request, locals, url }) => {
	const { settings } = await loadStudio(locals.repos);
	const said = (url.searchParams.get('sizes') ?? '').split(/[,;]/).map((t) => t.trim()).filter(Boolean); // prettier-ignore
	if (said.length === 0)
		error(400, { message: 'Which sizes? Type them with commas between, like 8, 8½, 9.' });
	if (said.length > MOST) error(400, { message: `At most ${MOST} sizes at once.` });
	const sizes = said.map((text): Micrometres => {
		const read = parseLength(text, 'in', { decimal: settings.decimal });
		if (!read.ok) error(400, { message: read.say });
		if (read.value.um < inches(1) || read.value.um > LARGEST)
			error(400, { message: 'A sizer hole is between 1 and 40 in wide.' });
		return read.value.um;
	});
	const paper = url.searchParams.get('paper') === 'a4' ? 'a4' : 'letter';
	const pdf = await locals.work('sizer holes', { sizes, paper }, '');
	return bytesAnswer(request, {
		body: pdf,
		from: JSON.stringify([sizes, paper]),
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': 'inline; filename="sizer-holes.pdf"'
		}
	});
};
