import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';
import { build } from 'vite';

const node = adapter({ out: 'build', precompress: true });
/** The server, and beside it what it runs on threads. */
const server = {
	...node,
	async adapt(builder) {
		await node.adapt(builder);
		await build({ configFile: 'vite.threads.config.ts' });
	}
};

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	kit: {
		adapter: server,
		// Registered by the few pages that are opened without a line.
		serviceWorker: { register: false },
		// The database and the PDF fonts are read at run time, never bundled.
		csp: {
			mode: 'auto',
			directives: {
				'default-src': ['self'],
				// blob: a photo of the place, shown where it was picked and sent nowhere.
				'img-src': ['self', 'data:', 'blob:'],
				'style-src': ['self', 'unsafe-inline'],
				'font-src': ['self', 'data:'],
				'object-src': ['none'],
				'base-uri': ['self'],
				'frame-ancestors': ['none'],
				'form-action': ['self']
			}
		}
	}
};
