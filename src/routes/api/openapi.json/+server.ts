import { json } from '@sveltejs/kit';
import { openApi } from '$lib/server/published.ts';

export const GET = () => json(openApi());
