import type { Rates } from '../cost/rates.ts';

/** What a business says of itself on its papers. */
export interface Business {
	readonly name: string;
	readonly address: string;
	readonly email: string;
	readonly phone: string;
	/** Terms that stand under every quote. */
	readonly terms: string;
}

/** Everything an owner sets once. */
export interface Settings {
	readonly business: Business;
	/** IANA name; new quotes start with it. */
	readonly zone: string;
	readonly decimal: '.' | ',';
	readonly rates: Rates;
}
