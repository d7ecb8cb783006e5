/** A name as a file may carry it everywhere: small letters and figures, the rest as hyphens. */
export const fileName = (name: string, otherwise: string): string =>
	name
		.normalize('NFKD')
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-|-$/g, '') || otherwise;
