import { fail } from '@sveltejs/kit';
import { MATERIAL_KINDS, ROUND_NOMINALS, type Material } from '$lib/core/materials/material.ts';
import { unitCost } from '$lib/core/materials/unit-cost.ts';
import { parseMoney } from '$lib/core/money/money.ts';
import { formatInches, parseLength, type Micrometres } from '$lib/core/units/length.ts';
import { parseBounded, parseCount, type NumberStyle } from '$lib/core/units/number.ts';
import { rational, rationalText } from '$lib/core/units/rational.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const [studio, suppliers] = await Promise.all([loadStudio(locals.repos), locals.repos.stock.suppliers()]);
	const search = (url.searchParams.get('search') ?? '').slice(0, 60).trim();
	const colours = new Map(studio.colours.map((c) => [c.id, c]));
	const { currency } = studio.settings.rates;
	// As the trade lists them: balloons first, then what they are built on and with.
	const byKind = [...studio.materials].sort(
		(a, b) => MATERIAL_KINDS.indexOf(a.kind) - MATERIAL_KINDS.indexOf(b.kind)
	);
	const rows = byKind
		.filter((m) =>
			search
				.toLowerCase()
				.split(/\s+/)
				.every((w) => `${m.name} ${m.kind}`.toLowerCase().includes(w))
		)
		.map((m) => {
			const [pack] = m.packs;
			const each = unitCost(m);
			return {
				id: m.id,
				kind: m.kind,
				name: m.name,
				nominal: m.nominal === null ? '' : formatInches(m.nominal),
				hex: colours.get(m.colour ?? '')?.hex ?? null,
				loss: m.loss === null ? '' : `${Math.round(rational(m.loss).valueOf() * 1000) / 10} %`,
				uses: m.reuse?.uses ?? null,
				unit: m.unit,
				pack: pack ?? null,
				/** Exact cents, shown to a tenth. */
				each: each ? (each.valueOf() / 100).toFixed(3) : null
			};
		});
	return {
		rows,
		all: studio.materials.length,
		search,
		suppliers,
		colours: studio.colours,
		currency,
		decimal: studio.settings.decimal,
		fresh: crypto.randomUUID()
	};
};

/** A pack's price as typed: blank is unknown; 0 is refused, because nothing bought is free. */
function readPrice(text: string, currency: Parameters<typeof parseMoney>[1], decimal: '.' | ',') {
	if (text.trim() === '') return { priceMinor: null };
	const parsed = parseMoney(text, currency, { decimal });
	if (!parsed.ok) return { say: parsed.say };
	if (parsed.value.minor === 0)
		return { say: 'A price of 0 would make it free. Leave the field blank while the price is not known.' };
	return { priceMinor: parsed.value.minor };
}

type Figures = Pick<Material, 'mark' | 'litres' | 'grams' | 'chambers'>;

/** What a foil or modelling balloon is known by and what its maker says of it; blank is not known. */
function readFigures(
	form: Record<string, string>,
	style: NumberStyle
): { figures: Figures; trouble: Record<string, string> } {
	const trouble: Record<string, string> = {};
	const figure = (name: string, what: string, max: number): number | null => {
		if ((form[name] ?? '').trim() === '') return null;
		const parsed = parseBounded(form[name]!, { what, min: 0.001, max }, style);
		if (!parsed.ok) trouble[name] = parsed.say;
		return parsed.ok ? parsed.value.valueOf() : null;
	};
	const litres = figure('litres', 'Litres one holds', 10_000);
	const grams = figure('grams', 'Grams one weighs', 100_000);
	const chambers = (form.chambers ?? '').trim() === '' ? 1 : (figure('chambers', 'Chambers', 8) ?? 1);
	if (!Number.isInteger(chambers)) trouble.chambers = 'Chambers are a whole number, 1 to 8.';
	const mark = (form.mark ?? '').trim().toUpperCase();
	if (mark.length > 3) trouble.mark = 'One letter or figure of a foil, or a model like 260.';
	return { figures: { mark: mark || null, litres, grams, chambers: Math.round(chambers) }, trouble };
}

