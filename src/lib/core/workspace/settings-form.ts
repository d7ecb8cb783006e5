import { PACK_PRICES } from '../materials/counting-pack.ts';
import { COUNTS, FITTINGS, PARTS, type CountOf, type FollowOnRule } from '../document/rule.ts';
import { amount, as, choice, held, orBlank, percent, words } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm } from '../forms/read-form.ts';
import { figureKept, figureText, PRICE_METHODS } from '../pricing/methods.ts';
import { methodField } from '../pricing/method-field.ts';
import type { Material, MaterialKind } from '../materials/material.ts';
import { printPairs, readPumps } from '../sizing/read-pumps.ts';
import { parseBounded } from '../units/number.ts';
import { printMoney, printNumber } from '../units/print-number.ts';
import { mixed, rational, rationalText, type Rational } from '../units/rational.ts';
import { CURRENCIES } from '../money/money.ts';
import { DATE_STYLES } from './formats.ts';
import type { Settings } from './settings.ts';

/** Texts of the settings form by field; rows of rules and pumps are numbered: `each-0`, `pairs-2`. */
export type SettingsFields = Fields;

const BALLOONS: readonly MaterialKind[] = ['latex-round', 'latex-heart', 'latex-link', 'modelling'];
const FIXINGS: readonly MaterialKind[] = ['tie', 'adhesive', 'ribbon', 'fitting', 'modelling', 'weight'];

const PUT_ON: readonly MaterialKind[] = [
	'tie',
	'adhesive',
	'ribbon',
	'accent',
	'fitting',
	'packaging',
	'weight'
];

/** Kinds of material that are offered first for what follows from a count. */
const KINDS_FOR: Partial<Record<CountOf, readonly MaterialKind[]>> = {
	'attachment point': [...BALLOONS, 'tie', 'fitting', 'adhesive'],
	...Object.fromEntries(FITTINGS.map((of) => [of, ['fitting']] as const)),
	'foot of guy line': ['tie', 'ribbon'],
	stake: ['weight', 'fitting', 'base', 'tool'],
	'foot in tissue': ['accent', 'ribbon', 'packaging'],
	'foot in fabric': ['ribbon', 'accent'],
	'foot painted': ['paint'],
	'foot under balloons': ['modelling', 'latex-round'],
	'litre of helium': ['gas'],
	'painted balloon': ['paint'],
	...Object.fromEntries(PARTS.map((of) => [of, PUT_ON] as const)),
	'litre of sand': ['weight', 'accent', 'packaging'],
	'litre of water': ['weight', 'accent', 'packaging'],
	'litre of marbles': ['weight', 'accent', 'packaging']
};

/** Materials a rule may choose: what suits its count, and what it has now, whatever that is. */
export const choicesFor = (rule: Pick<FollowOnRule, 'of' | 'material'>, materials: readonly Material[]) =>
	materials.filter((m) => (KINDS_FOR[rule.of] ?? FIXINGS).includes(m.kind) || m.id === rule.material);

/** A row of the form for every rule there is, and an empty one for every count without. */
export const ruleRows = (rules: readonly FollowOnRule[]): readonly RuleRow[] =>
	COUNTS.flatMap((of): readonly RuleRow[] => {
		const own = rules.filter((r) => r.of === of);
		return own.length > 0 ? own : [{ of, each: null, material: null }];
	});

interface RuleRow extends Pick<FollowOnRule, 'of' | 'material'> {
	readonly each: FollowOnRule['each'] | null;
}

