import { may, type Actor } from './actor.ts';

/** Figures that say what something costs, earns or is sold for, by the names they have in plain data. */
const FIGURES: ReadonlySet<string> = new Set([
	'margin',
	'markup',
	'profit',
	'fees',
	'net',
	'each',
	'price',
	'cost'
]);

const isMoney = (value: object): boolean =>
	'minor' in value && 'currency' in value && Object.keys(value).length === 2;

/**
 * Plain data as somebody may see it: for who may not see money every amount, and every figure by which it could be worked
 * out, is null. What is no plain data (bytes of a paper) is left as it is.
 */
export const seenBy = <T>(actor: Actor, data: T): T =>
	may(actor, 'money') ? data : (withoutMoney(data) as T);

function withoutMoney(value: unknown): unknown {
	if (Array.isArray(value)) return value.map(withoutMoney);
	if (typeof value !== 'object' || value === null) return value;
	if (Object.getPrototypeOf(value) !== Object.prototype) return value;
	if (isMoney(value)) return null;
	return Object.fromEntries(
		Object.entries(value).map(([name, own]) => [
			name,
			FIGURES.has(name) || name.endsWith('Minor') ? null : withoutMoney(own)
		])
	);
}
