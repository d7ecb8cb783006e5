import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** A PDF read back: its words, what its pages draw with, and how many pages there are. */
export async function readPdf(pdf: Buffer) {
	const document = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 })
		.promise;
	const pages = await Promise.all(
		Array.from({ length: document.numPages }, (_, i) => document.getPage(i + 1))
	);
	const texts = await Promise.all(pages.map((p) => p.getTextContent()));
	const lists = await Promise.all(pages.map((p) => p.getOperatorList()));
	const text = texts.flatMap((t) => t.items.map((i) => ('str' in i ? i.str : ''))).join(' ');
	return { text: text.replace(/\s+/g, ' '), ops: lists.flatMap((l) => l.fnArray), pages: document.numPages };
}
