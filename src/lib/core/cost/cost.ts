import { isMaterialKey } from '../materials/material-key.ts';
import type { Bill, BillLine, BillPaid } from '../bom/bill.ts';
import { secondsByGroup, type TimedTask } from '../labour/standards.ts';
import type { TaskGroup } from '../labour/task.ts';
import { costOfPacks, countingPack } from '../materials/counting-pack.ts';
import { unitCost } from '../materials/unit-cost.ts';
import { money, rounded, total, type Money } from '../money/money.ts';
import { mixed, ONE, rational, ZERO, type Rational } from '../units/rational.ts';
import { join, nothing, plus, type Amount } from './amount.ts';
import type { LineRole } from '../document/line-role.ts';
import { crewFor, paidOf, type Rates } from './rates.ts';

/** A line of the tape; `amount` undefined is an unknown cost. */
export interface CostLine {
	readonly key: string;
	readonly label: string;
	readonly count: string;
	readonly amount: Money | undefined;
	/** What makes it up. */
	readonly parts: readonly CostPart[];
}

export interface CostPart {
	readonly label: string;
	readonly count: string;
	readonly amount: Money | undefined;
}

export interface LabourLine {
	readonly group: TaskGroup;
	readonly seconds: Rational;
	readonly amount: Money;
	readonly tasks: readonly TimedTask[];
}

export interface AsideLine extends CostLine {
	readonly role: LineRole;
}

/** The cost of a bill and its labour, by the sections of the tape. Payment fees are never in it. */
export interface Cost {
	readonly materials: readonly CostLine[];
	readonly materialsTotal: Amount;
	/** The same materials the other way of counting, for comparison. */
	readonly otherCounting: Amount;
	readonly frame: readonly CostLine[];
	readonly frameTotal: Amount;
	/** What is taken along, reused or left over: no part of the total. The amount is what it comes to if used. */
	readonly aside: readonly AsideLine[];
	/** What estimated counts may take off the total and put on it; null where nothing is estimated. */
	readonly spread: { readonly less: Money; readonly more: Money } | null;
	readonly labour: readonly LabourLine[];
	readonly labourTotal: Money;
	readonly seconds: Rational;
	readonly overhead: Money;
	/** Whether overhead goes by hours of labour, not by per cent of materials and labour. */
	readonly byHour: boolean;
	readonly total: Amount;
}

/**
 * Materials used + expected loss + consumables + share of reusables + labour at loaded rates + overhead.
 * Every line is rounded once; every total is the sum of its lines.
 */
export function cost(bill: Bill, tasks: readonly TimedTask[], rates: Rates): Cost {
	// Something reused wears: its share of a use is a cost, though nothing is bought.
	const isCharged = (l: BillLine) => l.role === 'always' || (l.role === 'reused' && l.material?.reuse);
	const used = bill.lines.filter(isCharged);
	const bought = used.filter((l) => !l.material?.reuse && !isUpright(l));
	const shared = used.filter((l) => l.material?.reuse || isUpright(l));
	const besides = bill.paid.map((p) => paidLine(p, rates));
	const byPiece = [...bought.map((l) => pieceLine(l, rates)), ...lossLine(bought, rates), ...besides];
	const byBag = [...bought.map((l) => bagLine(l, rates)), ...besides];
	const [materials, other] = rates.counting === 'piece' ? [byPiece, byBag] : [byBag, byPiece];
	const frame = shared.map((l) => pieceLine(l, rates));
	const aside = bill.lines
		.filter((l) => !isCharged(l))
		.map((line): AsideLine => ({ ...pieceLine(line, rates), role: line.role }));
	const { perHour } = crewFor(rates);
	const labour = secondsByGroup(tasks).map(({ group, seconds, tasks: own }): LabourLine => ({
		group,
		seconds,
		amount: rounded(seconds.mul(perHour).div(3600), rates.currency),
		tasks: own
	}));
	const seconds = labour.reduce((a, l) => a.add(l.seconds), ZERO);
	const materialsTotal = sumLines(materials, rates);
	const frameTotal = sumLines(frame, rates);
	const labourTotal = total(
		rates.currency,
		labour.map((l) => l.amount)
	);
	const overhead = overheadOf(materialsTotal, labourTotal, seconds, rates);
	const made = plus(plus(nothing(rates.currency), labourTotal, 'labour'), overhead, 'overhead');
	return {
		materials,
		materialsTotal,
		otherCounting: sumLines(other, rates),
		frame,
		frameTotal,
		aside,
		spread: spreadOf(used, tasks, rates),
		labour,
		labourTotal,
		seconds,
		overhead,
		byHour: rates.overhead.kind === 'hour',
		total: join(join(materialsTotal, frameTotal), made)
	};
}

