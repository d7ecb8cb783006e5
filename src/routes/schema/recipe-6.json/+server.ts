import { json } from '@sveltejs/kit';
import { recipeJsonSchema } from '$lib/server/published.ts';

export const GET = () => json(recipeJsonSchema(), { headers: { 'content-type': 'application/schema+json' } });
