import { parseLength } from '../../core/units/length.ts';

/** Things whose size everybody knows, for scale, mm. Common practice. */
export const OUTLINES = [
	{ name: 'door', says: 'a door, 3 ft by 6 ft 8 in', wide: 914.4, high: 2032 },
	{ name: 'table', says: 'a table, 6 ft by 30 in', wide: 1828.8, high: 762 },
	{ name: 'wall', says: 'a wall, 12 ft by 8 ft', wide: 3657.6, high: 2438.4 },
	{ name: 'backdrop', says: 'a backdrop, 8 ft by 7½ ft', wide: 2438.4, high: 2286 }
] as const;

/** The paper a photo is laid under: mm to px, and where its floor and its middle are. */
interface Paper {
	readonly scale: number;
	readonly floor: number;
	readonly middle: number;
}

/** A photo of the place with one known measure. It stays on this screen: nothing of it is kept or sent. */
export class VenuePhoto {
	url = $state<string | null>(null);
	/** Width over height. */
	#shape = $state(1);
	/** Two points of known distance, px of the drawing; the first stands on the floor. */
	marks = $state.raw<readonly (readonly [number, number])[]>([]);
	/** How far they are apart, mm. */
	known = $state<number | null>(null);
	trouble = $state('');
	/** How it lay while it was marked. */
	#lay = { x: 0, y: 0, width: 620, height: 380 };

	take(file: File | undefined) {
		if (!file) return;
		this.clear();
		const url = URL.createObjectURL(file);
		const image = new Image();
		image.onload = () => {
			this.#shape = image.naturalWidth / Math.max(1, image.naturalHeight);
			this.#lay = laid(this.#shape);
			this.url = url;
		};
		image.onerror = () => {
			URL.revokeObjectURL(url);
			this.trouble = 'That file is no picture this browser can show. Take a JPEG or PNG.';
		};
		image.src = url;
	}
	clear() {
		if (this.url) URL.revokeObjectURL(this.url);
		[this.url, this.marks, this.known, this.trouble] = [null, [], null, ''];
	}
	/** A press on the drawing marks a point, until the measure is known. */
	press(x: number, y: number) {
		if (!this.url || this.known !== null) return;
		this.marks = this.marks.length >= 2 ? [[x, y]] : [...this.marks, [x, y]];
	}
	/** @returns a sentence that says what to do, or nothing where it was used */
	measure(text: string): string {
		if (this.marks.length < 2) return 'Press two points of the photo first.';
		const parsed = parseLength(text, 'ft');
		if (!parsed.ok) return parsed.say;
		const [[ax, ay], [bx, by]] = this.marks as [readonly [number, number], readonly [number, number]];
		if (Math.hypot(bx - ax, by - ay) < 8)
			return 'The two points are too close together: press two that lie apart.';
		this.known = parsed.value.um / 1000;
		return '';
	}
	/** Where the photo lies: as it fits until it is measured, then to the scale of the paper, its first point on the floor. */
	placed({ scale, floor, middle }: Paper) {
		if (!this.url) return undefined;
		const { x, y, width, height } = this.#lay;
		const plain = { href: this.url, x, y, width, height };
		if (this.known === null || this.marks.length < 2) return plain;
		const [[ax, ay], [bx, by]] = this.marks as [readonly [number, number], readonly [number, number]];
		const grow = (this.known * scale) / Math.hypot(bx - ax, by - ay);
		// The middle of the photo stays over the middle of the path.
		return {
			href: this.url,
			x: middle - (width * grow) / 2,
			y: floor - (ay - y) * grow,
			width: width * grow,
			height: height * grow
		};
	}
}

function laid(shape: number) {
	const wide = Math.min(620, 380 * shape);
	return { x: (620 - wide) / 2, y: (380 - wide / shape) / 2, width: wide, height: wide / shape };
}
