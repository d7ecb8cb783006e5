import type { Pack } from '../materials/material.ts';

/** What of a pack a list can say. */
export interface SaidOfPack {
	readonly code: string;
	readonly suppliersName: string;
	readonly count: number;
	/** Minor units; null is not known. */
	readonly priceMinor: number | null;
	readonly depositMinor: number | null;
}

/** A pack as it is now, in the words of a list. */
export const saidNow = ({ code = '', suppliersName = '', count, priceMinor, depositMinor = null }: Pick<Pack, 'code' | 'suppliersName' | 'count' | 'priceMinor' | 'depositMinor'>): SaidOfPack => ({ code, suppliersName, count, priceMinor, depositMinor }); // prettier-ignore

export const isSamePrice = (a: Pick<SaidOfPack, 'count' | 'priceMinor'>, b: Pick<SaidOfPack, 'count' | 'priceMinor'>): boolean => a.count === b.count && a.priceMinor === b.priceMinor; // prettier-ignore

export const isSamePack = (a: SaidOfPack, b: SaidOfPack): boolean =>
	isSamePrice(a, b) && a.code === b.code && a.suppliersName === b.suppliersName && a.depositMinor === b.depositMinor; // prettier-ignore
