import { defineConfig } from 'vite';

/** What the server runs on threads: one module beside the built app. Packages are read from node_modules, but for the kit's errors. */
export default defineConfig({
	build: {
		ssr: 'src/lib/server/threads/thread.ts',
		outDir: 'build/threads',
		target: 'node20',
		rollupOptions: { output: { entryFileNames: 'thread.js' } }
	},
	ssr: { noExternal: ['@sveltejs/kit'] }
});
