import type PDFDocument from 'pdfkit';
import type { DrawList } from '../../core/scene/draw-list.ts';
import { uprightsOf } from '../../core/scene/svg.ts';
import { shade, type Stop } from '../../core/scene/shade.ts';

/** The parts of pdfkit that its types leave out: raw objects, for one form a colour stamped many times. */
interface Raw {
	ref(data: Record<string, unknown>): { end(content?: Buffer): void };
	page: { xobjects: Record<string, unknown> };
	addContent(content: string): void;
}

const rgb = (hex: string): number[] =>
	[1, 3, 5].map((i) => Math.round((parseInt(hex.slice(i, i + 2), 16) / 255) * 1000) / 1000);

/** A circle of radius 1 as four Bézier arcs. */
const K = 0.5523;
const CIRCLE = `1 0 m 1 ${K} ${K} 1 0 1 c -${K} 1 -1 ${K} -1 0 c -1 -${K} -${K} -1 0 -1 c ${K} -1 1 -${K} 1 0 c h`;

/** Stamps shaded balls: every paint is one form of radius 1, placed and scaled for each ball. */
export class BallPainter {
	readonly #forms = new Map<string, { name: string; form: unknown }>();
	constructor(private readonly doc: InstanceType<typeof PDFDocument>) {}

	/** @param at floor under the axis, in points from the top left @param scale points a millimetre */
	draw(list: DrawList, at: { x: number; y: number }, scale: number) {
		const { doc } = this;
		const raw = doc as unknown as Raw;
		for (const { x, from, height } of uprightsOf(list)) {
			const top = Math.min(from + height, list.height) * scale;
			doc.rect(at.x + x * scale - 1.2, at.y - top, 2.4, top - from * scale).fill('#5C6573');
		}
		const names = list.paints.map((p) => this.#form(shade(p.hex, p.finish)));
		const round = (v: number) => Math.round(v * 100) / 100;
		for (const disc of list.discs) {
			const { name, form } = names[disc.paint]!;
			raw.page.xobjects[name] = form;
			const r = round(disc.r * scale);
			// pdfkit's pages have y downwards; the form is turned over so that its light stays above.
			raw.addContent(
				`q ${r} 0 0 ${-r} ${round(at.x + disc.x * scale)} ${round(at.y - disc.y * scale)} cm /${name} Do Q`
			);
		}
	}

	#form(stops: readonly Stop[]) {
		const key = JSON.stringify(stops);
		const had = this.#forms.get(key);
		if (had) return had;
		const raw = this.doc as unknown as Raw;
		const pieces = stops.slice(1).map((stop, i) => ({
			FunctionType: 2,
			Domain: [0, 1],
			C0: rgb(stops[i]!.hex),
			C1: rgb(stop.hex),
			N: 1
		}));
		const shading = raw.ref({
			ShadingType: 3,
			ColorSpace: 'DeviceRGB',
			Coords: [-0.32, 0.4, 0, 0, 0, 1.24],
			Extend: [true, true],
			Function: {
				FunctionType: 3,
				Domain: [0, 1],
				Functions: pieces,
				Bounds: stops.slice(1, -1).map((s) => s.at),
				Encode: pieces.flatMap(() => [0, 1])
			}
		});
		shading.end();
		const form = raw.ref({
			Type: 'XObject',
			Subtype: 'Form',
			BBox: [-1, -1, 1, 1],
			Resources: { Shading: { S: shading } }
		});
		form.end(Buffer.from(`${CIRCLE} W n /S sh`));
		const made = { name: `Ball${this.#forms.size}`, form };
		this.#forms.set(key, made);
		return made;
	}
}
