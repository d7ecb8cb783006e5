import type { OwnedThing } from '../../src/lib/core/owned/owned.ts';
import { inches } from '../../src/lib/core/units/length.ts';
import type { Repos } from '../../src/lib/server/repos/index.ts';

type Said = readonly [
	material: string,
	name: string,
	many: number,
	about?: Partial<Pick<OwnedThing, 'condition' | 'place' | 'note' | 'hireMinor' | 'depositMinor'>>
];
/** The studio's own stands, frames and weights, as they are written down. */
const PIECES: readonly Said[] = [
	['stand-8', 'tall stand', 3, { place: 'rack by the door', hireMinor: 1800, depositMinor: 4000 }],
	['stand-9', 'tallest stand', 2, { place: 'rack by the door', hireMinor: 2200, depositMinor: 5000 }],
	['stand-5', 'low stand', 2, { place: 'rack by the door', hireMinor: 1500, depositMinor: 4000 }],
	['ply-plate', 'plate', 6, { place: 'under the bench' }],
	['sandbag', 'sandbag', 8, { place: 'van, left' }],
	['backdrop-8', 'backdrop stand', 1, { place: 'loft', hireMinor: 4500, depositMinor: 10_000 }]
];

/** Writes the pieces down and puts some offcuts on the shelf; a second time nothing changes. */
export async function loadThings({ things }: Repos): Promise<void> {
	const before = await things.owned();
	const pieces = PIECES.flatMap(([material, name, many, about]) =>
		Array.from({ length: many }, (_, i): OwnedThing => ({
			id: `${material}-piece-${i + 1}`,
			material,
			name: `${name} ${i + 1}`,
			condition: 'good',
			place: '',
			note: '',
			hireMinor: null,
			depositMinor: null,
			...about
		}))
	);
	if (before.length > 0) return;
	await things.add(
		pieces.map((p) => (p.id === 'stand-8-piece-3' ? { ...p, condition: 'in repair' as const, note: 'pole is bent, new one ordered' } : p))
	); // prettier-ignore
	for (const [long, count] of [
		[31, 2],
		[46.5, 1]
	] as const)
		// prettier-ignore
		await things.putOffcut({ material: 'tube-1', length: inches(long), wide: 0, count });
	await things.putOffcut({ material: 'ply-sheet', length: inches(40), wide: inches(22), count: 1 });
}
