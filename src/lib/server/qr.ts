import { toSVG } from 'bwip-js/node';

/** A text as a square of dots that a camera reads (ISO/IEC 18004), as the address of a picture. */
export const qrOf = (text: string): string =>
	`data:image/svg+xml,${encodeURIComponent(toSVG({ bcid: 'qrcode', text, scale: 3 }))}`;
