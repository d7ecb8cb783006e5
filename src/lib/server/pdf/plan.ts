import { formatHours } from '../../core/labour/standards.ts';
import { formatWait } from '../../core/units/duration.ts';
import type { DrawList } from '../../core/scene/draw-list.ts';
import { boxHeight } from '../../core/scene/svg.ts';
import type { ShownStep } from '../../core/plan/arrange.ts';
import type { ShownPart } from '../services/plan.ts';
import { BallPainter } from './balls.ts';
import { BOTTOM, INK, MARGIN, MUTED, openPaper, say, WIDTH, type Doc } from './paper.ts';

export interface PlanPaper {
	readonly business: string;
	readonly title: string;
	/** Colours, size, counts and time, in words. */
	readonly about: string;
	readonly parts: readonly ShownPart[];
	readonly pictures: readonly { readonly name: string; readonly list: DrawList }[];
	/** The two lists, a line each. */
	readonly toBuy: readonly string[];
	readonly toInflate: readonly string[];
	readonly cautions: readonly string[];
	/** Photos by their ids, as JPEG or PNG. */
	readonly photos: ReadonlyMap<string, Uint8Array>;
	readonly cover: string | null;
	readonly made: Date;
}

const INDENT = 34;
/** Points pictures are high at most. */
const HIGHEST = 190;
/** Points a photo of a step is high at most. */
const PHOTO = 110;

/** The plan of a design on Letter paper, one column for the bench: pictures, lists, steps to tick off. No prices. */
export async function planPdf(paper: PlanPaper): Promise<Buffer> {
	const { doc, done } = openPaper({
		title: `Plan, ${paper.title}`,
		author: paper.business,
		made: paper.made
	});
	doc.fillColor(INK).font('head').fontSize(12).text(paper.business, MARGIN, MARGIN);
	doc.font('head').fontSize(22).text(paper.title, { paragraphGap: 2 });
	say(doc, paper.about, { size: 10.5, colour: MUTED });
	pictures(doc, paper);
	for (const part of paper.parts) steps(doc, part, paper);
	list(doc, 'To inflate', paper.toInflate);
	list(doc, 'To buy, and from the shelf', paper.toBuy);
	room(doc, 40);
	say(doc, 'Take care', { size: 10, font: 'bold', gap: 10 });
	for (const caution of paper.cautions) {
		room(doc, 26);
		say(doc, caution, { size: 8.8, colour: MUTED, gap: 2 });
	}
	doc.end();
	return done;
}

function room(doc: Doc, points: number) {
	if (doc.y + points > BOTTOM) doc.addPage();
}

function pictures(doc: Doc, { pictures: all, cover, photos }: PlanPaper) {
	const photo = cover === null ? undefined : photos.get(cover);
	const count = all.length + (photo ? 1 : 0);
	if (count === 0) return;
	const column = WIDTH / count;
	const tallest = Math.max(1, ...all.map((p) => boxHeight(p.list)));
	const widest = Math.max(1, ...all.map((p) => p.list.halfWidth * 2));
	const scale = Math.min(HIGHEST / tallest, (column - 16) / widest);
	const height = Math.max(tallest * scale, photo ? 150 : 0);
	const floor = doc.y + 14 + height;
	const painter = new BallPainter(doc);
	all.forEach(({ name, list: picture }, i) => {
		const centre = MARGIN + column * (i + 0.5);
		painter.draw(picture, { x: centre, y: floor }, scale);
		doc.font('text').fontSize(8.5).fillColor(MUTED);
		doc.text(name, centre - column / 2, floor + 5, { width: column, align: 'center' });
	});
	if (photo) place(doc, photo, { x: MARGIN + column * all.length + 8, y: floor - height, width: column - 16, height }); // prettier-ignore
	doc
		.moveTo(MARGIN, floor)
		.lineTo(MARGIN + WIDTH, floor)
		.lineWidth(1)
		.stroke(INK);
	doc.x = MARGIN;
	doc.y = floor + 26;
}

function place(doc: Doc, photo: Uint8Array, box: { x: number; y: number; width: number; height: number }) {
	doc.image(Buffer.from(photo), box.x, box.y, { fit: [box.width, box.height], align: 'center', valign: 'bottom' } as never); // prettier-ignore
}

function steps(doc: Doc, part: ShownPart, { photos }: PlanPaper) {
	const shown = part.steps.filter((s) => !s.out);
	if (shown.length === 0) return;
	room(doc, 70);
	const head = part.design === undefined ? 'Steps' : `${part.quantity} × ${part.name}`;
	say(doc, `${head}, ${formatHours(part.seconds)} h of work`, { size: 13, font: 'head', gap: 10 });
	shown.forEach((step, i) => {
		const photo = step.photo === null ? undefined : photos.get(step.photo);
		room(doc, 30 + 13 * step.lines.length + (photo ? PHOTO + 8 : 0));
		doc.moveDown(0.4);
		const top = doc.y;
		doc
			.rect(MARGIN, top + 1, 9, 9)
			.lineWidth(0.8)
			.stroke(INK);
		doc.font('mono').fontSize(9).fillColor(MUTED);
		doc.text(String(i + 1), MARGIN + 12, top + 1, { width: 18, align: 'right' });
		const minutes = step.minutes < 0.5 ? '' : `${Math.round(step.minutes)} min`;
		doc.text(minutes, MARGIN + WIDTH - 60, top + 1, { width: 60, align: 'right' });
		doc.y = top;
		const column = { x: MARGIN + INDENT, width: WIDTH - INDENT - 64 };
		say(doc, step.text, { size: 10.5, left: column });
		for (const line of step.lines) {
			room(doc, 14);
			say(doc, `${line.count} × ${line.text}`, { size: 9.5, left: { ...column, x: column.x + 10 } });
		}
		const how = howWords(step);
		if (how) say(doc, how, { size: 9, colour: MUTED, left: column });
		if (step.check) say(doc, `Check: ${step.check}.`, { size: 9, colour: MUTED, left: column });
		if (photo) {
			place(doc, photo, { x: column.x, y: doc.y + 3, width: column.width, height: PHOTO });
			doc.y += PHOTO + 6;
		}
	});
	doc.x = MARGIN;
}

/** Where, how, with what, and what to wait for. */
export const howWords = ({ place: where, method, tool, wait, lost }: ShownStep): string =>
	[
		where === 'bench' ? '' : where === 'site' ? 'Where it stands' : 'After hanging',
		method,
		tool && `with: ${tool}`,
		wait > 0 ? `then wait ${formatWait(wait)}` : '',
		lost ? 'What it is about is gone from the recipe' : ''
	]
		.filter(Boolean)
		.join(' · ');

function list(doc: Doc, title: string, lines: readonly string[]) {
	if (lines.length === 0) return;
	room(doc, 50);
	say(doc, title, { size: 13, font: 'head', gap: 14 });
	for (const line of lines) {
		room(doc, 15);
		const y = doc.y + 2;
		doc.rect(MARGIN, y, 8, 8).lineWidth(0.7).stroke(INK);
		doc.y = y - 1;
		say(doc, line, { size: 9.5, left: { x: MARGIN + 16, width: WIDTH - 16 } });
	}
	doc.x = MARGIN;
}
