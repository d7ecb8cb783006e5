import { defineConfig } from 'vite';

/**
 * What the server runs on threads, beside the built app. Packages are in the module, so that a thread begins in a fraction
 * of a second: read one by one from node_modules they take twice as long. Those with files of their own stay there.
 */
export default defineConfig({
	build: {
		ssr: 'src/lib/server/threads/thread.ts',
		outDir: 'build/threads',
		target: 'node20',
		rollupOptions: { output: { entryFileNames: 'thread.js' } }
	},
	ssr: { noExternal: true, external: ['@libsql/client', 'libsql', 'pdfkit', 'highs'] }
});
