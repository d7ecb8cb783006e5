import type { CostLine } from '../cost/cost.ts';
import type { Method, Task } from '../labour/task.ts';
import type { MaterialKind } from '../materials/material.ts';
import type { Money } from '../money/money.ts';
import type { LineRole } from '../document/line-role.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { rationalText, type RationalText } from '../units/rational.ts';
import type { Finding } from '../checks/finding.ts';
import type { Tally } from './tally.ts';

export const REPORT_FORMAT = 'bright-tally/tally';
export const REPORT_VERSION = 1;

/** A tally as a document: plain data, quantities as exact fractions, money in whole minor units. */
export interface TallyReport {
	readonly format: typeof REPORT_FORMAT;
	readonly version: typeof REPORT_VERSION;
	readonly design: string;
	readonly colourway: string;
	readonly size: string | null;
	readonly quantity: number;
	readonly balloons: number;
	readonly toBuy: readonly {
		readonly material: string | null;
		readonly label: string;
		readonly kind: MaterialKind | null;
		readonly used: RationalText;
		/** Share lost a piece. */
		readonly loss: number;
		readonly spares: number;
		readonly toBuy: number;
		readonly status: 'listed' | 'unlisted' | 'open';
		readonly role: LineRole;
		readonly estimate: { readonly low: RationalText; readonly high: RationalText } | null;
		readonly where: readonly { readonly label: string; readonly quantity: RationalText }[];
	}[];
	readonly toInflate: readonly {
		readonly quantity: RationalText;
		/** As it stands on the bag: inches, the model of a modelling balloon, the name of a foil. */
		readonly bag: string;
		/** Inches, lengths or a look. */
		readonly size: string;
		readonly gas: 'air' | 'helium';
		readonly method: Method;
		readonly colour: string | null;
		readonly slot: string;
		readonly where: string;
	}[];
	readonly tasks: readonly {
		readonly task: Task;
		/** How it is brought to size; null where that is no question. */
		readonly method: Method | null;
		readonly count: number;
		readonly batches: number;
		readonly seconds: number;
	}[];
	readonly cost: {
		readonly currency: string;
		readonly lines: readonly {
			readonly group: string;
			readonly label: string;
			readonly count: string;
			readonly minor: number | null;
		}[];
		readonly labourMinor: number;
		readonly overheadMinor: number;
		/** What is known of it; `unknown` names what is not in it. */
		readonly totalMinor: number;
		readonly unknown: readonly string[];
	};
	readonly price: {
		readonly netMinor: number;
		readonly taxMinor: number;
		readonly totalMinor: number;
		/** Per cent. */
		readonly margin: number | null;
		readonly markup: number | null;
		readonly steps: readonly { readonly step: string; readonly minor: number }[];
	} | null;
	/** So many as a job by itself: the work around it and the road with it, as the studio's usual job. */
	readonly job: {
		readonly kind: string;
		readonly seconds: number;
		readonly costMinor: number;
		/** As it is said to the client; null where it has no price. */
		readonly priceMinor: number | null;
		readonly margin: number | null;
		/** What an hour of the owner's own earns. */
		readonly ownHourMinor: number | null;
	};
	/** Body of the first stack and the whole, inches; null where a size is not known. */
	readonly heights: { readonly body: number | null; readonly overall: number | null };
	/** What gave way for the size. */
	readonly notes: readonly string[];
	readonly findings: readonly Pick<Finding, 'code' | 'level' | 'say'>[];
}

/** Writes a tally out. The same figures as on the Bench: this only puts them into words and plain numbers. */
export function tallyReport(
	recipe: Recipe,
	{ colourway, size, quantity }: { colourway: string | null; size: string | null; quantity: number },
	worked: Tally
): TallyReport {
	const { bill, cost, price, assembly, stacks } = worked;
	const lines = (group: string, own: readonly CostLine[]) =>
		own.map(({ label, count, amount }) => ({ group, label, count, minor: amount?.minor ?? null }));
	const minor = ({ minor: value }: Money) => value;
	const body = stacks[0]?.placed.body;
	return {
		format: REPORT_FORMAT,
		version: REPORT_VERSION,
		design: recipe.name,
		colourway: (recipe.colourways.find((c) => c.id === colourway) ?? recipe.colourways[0])?.name ?? '',
		size: recipe.sizes.find((s) => s.id === size)?.name ?? null,
		quantity,
		balloons: bill.balloons,
		toBuy: bill.lines.map((l) => ({
			material: l.material?.id ?? null,
			label: l.label,
			kind: l.material?.kind ?? null,
			used: rationalText(l.used),
			loss: l.loss,
			spares: l.spares,
			toBuy: l.toBuy,
			status: l.status,
			role: l.role,
			estimate: l.estimate && { low: rationalText(l.estimate.low), high: rationalText(l.estimate.high) },
			...(l.either && {
				either: l.either.map((e) => ({
					label: e.label,
					material: e.material?.id ?? null,
					quantity: rationalText(e.quantity)
				}))
			}),
			where: l.where.map((w) => ({ label: w.label, quantity: rationalText(w.quantity) }))
		})),
		toInflate: bill.inflate.map(({ quantity: n, bag, sizeTo, method, gas, colour, slot, where }) => ({
			quantity: rationalText(n),
			bag,
			size: sizeTo,
			gas,
			method,
			colour,
			slot,
			where
		})),
		tasks: worked.tasks.map(({ task, method, count, batches, seconds }) => ({
			task,
			method,
			count,
			batches: batches.length,
			seconds: seconds.valueOf()
		})),
		cost: {
			currency: cost.total.known.currency,
			lines: [
				...lines('materials', cost.materials),
				...lines('frame', cost.frame),
				...lines('not charged', cost.aside)
			],
			labourMinor: minor(cost.labourTotal),
			overheadMinor: minor(cost.overhead),
			totalMinor: minor(cost.total.known),
			unknown: cost.total.unknown
		},
		price:
			price.status === 'refused'
				? null
				: {
						netMinor: minor(price.net),
						taxMinor: minor(price.tax),
						totalMinor: minor(price.total),
						margin: price.margin ?? null,
						markup: price.markup ?? null,
						steps: price.steps.map((s) => ({ step: s.id, minor: minor(s.change) }))
					},
		job: {
			kind: worked.job.job.template.name,
			seconds: worked.job.seconds,
			costMinor: minor(worked.job.total),
			priceMinor: worked.order.status === 'priced' ? minor(worked.order.said) : null,
			margin: worked.order.status === 'priced' ? (worked.order.margin ?? null) : null,
			ownHourMinor: worked.earnings?.ownHour === undefined ? null : Math.round(worked.earnings.ownHour)
		},
		heights: {
			body: body?.known ? inchesOf(body.usual) : null,
			overall: assembly.overall.known ? inchesOf(assembly.overall.usual) : null
		},
		notes: worked.notes,
		findings: worked.findings.map(({ code, level, say }) => ({ code, level, say }))
	};
}

/** To a hundredth of an inch: the model is coarser than that. */
const inchesOf = (mm: number): number => Math.round((mm / 25.4) * 100) / 100;
