import { HOME_WORKSPACE, may, PERMISSION_NAMES } from '$lib/server/actor.ts';
import { serverWarning } from '$lib/server/app.ts';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals }) => ({
	theme: locals.theme,
	person: locals.person && { name: locals.person.name, role: locals.person.actor.role },
	may: locals.person ? PERMISSION_NAMES.filter((p) => may(locals.person!.actor, p)) : [],
	warning:
		locals.person && locals.actor.workspace === HOME_WORKSPACE && may(locals.actor, 'people')
			? serverWarning()
			: undefined,
	...(await locals.repos.workspaces.look())
});
