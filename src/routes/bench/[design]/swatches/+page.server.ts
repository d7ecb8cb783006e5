import { designWork } from '$lib/server/design-work.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = (event) => designWork(event, 'swatches page');
