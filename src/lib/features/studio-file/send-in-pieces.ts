/** Bytes sent at once: less than any server or proxy refuses. */
export const PIECE = 2 * 1024 * 1024;
/** How often a piece is tried again. */
const TRIES = 4;

/**
 * Sends a file to an address in pieces. What was lost on the way is sent again; the address says how much of it is there.
 * @param told how much of it is there, bytes
 * @throws {Error} with a sentence
 */
export async function sendInPieces(
	file: Blob,
	address: string,
	id: string,
	told: (bytes: number) => void,
	send: typeof fetch = fetch
): Promise<void> {
	let here = 0;
	let tried = 0;
	do {
		const answer = await send(`${address}?id=${id}&from=${here}`, {
			method: 'POST',
			headers: { 'content-type': 'application/octet-stream' },
			body: file.slice(here, here + PIECE)
		}).catch(() => undefined);
		if (answer?.ok) {
			const before = here;
			({ here } = (await answer.json()) as { here: number });
			if (here > before) tried = 0;
			else tried++;
			told(here);
		} else if (answer && answer.status < 500) {
			const said = (await answer.json().catch(() => undefined)) as { message?: string } | undefined;
			throw new Error(said?.message ?? 'The file was not taken.');
		} else tried++;
		if (tried > TRIES) throw new Error('The server does not answer. Try again: what was sent is kept.');
		if (tried > 0) await new Promise((resolve) => setTimeout(resolve, 300 * tried));
	} while (here < file.size);
}
