/** Pixels of the longer side a photo is sent with; under it, and small enough, it is sent as it is. */
const LONG_SIDE = 1800;
const LIGHT = 1_500_000;

/**
 * A photo made small enough to look at anywhere, in the browser, before it is sent: upright, as a JPEG, without what
 * the camera wrote beside it. What the browser cannot read is sent as it is, for the server to say what is wrong.
 */
export async function smaller(file: File): Promise<File> {
	const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined);
	if (!bitmap) return file;
	const scale = LONG_SIDE / Math.max(bitmap.width, bitmap.height);
	if (scale >= 1 && file.size <= LIGHT) return file;
	const [width, height] = [bitmap.width, bitmap.height].map((v) =>
		Math.max(1, Math.round(v * Math.min(1, scale)))
	);
	const canvas = new OffscreenCanvas(width!, height!);
	const context = canvas.getContext('2d');
	if (!context) return file;
	context.fillStyle = '#ffffff';
	context.fillRect(0, 0, width!, height!);
	context.drawImage(bitmap, 0, 0, width!, height!);
	bitmap.close();
	const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.86 });
	return new File([blob], 'photo.jpg', { type: 'image/jpeg' });
}
