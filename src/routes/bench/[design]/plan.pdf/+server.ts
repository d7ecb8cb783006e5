import { designAnswer } from '$lib/server/design-work.ts';
import { fileName } from '$lib/server/file-name.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = (event) =>
	designAnswer(event, 'plan paper', ({ name, pdf }) => ({
		body: pdf,
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="${fileName(name, 'design')}-plan.pdf"`
		}
	}));
