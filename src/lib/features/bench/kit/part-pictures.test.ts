import { expect, test } from 'vitest';
import type { DrawList } from '../../../core/scene/draw-list.ts';
import { partPictures, ROOM } from './part-pictures.ts';

const disc = (row: number, r: number, paint = 0, path?: number[]) => ({ x: 9, y: 9, r, paint, row, path });
const list = (discs: ReturnType<typeof disc>[]): DrawList => ({
	view: 'front',
	paints: [],
	discs,
	pole: null,
	about: ['mix', 'limb', 'other'],
	height: 0,
	halfWidth: 0
});

test('a part shows each colour and size once, the largest first, on one line', () => {
	const many = list([
		disc(0, 50, 1),
		disc(0, 100),
		disc(0, 100),
		disc(0, 50, 1),
		disc(1, 20, 2, [0, 0, 5, 5]),
		disc(2, 999)
	]);
	const { parts, scale } = partPictures(many, new Set(['mix', 'limb']));
	expect([...parts.keys()]).toEqual(['mix', 'limb']);
	expect(parts.get('mix')!.list.discs.map((d) => [d.r, d.paint, d.y])).toEqual([
		[100, 0, 0],
		[50, 1, 0]
	]);
	expect(parts.get('limb')!.list.discs[0]!.path).toEqual([20, 0, 140, 0]);
	// One scale for all, and none is larger than its room.
	for (const { width, list: own } of parts.values()) {
		expect(width * scale).toBeLessThanOrEqual(ROOM.width + 1e-9);
		for (const { r } of own.discs) expect(2 * r * scale).toBeLessThanOrEqual(ROOM.height + 1e-9);
	}
});
test('six kinds at the most; nothing of it, no picture', () => {
	const { parts } = partPictures(
		list(Array.from({ length: 12 }, (_, i) => disc(0, 10 + i))),
		new Set(['mix', 'limb'])
	);
	expect(parts.get('mix')!.list.discs).toHaveLength(6);
	expect(parts.has('limb')).toBe(false);
});