/** The form filled with settings; {@link readSettings} reads exactly those settings back. */
export function printSettings({ business, decimal, dates, lengths, rates }: Settings): SettingsFields {
	const style = { decimal };
	const { price } = rates;
	const number = (text: string | number) => printNumber(rational(text), style);
	/** Pieces of a count are said in fractions, ¼ for each, where they are small ones. */
	const pieces = (each: Rational) => (each.d <= 1000n ? mixed(each) : printNumber(each, style));
	const values: Record<string, string> = {
		...business,
		currency: rates.currency,
		decimal,
		dates,
		lengths,
		labour: printMoney(rates.labourPerHour, style),
		overhead:
			rates.overhead.kind === 'hour'
				? printMoney(rates.overhead.minor, style)
				: number(rates.overhead.percent),
		overheadKind: rates.overhead.kind,
		method: price.method,
		margin: number(price.margin),
		markup: number(price.markup),
		factor: number(figureText('factor', price.factor)),
		card: number(figureText('card', price.card)),
		wage: number(figureText('wage', price.wage)),
		chargePerHour: printMoney(price.chargePerHour, style),
		feeOnTop: price.feeOnTop ? 'yes' : 'no',
		loss: printNumber(rational(rates.defaultLoss).mul(100), style),
		service: printNumber(rational(rates.service).mul(100), style),
		counting: rates.counting,
		packPrice: rates.packPrice ?? 'cheapest',
		purchaseDiscount: number(rates.purchases?.discount ?? '0'),
		purchaseTax: number(rates.purchases?.tax ?? '0'),
		pricePoint: price.pricePoint ? printMoney(price.pricePoint.step, style) : '',
		pricePointMode: price.pricePoint?.mode ?? 'up',
		minimum: printMoney(price.minimumMinor, style),
		tax: number(price.tax.percent),
		taxKind: price.tax.inclusive ? 'inclusive' : 'exclusive',
		fee: number(price.fee.percent),
		feeFixed: printMoney(price.fee.fixedMinor, style),
		deposit: number(price.deposit)
	};
	ruleRows(rates.rules).forEach((rule, i) => {
		values[`of-${i}`] = rule.of;
		values[`each-${i}`] = rule.each === null ? '' : pieces(rational(rule.each));
		values[`material-${i}`] = rule.material ?? '';
	});
	[...rates.pumps, null].forEach((pump, i) => {
		values[`pump-${i}`] = pump?.name ?? '';
		values[`pairs-${i}`] = printPairs(pump?.pairs ?? [], style);
	});
	return values;
}

/**
 * Reads the settings form over the settings as they are: what the form does not ask for stays.
 * @param typed fields as typed
 * @param materials the Stockroom's
 * @returns the settings it comes to, to be held to their schema, where all can be read; a sentence for each field that cannot be
 */
export function readSettings(
	typed: SettingsFields,
	settings: Settings,
	materials: readonly Pick<Material, 'id'>[]
): { readonly next: unknown; readonly errors: Readonly<Record<string, string>> } {
	const { rates } = settings;
	const context = { style: { decimal: settings.decimal }, currency: rates.currency };
	const form = settingsForm(typed, settings);
	const read = readForm(form, typed, context);
	const pumps = readPumps(typed, rates.pumps, context.style);
	const rules = readRules(typed, settings, materials);
	const errors = { ...(read.ok ? {} : read.errors), ...pumps.errors, ...rules.errors };
	if (!read.ok || Object.keys(errors).length > 0) return { next: undefined, errors };
	const v = read.values;
	const next = {
		...settings,
		decimal: v.decimal,
		dates: v.dates,
		lengths: v.lengths,
		business: {
			name: v.name,
			address: typed.address ?? '',
			email: typed.email ?? '',
			phone: typed.phone ?? '',
			terms: typed.terms ?? '',
			...(v.mark ? { mark: v.mark } : {}),
			...(v.colour ? { colour: v.colour } : {})
		},
		rates: {
			...rates,
			currency: v.currency,
			labourPerHour: v.labour,
			overhead: v.overhead,
			counting: v.counting,
			packPrice: v.packPrice === 'cheapest' ? undefined : v.packPrice,
			defaultLoss: rationalText(v.loss.div(100)),
			purchases: purchasesOf(rationalText(v.purchaseDiscount), rationalText(v.purchaseTax)),
			service: v.service.div(100).valueOf(),
			rules: rules.rules,
			pumps: pumps.pumps,
			price: {
				...rates.price,
				method: v.method,
				margin: rationalText(v.margin),
				markup: rationalText(v.markup),
				factor: figureKept('factor', v.factor),
				card: figureKept('card', v.card),
				wage: figureKept('wage', v.wage),
				chargePerHour: v.chargePerHour,
				feeOnTop: v.feeOnTop === 'yes',
				pricePoint: v.pricePoint ? { step: v.pricePoint, mode: v.pricePointMode } : null,
				minimumMinor: v.minimum,
				fee: { ...rates.price.fee, percent: rationalText(v.fee), fixedMinor: v.feeFixed },
				tax: { percent: rationalText(v.tax), inclusive: v.taxKind === 'inclusive' },
				deposit: rationalText(v.deposit)
			}
		}
	};
	return { next, errors };
}

