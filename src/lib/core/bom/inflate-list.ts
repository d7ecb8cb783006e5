import type { Gas } from '../gas/atmosphere.ts';
import type { Method } from '../labour/task.ts';
import { KIND_WORDS, type Material, type MaterialKind } from '../materials/material.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import { printSize, sizeKey, type Size } from '../sizing/size.ts';
import { lookWords } from '../structures/bunch/count.ts';
import { formatInches, type Micrometres } from '../units/length.ts';
import { ZERO, type Rational } from '../units/rational.ts';
import type { Exploded } from './explode.ts';

/** A line of the list to inflate. */
export interface InflateLine {
	readonly key: string;
	readonly label: string;
	/** What is printed on the bag: `11`, `260`, the name of a foil; and what it is brought to: `8½`, lengths, its look. */
	readonly bag: string;
	readonly sizeTo: string;
	readonly kind: MaterialKind;
	readonly nominal: Micrometres;
	readonly size: Size;
	readonly method: Method;
	readonly gas: Gas;
	readonly colour: string | null;
	readonly slot: string;
	readonly quantity: Rational;
	readonly where: string;
	/** Left uninflated, to tie with: it is on the list, and no balloon of the piece. */
	readonly tie: boolean;
}

export type BalloonNeed = Extract<Exploded['need'], { what: 'balloon' }>;
export type MaterialNeed = Extract<Exploded['need'], { what: 'material' }>;

/** A kind of balloon by the piece: `11 rounds`, `260 modelling balloons`, `34 foil letter T`. */
export function kindOfBalloon({ kind, nominal, mark }: BalloonNeed): string {
	if (kind === 'modelling') return `${mark} modelling balloons`;
	return mark === undefined
		? `${formatInches(nominal)} ${KIND_WORDS[kind]}s`
		: `${formatInches(nominal)} ${KIND_WORDS[kind]} ${mark}`;
}

const withGas = (gas: Gas): string => (gas === 'helium' ? ', helium' : '');

/** Puts balloons on the list, or more of those that are there. */
export function addInflate(
	lines: Map<string, InflateLine>,
	need: BalloonNeed,
	{ slot, colour, where }: { slot: string; colour: string; where: string }
) {
	const { mark, look, gas = 'air', nominal, size, kind } = need;
	const what = need.material ?? need.colour ?? `slot:${slot}`;
	const key = [where, kind, nominal, sizeKey(size), need.method, what, mark, look, gas].join('/');
	const bag = mark === undefined ? formatInches(nominal) : kind === 'modelling' ? mark : kindOfBalloon(need);
	const sizeTo = look ?? printSize(size);
	lines.set(key, {
		key,
		label: `${bag}${look === undefined ? ` at ${sizeTo}` : `, ${look}`}, ${colour}${withGas(gas)}`,
		bag,
		sizeTo,
		kind,
		nominal,
		size,
		method: need.method,
		gas,
		colour: need.colour,
		slot,
		quantity: (lines.get(key)?.quantity ?? ZERO).add(need.quantity),
		where,
		tie: need.tie === true
	});
}

/** Foils stand on the list to inflate too: told by their look. */
export function addFoil(
	lines: Map<string, InflateLine>,
	{ foil, material, label, quantity }: MaterialNeed,
	found: Material | undefined,
	{ where, catalogue }: { where: string; catalogue: Catalogue }
) {
	if (!foil) return;
	const key = `${where}/foil/${material ?? label}/${foil.look}/${foil.gas}`;
	const bag = found?.name ?? `${label}, not chosen yet`;
	const sizeTo = lookWords(foil.look);
	lines.set(key, {
		key,
		label: `${bag}, ${sizeTo}${withGas(foil.gas)}`,
		bag,
		sizeTo,
		kind: found?.kind ?? 'foil-shape',
		nominal: foil.flat,
		size: { kind: 'unknown' },
		method: 'eye',
		gas: foil.gas,
		colour: found?.colour ?? null,
		slot: catalogue.colourNames.get(found?.colour ?? '') ?? 'foil',
		quantity: (lines.get(key)?.quantity ?? ZERO).add(quantity),
		where,
		tie: false
	});
}
