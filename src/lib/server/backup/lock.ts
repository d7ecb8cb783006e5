import { Decrypter, Encrypter } from 'age-encryption';
import { createReadStream, createWriteStream } from 'node:fs';
import { open } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';

/** Fewer letters are guessed. */
export const SHORTEST_PASSPHRASE = 12;
/** Written behind the name of what is locked. */
export const LOCKED = '.age';
/** 2^16 rounds of scrypt with 8 blocks of 1 KB: some 64 MB and a quarter of a second for each guess. */
const WORK = 16;

export class WrongPassphrase extends Error {}

/**
 * Locks a file with a passphrase, in the open age format (age-encryption.org/v1: scrypt, ChaCha20-Poly1305): any tool that
 * knows it opens it too.
 */
export async function lockFile(from: string, to: string, passphrase: string): Promise<void> {
	const locker = new Encrypter();
	locker.setScryptWorkFactor(WORK);
	locker.setPassphrase(passphrase);
	const source = Readable.toWeb(createReadStream(from)) as globalThis.ReadableStream<Uint8Array>;
	const locked = (await locker.encrypt(source)) as unknown as ReadableStream;
	await pipeline(Readable.fromWeb(locked), createWriteStream(to, { mode: 0o600 }));
}

/** @throws {WrongPassphrase} where it does not open; where it was changed an error, after some of it was written */
export async function unlockFile(from: string, to: string, passphrase: string): Promise<void> {
	const opener = new Decrypter();
	opener.addPassphrase(passphrase);
	const source = Readable.toWeb(createReadStream(from)) as globalThis.ReadableStream<Uint8Array>;
	let open: ReadableStream;
	try {
		open = (await opener.decrypt(source)) as unknown as ReadableStream;
	} catch (cause) {
		throw new WrongPassphrase('That passphrase does not open it.', { cause });
	}
	await pipeline(Readable.fromWeb(open), createWriteStream(to, { mode: 0o600 }));
}

/** Whether a file is locked, by its first line. */
export async function isLocked(file: string): Promise<boolean> {
	const head = 'age-encryption.org/';
	const handle = await open(file, 'r');
	try {
		const { buffer, bytesRead } = await handle.read(Buffer.alloc(head.length), 0, head.length, 0);
		return buffer.subarray(0, bytesRead).toString('latin1') === head;
	} finally {
		await handle.close();
	}
}
