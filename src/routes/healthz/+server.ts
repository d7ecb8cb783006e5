import { json } from '@sveltejs/kit';
import { healthy } from '$lib/server/app.ts';
import { version } from '../../../package.json';
import { ENGINE_VERSION } from '$lib/core/quote/frozen.ts';

export const GET = async () => {
	const database = (await healthy()) ? 'ok' : 'unreachable';
	const status = database === 'ok' ? 200 : 503;
	return json(
		{ status: database === 'ok' ? 'ok' : 'not ready', database, version, engine: ENGINE_VERSION },
		{ status }
	);
};
