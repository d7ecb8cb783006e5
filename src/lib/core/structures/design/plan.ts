import { rational } from '../../units/rational.ts';
import type { PlanFacet } from '../facets/plan.ts';
import type { DesignUse } from './document.ts';

export const plan: PlanFacet<DesignUse> = {
	last: false,
	steps({ design, quantity }, kit) {
		const name = kit.context.library(design)?.name ?? 'a design that is not kept';
		const each = rational(quantity).valueOf();
		return [kit.made('design', `Build ${kit.all * each} × ${name}: its own plan stands below.`)];
	}
};
