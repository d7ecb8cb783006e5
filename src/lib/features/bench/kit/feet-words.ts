import { formatFeet, mm } from '../../../core/units/length.ts';
export const feetWords = (length: number): string => formatFeet(mm(length));
