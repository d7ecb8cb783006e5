import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { VenuePhoto } from './venue-photo.svelte.ts';

const paper = { scale: 0.1, floor: 346, middle: 310 };
let shape = { naturalWidth: 1000, naturalHeight: 500 };
let broken = false;
beforeEach(() => {
	[shape, broken] = [{ naturalWidth: 1000, naturalHeight: 500 }, false];
	vi.stubGlobal('URL', { createObjectURL: () => 'blob:photo', revokeObjectURL: () => undefined });
	vi.stubGlobal(
		'Image',
		class {
			onload = () => undefined;
			onerror = () => undefined;
			naturalWidth = shape.naturalWidth;
			naturalHeight = shape.naturalHeight;
			set src(_: string) {
				if (broken) this.onerror();
				else this.onload();
			}
		}
	);
});
afterEach(() => void vi.unstubAllGlobals());
const taken = () => {
	const photo = new VenuePhoto();
	photo.take({ name: 'hall.jpg' } as File);
	return photo;
};

test('until it is measured a photo lies as it fits; what is none is said', () => {
	expect(taken().placed(paper)).toMatchObject({ href: 'blob:photo', width: 620, height: 310, x: 0, y: 35 });
	broken = true;
	expect(taken()).toMatchObject({ url: null, trouble: expect.stringMatching(/no picture/) as unknown });
	expect(new VenuePhoto().placed(paper)).toBeUndefined();
});

test('two points a known distance apart set the scale, the first of them on the floor', () => {
	const photo = taken();
	expect(photo.measure('5 ft')).toMatch(/Press two points/);
	photo.press(200, 300);
	photo.press(200, 200);
	expect(photo.measure('nonsense')).not.toBe('');
	expect(photo.measure('5 ft')).toBe('');
	expect(photo.known).toBe(1524);
	// 100 px are 1524 mm: at a tenth of a px a mm it grows by 1.524.
	const at = photo.placed(paper)!;
	expect(at.width).toBeCloseTo(620 * 1.524, 6);
	// The first point was 265 px below the top of the photo.
	expect(at.y + 265 * 1.524).toBeCloseTo(paper.floor, 6);
	expect(at.x + at.width / 2).toBeCloseTo(paper.middle, 6);
	// Once it is measured presses mark nothing more.
	photo.press(10, 10);
	expect(photo.marks).toHaveLength(2);
});

test('points too close together, a third point, another photo', () => {
	const photo = taken();
	photo.press(200, 300);
	photo.press(203, 300);
	expect(photo.measure('5 ft')).toMatch(/too close together/);
	photo.press(1, 1);
	expect(photo.marks).toEqual([[1, 1]]);
	photo.clear();
	expect([photo.url, photo.marks, photo.known]).toEqual([null, [], null]);
});
