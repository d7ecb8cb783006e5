import { BOTTOM, INK, MARGIN, MUTED, openPaper, say, WIDTH } from './paper.ts';

export interface ShoppingPaper {
	readonly business: string;
	readonly title: string;
	readonly about: string;
	readonly lines: readonly { readonly what: string; readonly price: string; readonly about: string }[];
	readonly sums: readonly string[];
	readonly made: Date;
}

/** What is ordered of one supplier, a line each with its box to tick, on Letter paper. */
export async function shoppingPdf({ business, title, about, lines, sums, made }: ShoppingPaper): Promise<Buffer> {
	const { doc, done } = openPaper({ title, author: business, made });
	doc.fillColor(INK).font('head').fontSize(12).text(business, MARGIN, MARGIN);
	doc.font('head').fontSize(22).text(title, { paragraphGap: 2 });
	say(doc, about, { size: 10.5, colour: MUTED });
	doc.moveDown(0.6);
	for (const line of lines) {
		if (doc.y + 34 > BOTTOM) doc.addPage();
		const { y } = doc;
		doc.lineWidth(0.7).strokeColor(MUTED).rect(MARGIN, y + 1, 9, 9).stroke();
		doc.fillColor(INK).font('mono').fontSize(10).text(line.price, MARGIN + WIDTH - 90, y, { width: 90, align: 'right' });
		doc.font('text').fontSize(10.5).text(line.what, MARGIN + 18, y, { width: WIDTH - 120 });
		doc.fillColor(MUTED).fontSize(8.8).text(line.about, MARGIN + 18, doc.y, { width: WIDTH - 120, paragraphGap: 4 });
	}
	for (const sum of sums) say(doc, sum, { size: 10.5, gap: 2 });
	doc.end();
	return done;
} // prettier-ignore
