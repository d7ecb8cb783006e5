import { error } from '@sveltejs/kit';
import { bundleOf } from '$lib/core/files/bundle.ts';
import { namesIn } from '$lib/core/files/remap.ts';
import { fileName } from '$lib/server/file-name.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { RequestHandler } from './$types';

/** Designs as one file, `design` once for each, every one without; what they use goes with them. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const { designs } = locals.repos;
	const asked = url.searchParams.getAll('design').slice(0, 2000);
	const wanted = asked.length > 0 ? asked : (await designs.shelf()).map((row) => row.id);
	const found = new Map<string, Awaited<ReturnType<typeof designs.those>>['designs'][number]>();
	/** Designs that cannot be read any more: the others go all the same. */
	const left = new Set<string>();
	for (let next = wanted; next.length > 0;) {
		const { designs: read, damaged } = await designs.those(next);
		for (const design of damaged) left.add(design);
		for (const design of read) found.set(design.id, design);
		const used = new Set(read.flatMap(({ recipe }) => [...namesIn(recipe).designs]));
		next = [...used].filter((id) => !found.has(id));
	}
	if (found.size === 0 && left.size > 0)
		error(422, { message: `${[...left].join(', ')} cannot be read any more, so there is nothing to take.` });
	if (found.size === 0) error(404, { message: 'There is no such design.', hint: 'Find it on the Shelf.' });
	const list = [...found.values()].map(({ id, recipe }) => ({ id, recipe }));
	const studio = await loadStudio(locals.repos);
	const [only] = list;
	const all =
		list.length === 1
			? fileName(only!.recipe.name, 'design')
			: fileName(studio.settings.business.name, 'designs');
	// Said where she sees it: in the name of the file.
	const name = left.size === 0 ? all : `${all}-without-${fileName([...left].join(' '), 'damaged')}`;
	return new Response(JSON.stringify(bundleOf(list, studio)), {
		headers: {
			'content-type': 'application/json',
			'content-disposition': `attachment; filename="${name}.recipes.json"`
		}
	});
};
