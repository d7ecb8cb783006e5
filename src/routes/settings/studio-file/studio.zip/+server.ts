import { createReadStream } from 'node:fs';
import { mkdtemp, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { redirect } from '@sveltejs/kit';
import { LOCKED, SHORTEST_PASSPHRASE } from '$lib/server/backup/lock.ts';
import { fileName } from '$lib/server/file-name.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { RequestHandler } from './$types';

/** Everything of the studio in one file, made on a thread and sent as it is read: never all of it in memory. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const { passphrase = '' } = await fieldsOf(request);
	if (passphrase !== '' && passphrase.length < SHORTEST_PASSPHRASE)
		redirect(303, '/settings/studio-file?short=yes');
	const { settings } = await loadStudio(locals.repos);
	const made = new Date();
	const folder = await mkdtemp(join(tmpdir(), 'bright-tally-out-'));
	const clear = () => void rm(folder, { recursive: true, force: true });
	try {
		const wanted = { file: join(folder, 'studio.zip'), made, passphrase: passphrase || undefined };
		const file = await locals.work('take out studio', wanted);
		const { size } = await stat(file);
		const name = `${fileName(settings.business.name, 'studio')}-${dayIn(settings.zone, made)}.zip${passphrase ? LOCKED : ''}`;
		const stream = createReadStream(file).once('close', clear);
		return new Response(Readable.toWeb(stream) as unknown as BodyInit, {
			headers: {
				'content-type': passphrase ? 'application/octet-stream' : 'application/zip',
				'content-length': String(size),
				'content-disposition': `attachment; filename="${name}"`
			}
		});
	} catch (cause) {
		clear();
		throw cause;
	}
};
