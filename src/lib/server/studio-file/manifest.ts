import { z } from 'zod';
import { STUDIO_TABLE_NAMES } from '../db/studio-tables.ts';

/** How a studio file is laid out. A later layout has a higher number, and reads the ones before. */
export const LAYOUT = 1;
/** In the file under this name, the last of all. */
export const MANIFEST = 'manifest.json';
export const SETTINGS = 'settings.json';
export const dataFile = (table: string): string => `data/${table}.json`;

/** What a studio file says of itself: what is in it, and what each part comes to. */
export const manifestSchema = z.strictObject({
	format: z.literal('bright-tally-studio'),
	layout: z.number().int().min(1),
	studio: z.string().max(500),
	/** When it was made, by the clock of the world. */
	made: z.iso.datetime(),
	rows: z.strictObject(Object.fromEntries(STUDIO_TABLE_NAMES.map((name) => [name, z.number().int().min(0)]))),
	files: z
		.array(
			z.strictObject({
				name: z.string().regex(/^[a-z]+(\/[A-Za-z0-9-]+)?\.(json|csv|jpg|png)$/),
				bytes: z.number().int().min(0),
				sha256: z.string().regex(/^[0-9a-f]{64}$/)
			})
		)
		.max(200_000)
});
export type Manifest = z.infer<typeof manifestSchema>;
