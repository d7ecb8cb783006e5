import { formatAmount, formatMoney, money } from '../../core/money/money.ts';
import { NOTHING_CHOSEN } from '../../core/quote/choices.ts';
import { asShown, type ChosenQuote } from '../../core/quote/chosen.ts';
import type { FrozenLine, FrozenPlace, FrozenQuote } from '../../core/quote/frozen.ts';
import { lineName } from '../../core/quote/line-name.ts';
import { rateText } from '../../core/pricing/price-tape.ts';
import { BallPainter } from './balls.ts';
import { head, sumRow } from './sheet.ts';
import { BOTTOM, INK, MARGIN, MUTED, openPaper, say, WIDTH, type Doc } from './paper.ts';

/** Days of a quote in words. */
export interface QuoteWords {
	readonly eventDay: string;
	readonly validDay: string;
}

/** The frozen quote as a PDF on Letter paper: pictures as vectors, bundled fonts, nothing looked up. */
export async function quotePdf(frozen: FrozenQuote, words: QuoteWords, photo?: Uint8Array): Promise<Buffer> {
	const { doc, done } = openPaper({
		title: `Quote ${frozen.number}, ${frozen.business.name}`,
		author: frozen.business.name,
		made: new Date(frozen.sentAt)
	});
	heading(doc, frozen, words);
	if (frozen.place && photo) place(doc, frozen, frozen.place, photo);
	pictures(doc, frozen);
	table(doc, frozen);
	smallPrint(doc, frozen);
	doc.end();
	return done;
}

function heading(
	doc: Doc,
	frozen: FrozenQuote,
	{ eventDay, validDay }: { eventDay: string; validDay: string }
) {
	head(doc, {
		business: frozen.business,
		title: frozen.occasion || 'Your balloons',
		lines: [
			`for ${frozen.client.name}`,
			eventDay && `on ${eventDay}`,
			frozen.venue && `${frozen.venue}, ${frozen.setting === 'outdoor' ? 'outdoors' : 'indoors'}`,
			`Quote no. ${frozen.number}${(frozen.revision ?? 1) > 1 ? `, revision ${frozen.revision}` : ''}, stands until ${validDay}`
		]
	});
	if (frozen.note) say(doc, frozen.note, { size: 10.5, gap: 6 });
}

/** The client's place with the pieces in it, at the scale of what was known there. */
function place(doc: Doc, frozen: FrozenQuote, { width, height, pieces }: FrozenPlace, photo: Uint8Array) {
	const MOST = 250;
	const wide = Math.min(WIDTH, (MOST * width) / height);
	const tall = (wide * height) / width;
	if (doc.y + tall + 12 > BOTTOM) doc.addPage();
	const [x, y] = [MARGIN + (WIDTH - wide) / 2, doc.y + 8];
	doc.image(Buffer.from(photo), x, y, { width: wide, height: tall });
	doc.save().rect(x, y, wide, tall).clip();
	const painter = new BallPainter(doc);
	for (const piece of pieces) {
		const list = frozen.lines[piece.line]?.picture;
		if (!list) continue;
		const foot = { x: x + piece.x * wide, y: y + piece.y * tall };
		if (piece.turned) doc.save().transform(-1, 0, 0, 1, 2 * foot.x, 0);
		painter.draw(list, foot, piece.mm * wide);
		if (piece.turned) doc.restore();
	}
	doc.restore();
	doc.x = MARGIN;
	doc.y = y + tall + 8;
}

