import { expect, test } from 'vitest';
import { design } from '../../../../../tests/kit/studio.ts';
import { omittingSlots } from '../../recipe/omit-slots.ts';
import { feet, inches } from '../../units/length.ts';
import { asKind } from '../kinds.ts';
import { balloonCount } from '../stack/document.ts';
import { sameInside } from './filled.ts';
import { scaleHost } from './scale.ts';

test('balloons are alike inside where both have the same in them, and the same paint', () => {
	const sand = () => ({ inside: { kind: 'filling', of: 'sand' } as const });
	expect(sameInside({}, {})).toBe(true);
	expect(sameInside(sand(), sand())).toBe(true);
	expect(sameInside(sand(), {})).toBe(false);
	expect(sameInside(sand(), { inside: { kind: 'filling', of: 'water' } })).toBe(false);
	expect(sameInside({ painted: true }, {})).toBe(false);
	expect(sameInside({ painted: true, ...sand() }, { painted: true, ...sand() })).toBe(true);
	expect(sameInside({ painted: true, ...sand() }, sand())).toBe(false);
});

test('a place on a wall moves up and aside with its size, one along a path along it', () => {
	const wall = { on: 'wall', height: feet(4), across: -300_000 } as const;
	expect(scaleHost(wall, 2)).toEqual({ on: 'wall', height: feet(8), across: -600_000 });
	expect(scaleHost({ on: 'path', at: inches(30) }, 0.5)).toEqual({ on: 'path', at: inches(15) });
	const row = { on: 'layer', layer: 'l', side: 'front' } as const;
	expect(scaleHost(row, 2)).toBe(row);
});

test('of a row of two clusters a colour is left out without the other cluster', () => {
	const recipe = design('c', '4 11 at 9 rings white / red + 2 5 at 4 gold x4');
	const count = (out: string) => {
		const slot = recipe.slots.find((s) => s.name === out)!.id;
		const [section] = omittingSlots(recipe, new Set([slot])).sections;
		return balloonCount(asKind(section!.structure, 'stack')!);
	};
	expect(balloonCount(asKind(recipe.sections[0]!.structure, 'stack')!)).toBe(4 * 6);
	expect(count('gold')).toBe(4 * 4);
	// Its rings go to the other colour: all six of every layer stay.
	expect(count('red')).toBe(4 * 6);
});