export const actions: Actions = {
	pack: async ({ request, locals }) => {
		const form = Object.fromEntries(await request.formData()) as Record<string, string>;
		const { settings } = await loadStudio(locals.repos);
		const style = { decimal: settings.decimal };
		const count = parseCount(form.count ?? '', { what: 'Pieces in a pack', min: 1, max: 100_000 }, style);
		const price = readPrice(form.price ?? '', settings.rates.currency, settings.decimal);
		const errors = { count: count.ok ? undefined : count.say, price: 'say' in price ? price.say : undefined };
		const typed = { pack: form.pack ?? '', count: form.count ?? '', price: form.price ?? '' };
		if (!count.ok || 'say' in price) return fail(400, { pack: { ...typed, errors } });
		const done = await locals.repos.stock.changePack(typed.pack, {
			count: count.value,
			priceMinor: price.priceMinor
		});
		if (!done)
			return fail(404, {
				pack: { ...typed, errors: { count: undefined, price: 'That pack is gone. Reload the page.' } }
			});
		return { changed: typed.pack };
	},
	add: async ({ request, locals }) => {
		const form = Object.fromEntries(await request.formData()) as Record<string, string>;
		const { settings } = await loadStudio(locals.repos);
		const style = { decimal: settings.decimal };
		const errors: Record<string, string> = {};
		const name = (form.name ?? '').trim();
		const kind = MATERIAL_KINDS.find((k) => k === form.kind);
		const [colours, suppliers, materials] = await Promise.all([
			locals.repos.stock.colours(),
			locals.repos.stock.suppliers(),
			locals.repos.stock.materials()
		]);
		if (name === '') errors.name = 'Give the material a name.';
		else if (name.length > 120) errors.name = 'A name has at most 120 letters.';
		else if (materials.some((m) => m.name === name && m.id !== form.id))
			errors.name = 'There is a material of that name already.';
		if (!kind) errors.kind = 'Choose a kind.';
		let nominal: Micrometres | null = null;
		if ((form.nominal ?? '').trim() !== '') {
			const parsed = parseLength(form.nominal!, 'in', style);
			if (parsed.ok) nominal = parsed.value.um;
			else errors.nominal = parsed.say;
		} else if (kind === 'latex-round')
			errors.nominal = `Which size is printed on the bag? ${ROUND_NOMINALS.join(', ')}.`;
		if (form.colour && !colours.some((c) => c.id === form.colour))
			errors.colour = 'That colour is not in the Stockroom.';
		if (kind === 'latex-round' && !form.colour) errors.colour = 'Choose its colour.';
		if (!suppliers.some((s) => s.id === form.supplier)) errors.supplier = 'Choose a supplier.';
		const count = parseCount(form.count ?? '', { what: 'Pieces in a pack', min: 1, max: 100_000 }, style);
		if (!count.ok) errors.count = count.say;
		const price = readPrice(form.price ?? '', settings.rates.currency, settings.decimal);
		if ('say' in price) errors.price = price.say ?? '';
		let loss: string | null = null;
		if ((form.loss ?? '').trim() !== '') {
			const parsed = parseBounded(form.loss!, { what: 'The loss', min: 0, max: 90, unit: ' %' }, style);
			if (parsed.ok) loss = rationalText(parsed.value.div(100));
			else errors.loss = parsed.say;
		}
		const { figures, trouble } = readFigures(form, style);
		Object.assign(errors, trouble);
		if (Object.keys(errors).length > 0 || !kind || !count.ok || 'say' in price)
			return fail(400, { add: { typed: form, errors } });
		const id = /^[\w-]{8,64}$/.test(form.id ?? '') ? form.id! : crypto.randomUUID();
		await locals.repos.stock.addMaterial({
			id,
			kind,
			name,
			nominal,
			colour: form.colour || null,
			safe: null,
			loss,
			reuse: null,
			unit: 'piece',
			...figures,
			pack: { id: `${id}-pack`, supplierId: form.supplier!, count: count.value, priceMinor: price.priceMinor }
		});
		return { added: name };
	},
	colour: async ({ request, locals }) => {
		const form = Object.fromEntries(await request.formData()) as Record<string, string>;
		const name = (form.name ?? '').trim();
		const hex = (form.hex ?? '').toLowerCase();
		const trouble =
			name === '' || name.length > 60 || /[^\p{L}\s'-]/u.test(name)
				? 'A colour’s name is made of letters, like “harbour blue”.'
				: /^#[0-9a-f]{6}$/.test(hex)
					? ''
					: 'Choose how it looks.';
		if (trouble) return fail(400, { colour: { trouble, name, hex } });
		await locals.repos.stock.addColour({ id: crypto.randomUUID(), name, finish: 'matte', hex });
		return { addedColour: name };
	}
};
