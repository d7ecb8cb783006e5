import { markOf } from '../../core/workspace/mark.ts';
import type { Business } from '../../core/workspace/settings.ts';
import { BOTTOM, INK, MARGIN, MUTED, say, WIDTH, type Doc } from './paper.ts';

/** The head all papers for a client have: who writes, what it is, and what it is about. */
export function head(
	doc: Doc,
	{
		business,
		title,
		lines
	}: {
		readonly business: Pick<Business, 'name' | 'mark' | 'colour'>;
		readonly title: string;
		readonly lines: readonly string[];
	}
) {
	const mark = markOf(business);
	const [SIDE, left] = [22, mark ? 30 : 0];
	if (mark) {
		doc.roundedRect(MARGIN, MARGIN - 5, SIDE, SIDE, 4).fill(mark.ground);
		doc
			.fillColor(mark.ink)
			.font('head')
			.fontSize(mark.letters.length > 2 ? 8 : 10);
		doc.text(mark.letters, MARGIN, MARGIN, { width: SIDE, align: 'center', lineBreak: false });
	}
	doc
		.fillColor(INK)
		.font('head')
		.fontSize(12)
		.text(business.name, MARGIN + left, MARGIN);
	if (mark) {
		doc.y += 6;
		doc
			.moveTo(MARGIN, doc.y)
			.lineTo(MARGIN + WIDTH, doc.y)
			.lineWidth(2)
			.stroke(mark.ground);
		doc.y += 6;
	}
	doc.x = MARGIN;
	doc.font('head').fontSize(22).text(title, { paragraphGap: 2 });
	for (const line of lines.filter(Boolean)) say(doc, line, { size: 10.5, colour: MUTED });
}

/** A line of a tape: words on the left, a sum on the right, ruled over where it adds up. */
export function sumRow(
	doc: Doc,
	label: string,
	amount: string,
	options: { readonly bold?: boolean; readonly rule?: number } = {}
) {
	if (doc.y + 18 > BOTTOM) doc.addPage();
	if (options.rule) doc.y += 3 + 2.2 * options.rule;
	const y = doc.y;
	if (options.rule)
		for (let i = 0; i < options.rule; i++)
			doc
				.moveTo(MARGIN, y - 1 - i * 2.2)
				.lineTo(MARGIN + WIDTH, y - 1 - i * 2.2)
				.lineWidth(0.8)
				.stroke(INK);
	doc
		.font(options.bold ? 'head' : 'text')
		.fontSize(options.bold ? 14 : 10.5)
		.fillColor(INK);
	doc.text(label, MARGIN, y + 2, { width: WIDTH - 130 });
	const after = doc.y;
	doc
		.font('mono')
		.fontSize(options.bold ? 14 : 10.5)
		.text(amount, MARGIN + WIDTH - 130, y + 2, { width: 130, align: 'right' });
	doc.y = Math.max(after, doc.y) + 1;
}
