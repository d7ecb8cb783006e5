import { LARGEST_PHOTO, readPhoto, type Photo } from '../../core/photo/read-photo.ts';
import { pictureTrouble } from './picture-trouble.ts';
import type { Work } from './pool.ts';

/** The photo that a form sent, without what the camera wrote beside it; or a sentence about what was sent. */
export async function takenPhoto(file: unknown, work: Work): Promise<Photo | string> {
	if (!(file instanceof File) || file.size === 0) return 'Choose a photo.';
	if (file.size > LARGEST_PHOTO)
		return 'That photo is over 10 MB. Send a smaller one: phones offer a size when sharing.';
	const read = readPhoto(new Uint8Array(await file.arrayBuffer()));
	if (!read.ok) return read.say;
	return (await pictureTrouble(work, read.photo)) || read.photo;
}
