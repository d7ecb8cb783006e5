import { amount, choice, words } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm } from '../forms/read-form.ts';
import { CURRENCIES } from '../money/money.ts';
import { methodField } from '../pricing/method-field.ts';
import { printMoney, printNumber } from '../units/print-number.ts';
import { rational, rationalText } from '../units/rational.ts';
import type { Settings } from './settings.ts';

/** What a new studio is asked first; everything else has a usual value until it is changed in the settings. */
const WELCOME = {
	name: words({ what: 'A name', most: 120, missing: 'What is your studio called?' }),
	currency: choice(CURRENCIES, { as: 'USD' }),
	lengths: choice(['in', 'cm'], { as: 'in' }),
	labour: amount('The hourly wage'),
	margin: methodField('margin')
};

/** The first questions filled with what is there: of a new studio its name is left to be said. */
export const printWelcome = ({ business, decimal, lengths, rates, welcomed }: Settings): Fields => ({
	name: welcomed ? business.name : '',
	currency: rates.currency,
	lengths,
	labour: printMoney(rates.labourPerHour, { decimal }),
	margin: printNumber(rational(rates.price.margin), { decimal })
});

/** Reads the first questions over the settings. @returns the settings it comes to, or a sentence for each field */
export function readWelcome(typed: Fields, settings: Settings) {
	const context = { style: { decimal: settings.decimal }, currency: settings.rates.currency };
	const read = readForm(WELCOME, typed, context);
	if (!read.ok) return { next: undefined, errors: read.errors as Readonly<Record<string, string>> };
	const { name, currency, lengths, labour, margin } = read.values;
	const next: Settings = {
		...settings,
		welcomed: true,
		lengths,
		business: { ...settings.business, name },
		rates: {
			...settings.rates,
			currency,
			labourPerHour: labour,
			price: { ...settings.rates.price, method: 'margin', margin: rationalText(margin) }
		}
	};
	return { next, errors: {} };
}
