import type { FollowOnRule } from '../document/rule.ts';
import type { PackPrice } from '../materials/counting-pack.ts';
import type { JobRates } from '../labour/job.ts';
import { crewOf, type Crew, type Person } from '../labour/people.ts';
import type { Standards } from '../labour/standards.ts';
import type { Currency } from '../money/money.ts';
import type { PriceTerms } from '../pricing/terms.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { ONE, rational, type Rational, type RationalText } from '../units/rational.ts';

/** The workspace's figures that every cost and price reads. */
export interface Rates {
	readonly currency: Currency;
	/** Loaded labour, minor units an hour, where nobody is named. */
	readonly labourPerHour: number;
	/** Who works here, and who usually does. */
	readonly people: readonly Person[];
	/** Ids of those on a usual job. */
	readonly crew: readonly string[];
	/** What each of several does of what they do alone, per cent; nothing is all of it. */
	readonly together?: RationalText | undefined;
	readonly overhead:
		| { readonly kind: 'hour'; readonly minor: number }
		/** Per cent of materials and labour. */
		| { readonly kind: 'percent'; readonly percent: RationalText };
	/** What balloons cost a job: the pieces it takes, or every bag it opens. */
	readonly counting: 'piece' | 'bag';
	/** Which of the prices of a material counts; nothing is the cheapest. */
	readonly packPrice?: PackPrice | undefined;
	readonly defaultLoss: RationalText;
	/** What the studio gets off list prices, and the tax on them it cannot reclaim; per cent. Nothing is none. */
	readonly purchases?: { readonly discount: RationalText; readonly tax: RationalText } | undefined;
	/** Chance that the spares are enough, 0 to under 1. */
	readonly service: number;
	readonly standards: Standards;
	/** What a job takes around its pieces. */
	readonly jobs: JobRates;
	readonly rules: readonly FollowOnRule[];
	readonly pumps: readonly PumpProfile[];
	readonly price: PriceTerms;
}

/** Who is on a job, with what an hour of theirs comes to. @param ids those on this one; null is the usual crew */
export function crewFor(
	{ people, crew, labourPerHour, together }: Pick<Rates, 'people' | 'crew' | 'labourPerHour' | 'together'>,
	ids: readonly string[] | null = null
): Crew {
	const wanted = ids ?? crew;
	return crewOf(
		people.filter((p) => wanted.includes(p.id)),
		labourPerHour,
		together
	);
}

/** What a list price comes to for the studio: so many times of it. */
export function paidOf({ purchases }: Pick<Rates, 'purchases'>): Rational {
	if (!purchases) return ONE;
	const part = (percent: string) => rational(percent).div(100);
	return ONE.sub(part(purchases.discount)).mul(part(purchases.tax).add(1));
}
