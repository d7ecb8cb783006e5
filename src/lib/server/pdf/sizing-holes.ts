import PDFDocument from 'pdfkit';
import { formatInches, type Micrometres } from '../../core/units/length.ts';
import { dressed, INK, MUTED } from './paper.ts';

/** Points an inch: a PDF's own unit. */
const INCH = 72;
const PAPERS = { letter: [612, 792], a4: [595.28, 841.89] } as const;
export type Paper = keyof typeof PAPERS;
/** Printers leave this much blank, points. */
const EDGE = 0.5 * INCH;
/** Room under the top edge for words and the line to check by. */
const HEAD = 0.95 * INCH;

/** A part of a hole that one page shows, points from the hole's own upper left. */
export interface Tile {
	readonly column: number;
	readonly row: number;
	readonly columns: number;
	readonly rows: number;
}

/** How many pages a hole takes side by side and below each other. @param diameter points */
export function tilesFor(diameter: number, paper: Paper): Tile[] {
	const [width, height] = room(paper);
	const [columns, rows] = [Math.ceil(diameter / width), Math.ceil(diameter / height)];
	return Array.from({ length: columns * rows }, (_, i) => ({ column: i % columns, row: Math.floor(i / columns), columns, rows })); // prettier-ignore
}

const room = (paper: Paper): readonly [number, number] => {
	const [width, height] = PAPERS[paper];
	return [width - 2 * EDGE, height - HEAD - EDGE];
};

/**
 * Sizer holes in true size, a page each or tiled over several, every page with a line of four inches to check the
 * printer by: scaled prints are the usual reason for holes that are too small.
 */
export async function sizingHoles(sizes: readonly Micrometres[], paper: Paper): Promise<Buffer> {
	const [width, height] = PAPERS[paper];
	const doc = new PDFDocument({ size: [width, height], margin: 0, autoFirstPage: false });
	const done = dressed(doc);
	for (const size of sizes) {
		const diameter = (size / 25_400) * INCH;
		for (const tile of tilesFor(diameter, paper)) page(doc, size, diameter, tile, paper);
	}
	doc.end();
	return done;
}

function page(
	doc: InstanceType<typeof PDFDocument>,
	size: Micrometres,
	diameter: number,
	tile: Tile,
	paper: Paper
) {
	const [wide, high] = room(paper);
	doc.addPage();
	const part = tile.columns * tile.rows > 1 ? `, part ${tile.row * tile.columns + tile.column + 1} of ${tile.columns * tile.rows}: column ${tile.column + 1}, row ${tile.row + 1}` : ''; // prettier-ignore
	doc
		.fillColor(INK)
		.font('mono')
		.fontSize(13)
		.text(`${formatInches(size)} in`, EDGE, EDGE, { lineBreak: false });
	doc
		.font('text')
		.fontSize(10)
		.text(`hole${part}. Print at 100 %, cut along the line.`, EDGE + 70, EDGE + 3, { lineBreak: false });
	const y = EDGE + 0.35 * INCH;
	doc.lineWidth(0.8);
	doc
		.moveTo(EDGE, y)
		.lineTo(EDGE + 4 * INCH, y)
		.stroke(INK);
	for (const x of [0, 1, 2, 3, 4])
		doc
			.moveTo(EDGE + x * INCH, y - 4)
			.lineTo(EDGE + x * INCH, y + 4)
			.stroke(INK);
	doc
		.fontSize(8.5)
		.text('this line is 4 in: lay a tape on it first', EDGE + 4 * INCH + 8, y - 4, { lineBreak: false });
	// The part of the circle this page shows; in one part it stands in the middle.
	const [x0, y0] = [EDGE, HEAD];
	const fits = tile.columns === 1;
	const left = fits ? (wide - diameter) / 2 : -tile.column * wide;
	const top = tile.rows === 1 ? 0 : -tile.row * high;
	doc.save();
	doc.rect(x0, y0, wide, high).clip();
	const [cx, cy, r] = [x0 + left + diameter / 2, y0 + top + diameter / 2, diameter / 2];
	doc.lineWidth(1).circle(cx, cy, r).stroke(INK);
	doc.lineWidth(0.4).moveTo(cx - 12, cy).lineTo(cx + 12, cy).moveTo(cx, cy - 12).lineTo(cx, cy + 12).stroke(MUTED); // prettier-ignore
	doc.restore();
	if (tile.columns * tile.rows > 1) doc.lineWidth(0.5).dash(3, { space: 3 }).rect(x0, y0, wide, high).stroke(MUTED).undash(); // prettier-ignore
}
