import { printSpell } from '../../core/job/counted.ts';
import { formatMoney, money, type Currency } from '../../core/money/money.ts';
import type { Cell, Unit } from '../../core/numbers/answer.ts';
import type { NumberStyle } from '../../core/units/number.ts';

/** Figures of an answer as they are written on the screen. */
export function cellWords(currency: Currency, style: NumberStyle) {
	const minus = (n: number, text: string) => (n < 0 ? `−${text}` : text);
	const rounded = (n: number) => String(Math.round(Math.abs(n) * 10) / 10).replace('.', style.decimal);
	return (cell: Cell, unit: Unit): string => {
		if (cell === null) return 'not known';
		if (typeof cell === 'string') return cell;
		const plain = Math.abs(cell);
		switch (unit) {
			case 'money':
				return minus(cell, formatMoney(money(Math.round(plain), currency), style));
			case 'percent':
				return minus(cell, `${rounded(cell)} %`);
			case 'share':
				return minus(cell, `${rounded(cell * 100)} %`);
			case 'hours':
				return minus(cell, printSpell(plain));
			default:
				return minus(cell, rounded(cell));
		}
	};
}
