import type { FrozenLine } from './frozen.ts';

/** How a line is called where its colours stand beside its name: `Hive column, honey`. */
export const lineName = ({ name, colourway }: Pick<FrozenLine, 'name' | 'colourway'>): string =>
	[name, colourway].filter(Boolean).join(', ');
