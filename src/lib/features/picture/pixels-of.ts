/** Larger than any photo of a phone or camera: opening it would take the machine's memory. */
const MOST_BYTES = 40 * 1024 * 1024;

/** The pixels of a photo, no larger than it is looked at. @throws where the browser cannot open it */
export async function pixelsOf(file: Blob, most: number): Promise<ImageData> {
	if (file.size > MOST_BYTES) throw new Error(NO_PHOTO);
	const bitmap = await createImageBitmap(file);
	const scale = Math.min(1, most / Math.max(bitmap.width, bitmap.height));
	const [width, height] = [bitmap.width, bitmap.height].map((v) => Math.max(1, Math.round(v * scale))) as [number, number]; // prettier-ignore
	const canvas = new OffscreenCanvas(width, height);
	const pen = canvas.getContext('2d')!;
	pen.drawImage(bitmap, 0, 0, width, height);
	bitmap.close();
	return pen.getImageData(0, 0, width, height);
}

/** What is said of a file that is no photo. */
export const NO_PHOTO = 'That photo could not be opened here. Save it as JPEG or PNG of at most 40 MB.';
