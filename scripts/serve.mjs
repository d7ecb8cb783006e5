/**
 * Starts the built server: checks its configuration, answers over-size bodies in words, compresses what it
 * sends, and closes cleanly when told to stop.
 *
 * PORT (4173), HOST (127.0.0.1), ORIGIN (as browsers call it, https behind a proxy), DATABASE_URL, AUTH_SECRET, SETUP_CODE,
 * BODY_LIMIT (bytes), REQUEST_LIMIT (asked at once), SLOWEST (seconds a request may take to arrive), HOST_NAMES (more names it
 * answers to, with commas). `--open-to-network` listens on every address, over plain http.
 */
import { createServer } from 'node:http';
import { isIP } from 'node:net';
import { hostname } from 'node:os';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { constants } from 'node:zlib';
import compression from 'compression';

const stop = (sentence) => {
	console.error(sentence);
	process.exit(1);
};

const port = Number(process.env.PORT ?? 4173);
if (!Number.isInteger(port) || port < 1 || port > 65_535)
	stop(`PORT is “${process.env.PORT}”. Give a number from 1 to 65535.`);
const limit = Number(process.env.BODY_LIMIT ?? 12 * 1024 * 1024);
if (!Number.isInteger(limit) || limit < 1024)
	stop(`BODY_LIMIT is “${process.env.BODY_LIMIT}”. Give a number of bytes, 1024 or more.`);
const most = Number(process.env.REQUEST_LIMIT ?? 250);
if (!Number.isInteger(most) || most < 1)
	stop(`REQUEST_LIMIT is “${process.env.REQUEST_LIMIT}”. Give a whole number, 1 or more.`);
const slowest = Number(process.env.SLOWEST ?? 60);
if (!Number.isFinite(slowest) || slowest < 1)
	stop(`SLOWEST is “${process.env.SLOWEST}”. Give a number of seconds, 1 or more.`);
const open = process.argv.includes('--open-to-network');
const host = open ? '0.0.0.0' : (process.env.HOST ?? '127.0.0.1');
const ownOrigin = process.env.ORIGIN;
const secure = /^https:\/\//.test(ownOrigin ?? '');
const beyond = open || !['127.0.0.1', 'localhost', '::1'].includes(host);
if (beyond && !open && !secure)
	stop(
		`HOST is “${host}”, and passwords would cross the network in the open. Put a proxy with https before it and say ORIGIN=https://…, or start with --open-to-network in a network you trust.`
	);
if (open && !secure)
	console.warn(
		'Warning: other machines are let in, and passwords cross the network in the open. Do this in your own network only.'
	);
// Whoever is the first to come from elsewhere shows that they started this server; a demo shows no passwords to strangers.
process.env.LETS_OTHERS_IN = beyond || ownOrigin !== undefined ? 'yes' : 'no';

if (open && !ownOrigin) {
	// Other machines call it by other names: the address asked for is the origin, over plain http.
	process.env.PROTOCOL_HEADER = 'x-bright-tally-protocol';
} else process.env.ORIGIN ??= `http://127.0.0.1:${port}`;
process.env.BODY_SIZE_LIMIT = String(limit);

const built = new URL('../build/handler.js', import.meta.url);
if (!existsSync(fileURLToPath(built)))
	stop('The app is not built yet. Run “npm run build” first, or “npm run demo”, which does everything.');

let handler;
try {
	({ handler } = await import(built.href));
} catch (error) {
	stop(error instanceof Error ? error.message : String(error));
}

const own = new Set(['127.0.0.1', 'localhost', '[::1]'].map((name) => `${name}:${port}`));
const ownNames = new Set(
	['localhost', hostname(), `${hostname()}.local`, ...(process.env.HOST_NAMES ?? '').split(',')]
		.map((name) => name.trim().toLowerCase())
		.filter(Boolean)
);
/** Open to a network it answers to its addresses and its own names: what a page elsewhere calls it is none of them. */
const isOwnName = (called) => {
	const name = called
		.replace(/:\d+$/, '')
		.replace(/^\[(.*)\]$/, '$1')
		.toLowerCase();
	return isIP(name) !== 0 || ownNames.has(name);
};
// Quick rather than small: most readers sit at this machine or in its network.
const quality = { [constants.BROTLI_PARAM_QUALITY]: 2 };
const compress = compression({ level: 3, brotli: { params: quality } });
let closing = false;
/** Whether an address is written as one: what stands behind % signs is read as letters. */
function readable(address) {
	try {
		decodeURIComponent(address.split('?')[0]);
		return true;
	} catch {
		return false;
	}
}

