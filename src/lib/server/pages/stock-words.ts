import { rational } from '../../core/units/rational.ts';
import type { Material } from '../../core/materials/material.ts';

/** What a piece costs, in hundredths of the money: to a tenth of one. */
export const eachText = (hundredths: number): string => (hundredths / 100).toFixed(3);

/** `7 %`, `2.5 %` */
export const percent = (share: number): string => `${Math.round(share * 1000) / 10} %`;

/** A share of loss that was learned against the one that counts: in hundredths of a per cent, and whether it is another. */
export const newsOf = (learned: number, counts: number) => ({ hundredths: Math.round(learned * 10_000), isNews: Math.abs(learned - counts) >= 0.0005 }); // prettier-ignore

/** The share that counts of a material. @param usual 0 to under 1 */
export const countedLoss = (m: Pick<Material, 'kind' | 'loss'>, usual: number): number =>
	m.loss === null ? saidLoss(m, usual) : rational(m.loss).valueOf();

/** The share lost before anything was counted: what the business says of what can burst. @param usual 0 to under 1 */
export const saidLoss = ({ kind }: Pick<Material, 'kind'>, usual: number): number =>
	/^(latex|foil|modelling)/.test(kind) ? usual : 0;
