import type { DateStyle } from './formats.ts';
import type { Rates } from '../cost/rates.ts';

/** What a business says of itself on its papers. */
export interface Business {
	readonly name: string;
	readonly address: string;
	readonly email: string;
	readonly phone: string;
	/** Terms that stand under every quote. */
	readonly terms: string;
	/** Up to three letters that stand for it, and their ground, `#rrggbb`; most say nothing. */
	readonly mark?: string | undefined;
	readonly colour?: string | undefined;
}

/** Everything an owner sets once. */
export interface Settings {
	readonly business: Business;
	/** IANA name; new quotes start with it. */
	readonly zone: string;
	readonly decimal: '.' | ',';
	readonly dates: DateStyle;
	/** What lengths are asked and shown in where nobody says a unit. */
	readonly lengths: 'in' | 'cm';
	/** Whether the first questions were answered or skipped. */
	readonly welcomed: boolean;
	readonly rates: Rates;
}