/** Nothing off and no tax is nothing said. */
const purchasesOf = (discount: string, tax: string) =>
	discount === '0' && tax === '0' ? undefined : { discount, tax };

/** The fields of the settings with their limits; overhead is per hour or per cent, as is chosen beside it. */
const settingsForm = ({ overheadKind }: SettingsFields, now: Settings) => ({
	// A page opened before these were asked leaves them as they are.
	currency: choice(CURRENCIES, { as: now.rates.currency }),
	decimal: choice(['.', ','], { as: now.decimal }),
	dates: choice(DATE_STYLES, { as: now.dates }),
	lengths: choice(['in', 'cm'], { as: now.lengths }),
	name: words({ what: 'A name', most: 120, missing: 'Give the business a name.' }),
	mark: held(words({ what: 'A mark', most: 40 }), (text) =>
		[...text].length > 3 ? 'A mark is up to three letters, like “PB”.' : undefined
	),
	colour: held(
		as(words({ what: 'A colour', most: 40 }), (text) => text.toLowerCase()),
		(text) =>
			text === '' || /^#[0-9a-f]{6}$/.test(text)
				? undefined
				: 'A colour is written like #2c6e91, or left blank.'
	),
	labour: amount('The hourly rate'),
	overhead:
		overheadKind === 'percent'
			? as(percent('Overhead', 1000), (value) => ({
					kind: 'percent' as const,
					percent: rationalText(value)
				}))
			: as(amount('Overhead'), (minor) => ({ kind: 'hour' as const, minor })),
	counting: choice(['piece', 'bag'], { as: 'piece' }),
	packPrice: choice(PACK_PRICES, { as: 'cheapest' }),
	loss: percent('The loss', 90),
	purchaseDiscount: percent('What you get off', 99),
	purchaseTax: percent('The tax on materials', 100),
	service: percent('The chance that spares are enough', 99.9),
	method: choice(PRICE_METHODS, { as: 'margin' }),
	margin: methodField('margin'),
	markup: methodField('markup'),
	factor: methodField('factor'),
	card: methodField('card'),
	wage: methodField('wage'),
	chargePerHour: amount('What an hour is charged at'),
	feeOnTop: choice(['yes', 'no'], { as: 'yes' }),
	pricePoint: orBlank(amount('The price point'), null),
	pricePointMode: choice(['up', 'nearest'], { as: 'up' }),
	minimum: amount('The minimum order'),
	fee: percent('The payment fee', 30),
	feeFixed: amount('The fee a payment'),
	tax: percent('The tax rate', 100),
	taxKind: choice(['exclusive', 'inclusive'], { as: 'exclusive' }),
	deposit: percent('The deposit', 100)
});

/** A blank is no rule: nothing follows from that count. A form that says nothing of rules leaves them as they are. */
function readRules(
	typed: SettingsFields,
	{ decimal, rates }: Settings,
	materials: readonly Pick<Material, 'id'>[]
): { readonly rules: readonly FollowOnRule[]; readonly errors: Record<string, string> } {
	const errors: Record<string, string> = {};
	if (typed['of-0'] === undefined) return { rules: rates.rules, errors };
	const rules: FollowOnRule[] = [];
	for (let i = 0; typed[`of-${i}`] !== undefined && i < 200; i++) {
		const of = COUNTS.find((c) => c === typed[`of-${i}`]);
		const text = (typed[`each-${i}`] ?? '').trim();
		if (!of || text === '') continue;
		const each = parseBounded(text, { what: 'Pieces for each', min: 0, max: 1000 }, { decimal });
		const material = typed[`material-${i}`] || null;
		const kept = rates.rules.some((r) => r.material === material);
		if (!each.ok) errors[`each-${i}`] = each.say;
		// What left the Stockroom since stays with its rule until another is chosen.
		if (material !== null && !kept && !materials.some((m) => m.id === material))
			errors[`material-${i}`] = 'That material is not in the Stockroom.';
		if (each.ok) rules.push({ of, each: rationalText(each.value), material });
	}
	return { rules, errors };
}