/** What estimated counts come to at both ends, materials and the work on them; lines of unknown cost left out. */
function spreadOf(lines: readonly BillLine[], tasks: readonly TimedTask[], rates: Rates): Cost['spread'] {
	const { currency, overhead } = rates;
	const estimated = lines.filter((l) => l.estimate !== null);
	if (estimated.length === 0 && lines.every((l) => !l.either)) return null;
	const hour = crewFor(rates).perHour.add(overhead.kind === 'hour' ? overhead.minor : 0);
	const work = (of: 'less' | 'more') =>
		tasks
			.reduce((a, t) => a.add(t[of]), ZERO)
			.mul(hour)
			.div(3600);
	let [less, more] = [work('less'), work('more')];
	for (const { material, estimate, used, lost } of estimated) {
		const piece = material && unitCost(material);
		if (!piece || !estimate) continue;
		// What is lost goes with what is used.
		const each = (used.equals(0) ? piece : piece.mul(used.add(lost).div(used))).mul(paidOf(rates));
		less = less.add(each.mul(used.sub(estimate.low)));
		more = more.add(each.mul(estimate.high.sub(used)));
	}
	for (const { material, either = [], used, lost } of lines)
		for (const other of either) {
			const [own, instead] = [material, other.material].map((m) => m && unitCost(m));
			if (!own || !instead) continue;
			const goes = (used.equals(0) ? ONE : used.add(lost).div(used)).mul(other.quantity).mul(paidOf(rates));
			const change = instead.sub(own).mul(goes);
			if (change.compare(ZERO) < 0) less = less.sub(change);
			else more = more.add(change);
		}
	const over = overhead.kind === 'percent' ? rational(overhead.percent).div(100).add(1) : ONE;
	return { less: rounded(less.mul(over), currency), more: rounded(more.mul(over), currency) };
}

/** An upright whose stand is not chosen yet belongs to the frame, though its cost is unknown. */
const isUpright = (line: BillLine) =>
	!line.balloon &&
	(line.material?.kind === 'pipe' ||
		line.material?.kind === 'base' ||
		(line.status === 'open' && isMaterialKey(line.key)));

/** Lines are in the workspace's currency, each rounded already: their sum is a sum of whole numbers. */
function sumLines(lines: readonly CostLine[], { currency }: Rates): Amount {
	let minor = 0;
	const unknown: string[] = [];
	for (const { key, amount, label } of lines) {
		if (amount) minor += amount.minor;
		// Losses of unknown cost are losses of lines that are named already.
		else if (key !== LOSS) unknown.push(label);
	}
	return { known: money(minor, currency), unknown };
}

/** Says what a list price became. */
const paidPart = ({ discount, tax }: NonNullable<Rates['purchases']>): CostPart => ({
	label: [
		...(rational(discount).equals(0)
			? []
			: [`${percentText(rational(discount).valueOf() / 100)} off for you`]),
		...(rational(tax).equals(0) ? [] : [`${percentText(rational(tax).valueOf() / 100)} tax you pay on it`])
	].join(', '),
	count: '',
	amount: undefined
});

const print = mixed;
const isGas = ({ material }: BillLine): boolean => material?.kind === 'gas';

/** Pieces as whole numbers and fractions; what is measured in a unit of its own, in that: `94.1 L`, `32 ft`. */
export const quantityText = (quantity: Rational, unit = 'piece'): string =>
	unit === 'piece' ? print(quantity) : `${Math.round(quantity.valueOf() * 10) / 10} ${unit}`;