// A promise that nobody waited for ends nothing that others are at.
process.on('unhandledRejection', (cause) => console.error('Nobody waited for this:', cause));

/** Requests that are being answered. */
let asked = 0;
// Whoever sends a letter a minute holds a place for so long and no longer.
const patience = { requestTimeout: 1000 * slowest, headersTimeout: 1000 * Math.min(slowest, 30), connectionsCheckingInterval: 1000 }; // prettier-ignore
const server = createServer(patience, (request, response) => {
	if (asked >= most) {
		// Whoever is turned away is told so at once, and when to come again.
		request.resume();
		response.writeHead(503, { 'content-type': 'text/plain; charset=utf-8', 'retry-after': '2' });
		response.end('Too much is asked just now. Try again in a moment.');
		return;
	}
	asked++;
	response.once('close', () => asked--);
	const length = Number(request.headers['content-length'] ?? 0);
	if (length > limit) {
		const words = `That is too large: ${Math.ceil(length / 1024 / 1024)} MB, and at most ${Math.floor(limit / 1024 / 1024)} MB can be sent at once.`;
		const json = /json/.test(request.headers['content-type'] ?? '');
		const answer = () => {
			const type = json ? 'application/json' : 'text/plain; charset=utf-8';
			response.writeHead(413, { 'content-type': type, connection: 'close' });
			response.end(json ? JSON.stringify({ message: words }) : words);
		};
		// Whoever is still sending does not hear an answer: what comes is thrown away first, within reason.
		request.resume();
		if (length > 10 * limit) answer();
		else request.once('end', answer);
		return;
	}
	if (!readable(request.url ?? '/')) {
		response.writeHead(400, { 'content-type': 'text/plain; charset=utf-8' });
		response.end('That address cannot be read. Check it, or start from the Shelf.');
		return;
	}
	const called = request.headers.host ?? '';
	if (open && !ownOrigin) request.headers['x-bright-tally-protocol'] = 'http';
	if (!ownOrigin && !(open ? isOwnName(called) : own.has(called))) {
		// A page elsewhere that gave this machine's address a name of its own gets nothing.
		response.writeHead(421, { 'content-type': 'text/plain; charset=utf-8' });
		response.end(
			open
				? 'This server answers to its address and its own name only. HOST_NAMES lists more names.'
				: `This server answers to http://127.0.0.1:${port} only.`
		);
		return;
	}
	// localhost and 127.0.0.1 are the same machine: forms posted from either are our own.
	else if (!open && !ownOrigin && request.headers.origin === `http://${called}`)
		request.headers.origin = process.env.ORIGIN;
	// Whatever is answered, what leads elsewhere too.
	response.setHeader('x-content-type-options', 'nosniff');
	response.setHeader('referrer-policy', 'same-origin');
	if (secure) response.setHeader('strict-transport-security', 'max-age=31536000');
	compress(request, response, () => handler(request, response));
});

// Connections beyond this are closed at once: each holds memory, whoever asks for nothing too.
server.maxConnections = 4 * most;

server.on('error', (error) => {
	stop(
		error.code === 'EADDRINUSE'
			? `Port ${port} is taken. Stop what runs there, or choose another: npm run demo -- --port ${port + 1}`
			: error.message
	);
});
server.listen(port, host, () => {
	console.log(`Bright Tally is at http://127.0.0.1:${port}`);
	void warm();
});

/** Asks for what is looked at first, so that whoever comes first does not wait for all that is read once. */
async function warm() {
	const name = host === '::1' ? '[::1]' : '127.0.0.1';
	const warming = globalThis[Symbol.for('bright-tally.warming')];
	for (const path of ['/shelf', '/bench', '/quotes', '/quick', '/stockroom']) {
		if (closing) return;
		const headers = { 'x-tally-warming': warming?.key ?? '' };
		const answer = await fetch(`http://${name}:${port}${path}`, { headers }).catch(() => undefined);
		await answer?.arrayBuffer().catch(() => undefined);
	}
	if (warming) delete warming.key;
}

for (const signal of ['SIGTERM', 'SIGINT']) {
	process.on(signal, () => {
		if (closing) return;
		closing = true;
		server.close(async () => {
			process.emit('sveltekit:shutdown', signal);
			await globalThis[Symbol.for('bright-tally.stop')]?.();
			process.exit(0);
		});
		server.closeIdleConnections();
		setTimeout(() => server.closeAllConnections(), 3000).unref();
	});
}
