import PDFDocument from 'pdfkit';
import { fonts } from './fonts.ts';

export type Doc = InstanceType<typeof PDFDocument>;

export const INK = '#1B2333';
export const MUTED = '#5C6573';
/** Points of Letter paper. */
export const MARGIN = 54;
export const WIDTH = 612 - 2 * MARGIN;
export const BOTTOM = 792 - MARGIN;

/** A paper to write on with the bundled faces, and its bytes once `doc.end()` was called. */
export function openPaper({ title, author, made }: { title: string; author: string; made: Date }): {
	doc: Doc;
	done: Promise<Buffer>;
} {
	const doc = new PDFDocument({
		size: 'LETTER',
		margin: MARGIN,
		info: { Title: title, Author: author, CreationDate: made }
	});
	return { doc, done: dressed(doc) };
}

/** Gives a document the bundled faces. @returns its bytes, once `doc.end()` was called */
export function dressed(doc: Doc): Promise<Buffer> {
	for (const [name, data] of Object.entries(fonts())) doc.registerFont(name, data);
	const chunks: Buffer[] = [];
	return new Promise<Buffer>((resolve, reject) => {
		doc.on('data', (chunk: Buffer) => chunks.push(chunk));
		doc.on('end', () => resolve(Buffer.concat(chunks)));
		doc.on('error', reject);
	});
}

/** Signs the plain face lacks. */
const SIGNS = /([′″½¼¾⅛⅜⅝⅞])/u;
const SIGN = /^[′″½¼¾⅛⅜⅝⅞]$/u;

/** Text in the plain face; the signs it lacks are set in the face that has them. */
export function say(
	doc: Doc,
	text: string,
	{
		size,
		colour = INK,
		gap = 0,
		font = 'text',
		at,
		left
	}: {
		size: number;
		colour?: string;
		gap?: number;
		font?: string;
		/** A column to centre it in; the whole width without one. */
		at?: { x: number; width: number };
		/** A column it runs in, from its left edge. */
		left?: { x: number; width: number };
	}
) {
	if (gap) doc.moveDown(gap / size);
	let x = left?.x ?? MARGIN;
	if (at) {
		const width = text.split(SIGNS).reduce(
			(a, part) =>
				a +
				doc
					.font(SIGN.test(part) ? 'signs' : font)
					.fontSize(size)
					.widthOfString(part),
			0
		);
		x = at.x + (at.width - width) / 2;
	}
	const parts = text.split(SIGNS).filter((part) => part !== '');
	parts.forEach((part, i) => {
		const sign = SIGN.test(part);
		const options = { width: left?.width ?? WIDTH, continued: i < parts.length - 1 };
		doc
			.font(sign ? 'signs' : font)
			.fontSize(size)
			.fillColor(colour);
		if (i === 0) doc.text(part, x, doc.y, options);
		else doc.text(part, options);
	});
}
