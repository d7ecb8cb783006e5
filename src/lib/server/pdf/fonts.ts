import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import { unwoff } from './unwoff.ts';

const require = createRequire(import.meta.url);
const face = (file: string) => unwoff(readFileSync(require.resolve(`@fontsource/${file}`)));
let loaded: Record<'head' | 'text' | 'bold' | 'mono' | 'signs', Buffer> | undefined;

/** The bundled faces as pdfkit can embed them: .woff, never .woff2. Read and unpacked once, not anew for every paper. */
export function fonts() {
	loaded ??= {
		head: face('bricolage-grotesque/files/bricolage-grotesque-latin-700-normal.woff'),
		text: face('instrument-sans/files/instrument-sans-latin-400-normal.woff'),
		bold: face('instrument-sans/files/instrument-sans-latin-600-normal.woff'),
		mono: face('spline-sans-mono/files/spline-sans-mono-latin-400-normal.woff'),
		signs: face('dejavu-mono/files/dejavu-mono-latin-400-normal.woff')
	};
	return loaded;
}
