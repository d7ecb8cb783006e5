import { formatAmount, formatMoney, money } from '../../core/money/money.ts';
import { paperName, PAPER_WORDS, taxesOn, type FrozenPaper } from '../../core/papers/paper.ts';
import { rateText } from '../../core/pricing/price-tape.ts';
import { MARGIN, MUTED, openPaper, say, WIDTH } from './paper.ts';
import { sumRow, head } from './sheet.ts';

/** Days of a paper in words. */
export interface PaperDays {
	readonly day: string;
	readonly due: string;
	readonly event: string;
}

/** A confirmation, receipt, invoice or credit note as a PDF on Letter paper. */
export async function paperPdf(paper: FrozenPaper, days: PaperDays): Promise<Buffer> {
	const { title } = PAPER_WORDS[paper.kind];
	const name = paperName(paper);
	const { doc, done } = openPaper({
		title: `${title} ${name}, ${paper.business.name}`,
		author: paper.business.name,
		made: new Date(`${paper.day}T12:00:00Z`)
	});
	const { formats } = paper;
	const credit = paper.kind === 'credit note';
	head(doc, {
		business: paper.business,
		title,
		lines: [
			`${name}, ${days.day}`,
			`for ${paper.client.name}`,
			paper.client.address,
			[paper.occasion, days.event && `on ${days.event}`, paper.venue].filter(Boolean).join(', '),
			`Quote no. ${paper.quote.number}${paper.quote.revision > 1 ? `, revision ${paper.quote.revision}` : ''}`,
			credit && paper.about ? `takes back ${paper.about}` : '',
			paper.due && days.due ? `to be paid by ${days.due}` : ''
		]
	});
	doc.moveDown(0.8);
	doc.x = MARGIN;
	const signed = (minor: number) => money(credit ? -minor : minor, paper.total.currency);
	for (const line of paper.lines)
		sumRow(doc, `${line.quantity} × ${line.label}`, formatAmount(signed(line.net.minor), formats));
	if (paper.discount.minor > 0) sumRow(doc, 'Discount', formatAmount(signed(-paper.discount.minor), formats));
	sumRow(doc, 'Net', formatAmount(signed(paper.net.minor), formats), { rule: 1 });
	for (const { percent, net, tax } of taxesOn(paper)) {
		const on = paper.taxes ? ` on ${formatAmount(signed(net.minor), formats)}` : '';
		sumRow(
			doc,
			paper.exempt ? `Tax: exempt, ${paper.exempt}` : `Tax ${rateText(percent, formats)}${on}`,
			formatAmount(signed(tax.minor), formats)
		);
	}
	sumRow(doc, 'Total', formatMoney(signed(paper.total.minor), formats), { bold: true, rule: 2 });
	if (paper.paid.minor > 0) sumRow(doc, 'Paid before', formatAmount(signed(paper.paid.minor), formats));
	if (paper.kind === 'receipt')
		sumRow(doc, `Paid with thanks: ${paper.about ?? ''}`, formatMoney(paper.payable, formats), {
			bold: true
		});
	else sumRow(doc, credit ? 'To give back' : 'To pay', formatMoney(paper.payable, formats), { bold: true });
	doc.moveDown(0.8);
	say(doc, paper.business.terms, { size: 8.8, colour: MUTED, left: { x: MARGIN, width: WIDTH } });
	const { name: by, address, phone, email } = paper.business;
	say(doc, [by, address, phone, email].filter(Boolean).join(' · '), { size: 8.8, gap: 4 });
	doc.end();
	return done;
}