function pictures(doc: Doc, frozen: FrozenQuote) {
	const drawn = frozen.lines.filter((l) => l.picture && l.picture.discs.length > 0);
	if (drawn.length === 0) return;
	const HEIGHT = 210;
	const painter = new BallPainter(doc);
	const perRow = Math.min(4, drawn.length);
	const column = WIDTH / perRow;
	const tallest = Math.max(1500, ...drawn.map((l) => l.picture!.height));
	const widest = Math.max(...drawn.map((l) => l.picture!.halfWidth * 2));
	const scale = Math.min(HEIGHT / tallest, (column - 16) / widest);
	for (let from = 0; from < drawn.length; from += perRow) {
		if (doc.y + HEIGHT + 60 > BOTTOM) doc.addPage();
		const floor = doc.y + 14 + tallest * scale;
		drawn.slice(from, from + perRow).forEach((line, i) => {
			const centre = MARGIN + column * (i + 0.5);
			painter.draw(line.picture!, { x: centre, y: floor }, scale);
			doc
				.font('head')
				.fontSize(9.5)
				.fillColor(INK)
				.text(`${line.quantity} × ${line.name}`, centre - column / 2, floor + 6, {
					width: column,
					align: 'center'
				});
			doc
				.font('text')
				.fontSize(8.5)
				.fillColor(MUTED)
				.text(line.colourway, centre - column / 2, floor + 18, { width: column, align: 'center' });
			doc.y = floor + 29;
			say(doc, line.about, { size: 8.5, colour: MUTED, at: { x: centre - column / 2, width: column } });
		});
		doc
			.moveTo(MARGIN, floor)
			.lineTo(MARGIN + WIDTH, floor)
			.lineWidth(1)
			.stroke(INK);
		doc.y = floor + 52;
	}
}

function table(doc: Doc, frozen: FrozenQuote) {
	const row = (label: string, amount: string, options: { bold?: boolean; rule?: number } = {}) =>
		sumRow(doc, label, amount, options);
	doc.x = MARGIN;
	const offers = frozen.offers ?? [];
	for (const level of offers.length > 1 ? offers.map((o) => o.level) : [null]) {
		if (level !== null) say(doc, level, { size: 12, font: 'head', gap: 6 });
		sums(row, frozen, asShown(frozen, { ...NOTHING_CHOSEN, level }));
		const others = offers.find((o) => o.level === level) ?? offers[0];
		for (const { at, group, adds } of others?.others ?? []) {
			const how = group === null ? 'if you like' : `instead, as ${group}`;
			row(
				`${called(frozen.lines[at]!)}, ${how}`,
				`${adds.minor < 0 ? '' : '+'}${formatAmount(adds, frozen.formats)}`
			);
		}
	}
}

type Row = (label: string, amount: string, options?: { bold?: boolean; rule?: number }) => void;
const called = (line: FrozenLine): string => `${line.quantity} × ${lineName(line)}`;

function sums(row: Row, frozen: FrozenQuote, chosen: ChosenQuote) {
	let heading = '';
	for (const { line, amount } of chosen.lines) {
		if ((line.heading ?? '') !== heading) {
			heading = line.heading ?? '';
			if (heading) row(heading, '', {});
		}
		row(called(line), formatAmount(amount, frozen.formats));
		if (line.note) row(`    ${line.note}`, '');
	}
	if (chosen.delivery.minor > 0) row('Delivery, set up', formatAmount(chosen.delivery, frozen.formats));
	if (chosen.discount.minor > 0)
		row('Discount', formatAmount(money(-chosen.discount.minor, chosen.discount.currency), frozen.formats));
	chosen.taxes.forEach(({ percent, tax }, i) =>
		row(
			frozen.exempt
				? `No tax: ${frozen.exempt}`
				: `Tax ${rateText(percent, frozen.formats)}${frozen.taxInclusive ? ', included' : ''}`,
			formatAmount(tax, frozen.formats),
			i === 0 ? { rule: 1 } : {}
		)
	);
	row('Total', formatMoney(chosen.total, frozen.formats), { bold: true, rule: 2 });
	if (chosen.deposit.minor > 0) row('Deposit to hold the date', formatAmount(chosen.deposit, frozen.formats));
}

function smallPrint(doc: Doc, frozen: FrozenQuote) {
	doc.moveDown(0.8);
	say(doc, 'Please know', { size: 10, font: 'head' });
	for (const caution of frozen.cautions) say(doc, caution, { size: 8.8, colour: MUTED, gap: 2 });
	say(doc, 'Terms', { size: 10, font: 'head', gap: 6 });
	say(doc, frozen.business.terms, { size: 8.8, colour: MUTED, gap: 2 });
	say(doc, frozen.rounding, { size: 8.8, colour: MUTED });
	const { name, address, phone, email } = frozen.business;
	say(doc, [name, address, phone, email].filter(Boolean).join(' · '), { size: 8.8, gap: 4 });
}
