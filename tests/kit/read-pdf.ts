import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

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
	/** Width and height of every path, points. */
	const paths = lists.flatMap((list) =>
		list.fnArray.flatMap((fn, i): [number, number][] => {
			if (fn !== OPS.constructPath) return [];
			const [, , box] = list.argsArray[i] as [unknown, unknown, ArrayLike<number>];
			return [[box[2]! - box[0]!, box[3]! - box[1]!]];
		})
	);
	return {
		text: text.replace(/\s+/g, ' '),
		ops: lists.flatMap((l) => l.fnArray),
		paths,
		pages: document.numPages
	};
}
