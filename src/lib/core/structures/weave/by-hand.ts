import { MOST_REPEATS } from '../../document/limits.ts';
import { inches } from '../../units/length.ts';
import { handForm, type HandFacet } from '../facets/by-hand.ts';
import { COLOUR, saidBalloon } from '../kit/by-hand.ts';
import { hangingForm } from '../kit/hanging-form.ts';
import { settings } from './by-hand-settings.ts';
import type { Weave } from './document.ts';
import type { SaidWeave, WeaveSaid } from './said.ts';

const weave = (said: SaidWeave): WeaveSaid => ({ kind: 'weave', said });

const row = handForm({
	id: 'row',
	title: 'a row',
	fields: {
		colours: { kind: 'colours', label: 'Colours, side by side', most: 12, start: 2 },
		each: { kind: 'count', label: 'Balloons of each colour', min: 1, max: 200, start: 4 },
		repeat: { kind: 'count', label: 'Rows alike', min: 1, max: MOST_REPEATS, start: 1 }
	},
	said: ({ each, repeat }, kit) => [
		weave({
			set: 'row',
			repeat,
			blocks: Array.from({ length: kit.colours }, (_, i) => ({ ref: kit.colour(i), count: each }))
		})
	],
	of({ rows }: Weave, id) {
		const own = rows.find((r) => r.id === id);
		const slots = own?.blocks.map((b) => b.slot) ?? [];
		const each = own?.blocks[0]?.count ?? 0;
		const plain = slots.filter((s) => s !== null);
		if (!own || plain.length < slots.length || own.blocks.some((b) => b.count !== each)) return undefined;
		return { colours: plain, each, repeat: own.repeat };
	}
});

const joiner = handForm({
	id: 'joiner',
	title: 'the small ones that hold it',
	fields: {
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(5), size: inches(2) } },
		colours: COLOUR
	},
	said: ({ balloon }, kit) => [
		weave({
			set: 'joiner',
			balloon: { kind: 'balloon', balloon: saidBalloon(balloon), colour: kit.colour(0) }
		})
	]
});

const hanging = hangingForm((hung) => weave({ set: 'hung', hung }), 'backdrop');

export const byHand: HandFacet<Weave> = { forms: [row, joiner, hanging, ...settings] };
