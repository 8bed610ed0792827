// A picture made small enough to be kept.

/** Longest side, pixels; quality of the JPEG. */
const longest = 1280;
const quality = 0.82;

/** The size of a picture that is to be no longer than that; never larger than it is. */
function fittedSize(width: number, height: number, most = longest): { width: number; height: number } {
	const share = Math.min(1, most / Math.max(1, width, height));
	return { width: Math.max(1, Math.round(width * share)), height: Math.max(1, Math.round(height * share)) };
}

/**
 * A picture as a JPEG of at most 1,280 pixels a side.
 *
 * @throws {Error} the browser cannot read it
 */
export async function scaledDown(picture: Blob): Promise<Blob> {
	const bitmap = await createImageBitmap(picture);
	try {
		const { width, height } = fittedSize(bitmap.width, bitmap.height);
		const canvas = new OffscreenCanvas(width, height);
		const context = canvas.getContext('2d');
		if (!context) throw new Error('no canvas');
		context.drawImage(bitmap, 0, 0, width, height);
		return await canvas.convertToBlob({ type: 'image/jpeg', quality });
	} finally {
		bitmap.close();
	}
}
