import { WOVEN } from '../../structures/weave/by-hand-settings.ts';
import type { MaterialKind } from '../../materials/material.ts';
import { emptyWeave } from '../../structures/weave/empty.ts';
import type { WeaveSaid } from '../../structures/weave/said.ts';
import { feet, formatInches, inches } from '../../units/length.ts';
import { section } from '../say.ts';
import { HANGS, hangs, saidBalloon } from '../../structures/kit/by-hand.ts';
import { startingShape, type StartErrors } from '../shape.ts';

const MOST = 200;

/** Rows of links or rounds, held by small ones where they meet. */
export const wall = startingShape({
	id: 'wall',
	title: 'Wall or panel',
	says: 'rows of links or rounds, held by small ones where they meet',
	fields: {
		colours: { kind: 'colours', label: 'Colours', most: 6, start: 2 },
		pattern: {
			kind: 'choice',
			label: 'Colours go',
			options: [
				['rows', 'a row each'],
				['columns', 'side by side'],
				['blocks', 'in squares']
			],
			start: 'blocks'
		},
		width: { kind: 'length', label: 'How wide', min: feet(1), max: feet(60), start: feet(8) },
		height: { kind: 'length', label: 'How high', min: feet(1), max: feet(30), start: feet(6) },
		...WOVEN,
		hangs: { ...HANGS, start: 'backdrop' },
		holds: {
			kind: 'thing',
			label: 'What holds it',
			kinds: ['base', 'fitting', 'tie'],
			none: 'not chosen yet'
		}
	},
	conflicts({ width, height, kind, balloon }, bags): StartErrors {
		const there = bags(kind as MaterialKind);
		if (there.length > 0 && !there.includes(balloon.nominal)) {
			const what = kind === 'latex-link' ? 'links' : 'rounds';
			return { balloon: `There are no ${formatInches(balloon.nominal)} in ${what} in the Stockroom. It has ${there.map(formatInches).join(', ')}.` }; // prettier-ignore
		}
		const say = `That takes more than ${MOST} balloons. Take larger ones, or make it in parts.`;
		const long = (side: number) => side / balloon.size > MOST;
		return { ...(long(width) ? { width: say } : {}), ...(long(height) ? { height: say } : {}) };
	},
	entries({ width, height, kind, balloon, pattern, hangs: by, holds }, kit) {
		const across = Math.max(1, Math.round(width / balloon.size));
		const up = Math.max(1, Math.round(height / balloon.size));
		const weave = (said: WeaveSaid['said']): WeaveSaid => ({ kind: 'weave', said });
		const { nominal, size } = saidBalloon(balloon);
		// Squares as wide as a block of colour is, and as high.
		const block = Math.max(1, Math.floor(across / Math.max(kit.colours, 3)));
		const bands = pattern === 'blocks' ? Math.ceil(across / block) : pattern === 'columns' ? kit.colours : 1;
		const widths = Array.from({ length: Math.min(bands, across) }, (_, i, all = Math.min(bands, across)) => Math.floor(((i + 1) * across) / all) - Math.floor((i * across) / all)); // prettier-ignore
		const rowOf = (row: number, repeat: number) =>
			weave({
				set: 'row',
				repeat,
				blocks: widths.map((count, i) => ({ ref: kit.colour((pattern === 'columns' ? 0 : row) + i), count }))
			});
		const high = pattern === 'columns' ? up : pattern === 'rows' ? 1 : block;
		const rows = Array.from({ length: Math.ceil(up / high) }, (_, i) => rowOf(i, Math.min(high, up - i * high))); // prettier-ignore
		return [
			section('wall', emptyWeave()),
			weave({ set: 'shape', shape: 'panel', woven: { kind: kind as 'latex-link', nominal, size, method: null }, base: null }), // prettier-ignore
			...rows,
			weave({ set: 'joiner', balloon: { kind: 'balloon', balloon: saidBalloon({ nominal: inches(5), size: inches(2) }), colour: kit.colour(0) } }), // prettier-ignore
			weave({ set: 'hung', hung: hangs(by, holds) })
		];
	}
});
