import { rational, rationalText, ZERO } from '../units/rational.ts';
import { loaded, type Person } from './people.ts';

/**
 * People as somebody may see them who prices work and need not know what each helper is paid: the helpers of a crew share
 * out evenly what they cost together, so every figure of that crew stays what it is. The owner’s own hour stays, because
 * prices are made with it; whoever is not of the crew costs nothing here.
 * @param crew ids of who does the work that is looked at
 */
export function withoutWages(people: readonly Person[], crew: readonly string[]): Person[] {
	const helps = (p: Person) => !p.isOwner && crew.includes(p.id);
	const helpers = people.filter(helps);
	const share = helpers.reduce((a, p) => a.add(loaded(p)), ZERO).div(Math.max(1, helpers.length));
	const wage = Math.max(1, Math.floor(share.valueOf()));
	const onCosts = rationalText(share.div(rational(wage)).sub(1).mul(100));
	return people.map((p) => {
		if (p.isOwner) return p;
		return helps(p) ? { ...p, wage, onCosts } : { ...p, wage: 0, onCosts: '0' };
	});
}