function pieceLine(line: BillLine, rates: Rates): CostLine {
	const { currency } = rates;
	const paid = paidOf(rates);
	const each = line.material && unitCost(line.material);
	const pack = line.material && countingPack(line.material);
	// What is lost of a gas never reached a balloon: a litre used costs what it took to get it there.
	const taken = isGas(line) ? line.used.add(line.lost) : line.used;
	const amount = each && rounded(each.mul(taken).mul(paid), currency);
	const parts: CostPart[] = line.where.map((w) => ({
		label: w.label,
		count: quantityText(w.quantity, line.unit),
		amount: undefined
	}));
	if (isGas(line) && !line.lost.equals(0))
		parts.push({
			label: `lost, ${percentText(line.loss)} of the cylinder`,
			count: quantityText(line.lost, line.unit),
			amount: undefined
		});
	if (pack && line.material?.reuse) {
		const { uses } = line.material.reuse;
		parts.push({
			label: `one of ${uses} uses of`,
			count: '',
			amount: rounded(rational(pack.priceMinor, pack.count), currency)
		});
	} else if (pack) {
		parts.push({
			label: `${pack.supplier}, pack of`,
			count: String(pack.count),
			amount: money(pack.priceMinor, currency)
		});
	}
	if (pack?.depositMinor) {
		// Lent, not spent: it is told, and no part of the cost.
		const packs = Math.max(1, Math.ceil(taken.valueOf() / pack.count));
		parts.push({
			label: `deposit on ${packs}, comes back`,
			count: '',
			amount: money(packs * pack.depositMinor, currency)
		});
	}
	if (rates.purchases && !paid.equals(1)) parts.push(paidPart(rates.purchases));
	return { key: line.key, label: line.label, count: quantityText(taken, line.unit), amount, parts };
}

/** Money is what it is: nothing is got off it, and nothing of it is lost. */
const paidLine = ({ key, label, minor, quantity }: BillPaid, { currency }: Rates): CostLine => ({
	key,
	label,
	count: quantityText(quantity),
	amount: rounded(quantity.mul(minor), currency),
	parts: quantity.equals(1) ? [] : [{ label: 'each', count: '', amount: money(minor, currency) }]
});

/** What losses are expected to cost: rate × used of every line, rounded once together. Spares that survive cost nothing. */
function lossLine(lines: readonly BillLine[], rates: Rates): CostLine[] {
	const { currency } = rates;
	const lossy = lines.filter((l) => !isGas(l) && !l.lost.equals(0));
	if (lossy.length === 0) return [];
	const exact = lossy.map((line) => ({ line, minor: lossCost(line, rates) }));
	const known = exact.reduce((a, e) => (e.minor ? a.add(e.minor) : a), ZERO);
	const parts = exact.map(({ line, minor }): CostPart => ({
		label: `${line.label}, loss ${percentText(line.loss)}`,
		count: aboutText(line.lost),
		amount: minor && rounded(minor, currency)
	}));
	const count = aboutText(lossy.reduce((a, l) => a.add(l.lost), ZERO));
	const amount = exact.every((e) => e.minor === undefined) ? undefined : rounded(known, currency);
	return [{ key: LOSS, label: 'expected loss', count, amount, parts }];
}

/** The line of losses, by its key. */
export const LOSS = 'loss';

/** Exact minor units of what is expected to be lost of a line; undefined where a piece has no price. */
export function lossCost(
	{ material, lost }: BillLine,
	rates: Pick<Rates, 'purchases'> = {}
): Rational | undefined {
	return material && unitCost(material)?.mul(lost).mul(paidOf(rates));
}

/** An expected number, to a tenth: `2.4`. */
const aboutText = (value: Rational): string => String(Math.round(value.valueOf() * 10) / 10);

const percentText = (share: number): string => `${Math.round(share * 1000) / 10} %`;

function bagLine(line: BillLine, rates: Rates): CostLine {
	const { currency } = rates;
	const pack = line.material && countingPack(line.material);
	const bags = pack && Math.ceil(line.toBuy / pack.count);
	const amount =
		pack && bags !== undefined ? rounded(paidOf(rates).mul(costOfPacks(pack, bags)), currency) : undefined;
	const parts = pack
		? [{ label: `${pack.supplier}, packs of ${pack.count}`, count: String(bags), amount }]
		: [];
	return {
		key: line.key,
		label: line.label,
		count: bags === undefined ? '—' : `${bags} ${bags === 1 ? 'bag' : 'bags'}`,
		amount,
		parts
	};
}

function overheadOf(
	materials: Amount,
	labour: Money,
	seconds: Rational,
	{ overhead, currency }: Rates
): Money {
	if (overhead.kind === 'hour') return rounded(seconds.mul(overhead.minor).div(3600), currency);
	return rounded(
		rational(overhead.percent)
			.div(100)
			.mul(materials.known.minor + labour.minor),
		currency
	);
}
