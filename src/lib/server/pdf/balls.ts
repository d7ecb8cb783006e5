import type PDFDocument from 'pdfkit';
import type { DrawList } from '../../core/scene/draw-list.ts';
import { strokesOf, type Outline } from '../../core/scene/outlines.ts';
import { inOrder } from '../../core/scene/svg.ts';
import { ropeStrokes, type RopeStroke } from '../../core/scene/rope.ts';
import { TUBE_HEX } from '../../core/scene/tubes.ts';
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

/** An outline as PDF path operators, closed. */
const outlinePath = (outline: Outline): string => {
	const operators = strokesOf(outline).map((stroke, i) => {
		const points = stroke.map((v) => Math.round(v * 1000) / 1000).join(' ');
		return `${points} ${i === 0 ? 'm' : stroke.length === 2 ? 'l' : 'c'}`;
	});
	return `${operators.join(' ')} h`;
};

/** A tenth of a point is finer than any printer's dot. */
const round = (v: number): number => Math.round(v * 10) / 10;

/** Narrower along a lean: turned there, scaled, turned back. */
function narrow(flat: number, lean: number): string {
	const [c, s] = [Math.cos(lean), Math.sin(lean)];
	const m = [flat * c * c + s * s, (flat - 1) * c * s, (flat - 1) * c * s, flat * s * s + c * c];
	return ` ${m.map((v) => Math.round(v * 1000) / 1000).join(' ')} 0 0 cm`;
}

/** Stamps shaded balls: every paint is one form of radius 1, placed and scaled for each ball. */
export class BallPainter {
	readonly #forms = new Map<string, { name: string; form: unknown }>();
	constructor(private readonly doc: InstanceType<typeof PDFDocument>) {}

	/**
	 * Tubes end where the piece does: a pole is cut, or goes into the topmost balloon.
	 * @param at floor under the axis, in points from the top left @param scale points a millimetre
	 */
	draw(list: DrawList, at: { x: number; y: number }, scale: number) {
		const { doc } = this;
		const raw = doc as unknown as Raw;
		for (const thing of inOrder(list, list.height)) {
			if ('tube' in thing) {
				const { x1, y1, x2, y2, width, hex = TUBE_HEX } = thing.tube;
				doc
					.moveTo(round(at.x + x1 * scale), round(at.y - y1 * scale))
					.lineTo(round(at.x + x2 * scale), round(at.y - y2 * scale))
					.lineWidth(Math.max(0.4, width * scale))
					.stroke(hex);
				continue;
			}
			const { x, y, r, paint, outline, flat = 1, lean = 0, path } = thing.disc;
			const { hex, finish } = list.paints[paint]!;
			if (path) {
				this.#rope(path, ropeStrokes(hex, finish), at, { scale, thick: Math.max(0.3, 2 * r * scale) });
				continue;
			}
			const { name, form } = this.#form(shade(hex, finish), outline);
			raw.page.xobjects[name] = form;
			const s = round(r * scale);
			// pdfkit's pages have y downwards; the form is turned over so that its light stays above.
			const place = `${s} 0 0 ${-s} ${round(at.x + x * scale)} ${round(at.y - y * scale)} cm`;
			raw.addContent(`q ${place}${flat < 1 ? narrow(flat, lean) : ''} /${name} Do Q`);
		}
	}

	#rope(
		path: readonly number[],
		strokes: readonly RopeStroke[],
		at: { x: number; y: number },
		{ scale, thick }: { scale: number; thick: number }
	) {
		for (const { hex, width, towards } of strokes) {
			const moved = thick * towards;
			const point = (i: number) =>
				[round(at.x + path[i]! * scale - moved), round(at.y - path[i + 1]! * scale - moved)] as const;
			const first = point(0);
			let last = first;
			this.doc.moveTo(...first);
			for (let i = 2; i < path.length; i += 2) {
				const next = point(i);
				if (next[0] !== last[0] || next[1] !== last[1]) this.doc.lineTo(...next);
				last = next;
			}
			// Too short for a line it is a dot: its round end.
			if (last[0] === first[0] && last[1] === first[1]) this.doc.lineTo(...last);
			this.doc
				.lineWidth(round(thick * width * 10) / 10)
				.lineCap('round')
				.lineJoin('round')
				.stroke(hex);
		}
		this.doc.lineCap('butt');
	}

	#form(stops: readonly Stop[], outline?: Outline) {
		const key = `${outline ?? ''}${JSON.stringify(stops)}`;
		const cached = this.#forms.get(key);
		if (cached) return cached;
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
		form.end(Buffer.from(`${outline ? outlinePath(outline) : CIRCLE} W n /S sh`));
		const made = { name: `B${this.#forms.size}`, form };
		this.#forms.set(key, made);
		return made;
	}
}
