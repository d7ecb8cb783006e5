import { json } from '@sveltejs/kit';
import { bundleJsonSchema } from '$lib/server/published.ts';

export const GET = () => json(bundleJsonSchema(), { headers: { 'content-type': 'application/schema+json' } });
