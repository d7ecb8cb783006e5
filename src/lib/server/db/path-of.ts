/** Path of a local database; undefined of one at an address. */
export const pathOf = (url: string): string | undefined =>
	url.startsWith('file:') ? url.slice('file:'.length).replace(/^\/\//, '') : undefined;
