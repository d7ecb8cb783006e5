import type { FollowOnRule } from '../document/rule.ts';
import type { Standards } from '../labour/standards.ts';
import type { Currency } from '../money/money.ts';
import type { PriceTerms } from '../pricing/terms.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import type { RationalText } from '../units/rational.ts';

/** The workspace's figures that every cost and price reads. */
export interface Rates {
	readonly currency: Currency;
	/** Loaded labour, minor units an hour. */
	readonly labourPerHour: number;
	readonly overhead:
		| { readonly kind: 'hour'; readonly minor: number }
		/** Per cent of materials and labour. */
		| { readonly kind: 'percent'; readonly percent: RationalText };
	/** What balloons cost a job: the pieces it takes, or every bag it opens. */
	readonly counting: 'piece' | 'bag';
	readonly defaultLoss: RationalText;
	/** Chance that the spares are enough, 0 to under 1. */
	readonly service: number;
	readonly standards: Standards;
	readonly rules: readonly FollowOnRule[];
	readonly pumps: readonly PumpProfile[];
	readonly price: PriceTerms;
}
