import type { JobCost } from '../cost/job-cost.ts';
import type { Money } from '../money/money.ts';
import type { Basis } from './basis.ts';
import type { Order } from './price.ts';
import type { Way } from './terms.ts';

const known = (amount: Money) => ({ known: amount, unknown: [] });

/**
 * Pieces as a job: the work around it is priced with them, the road is its delivery.
 * @param way the order is priced by @param basis what the road and the rest may be priced from
 * @param delivery its charge as it was said, null is priced from what it costs; and that cost, where it is another than the road's
 */
export function jobOrder(
	lines: Order['lines'],
	job: JobCost,
	way: Way,
	basis: { readonly road: Basis; readonly rest: Basis },
	delivery: { readonly charge: Money | null; readonly cost: Money | null } = { charge: null, cost: null }
): Order {
	const { charge, cost } = delivery;
	return {
		lines,
		delivery: { charge, cost: known(cost ?? job.road), way, ...(cost === null && { basis: basis.road }) },
		job: lines.length > 0 ? { cost: known(job.rest), way, basis: basis.rest } : null
	};
}
