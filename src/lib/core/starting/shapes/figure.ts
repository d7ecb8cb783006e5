import type { ColourRef } from '../../language/said.ts';
import { stackIn } from '../../structures/stack/edit.ts';
import { feet, inches, um } from '../../units/length.ts';
import type { Balloon } from '../../by-hand/asked.ts';
import { layer, stackOn, upTo } from '../say.ts';
import { cluster, plain, saidBalloon } from '../../structures/kit/by-hand.ts';
import { startingShape, type StartEntry } from '../shape.ts';

/** Eyes a fifth as wide as the head, of what a five can be, to half an inch. */
const eyes = (head: number) => um(Math.min(9, Math.max(2, Math.round(head / 5 / inches(0.5)))) * inches(0.5));

/** Two balloons on the front of a row. @param at 0 is the lowest, −1 the topmost */
const onTheFront =
	(name: string, balloon: Balloon, colour: ColourRef, at: number): StartEntry =>
	(recipe) => ({
		kind: 'piece',
		piece: {
			name,
			what: { kind: 'balloon', balloon: saidBalloon(balloon), colour },
			on: [{ host: { on: 'layer', layer: stackIn(recipe)!.layers.at(at)!.id, side: 'front' }, count: 2 }],
			section: recipe.sections[0]!.id,
			fixing: at === 0 ? 'tie' : 'glue'
		}
	});

/** A body with feet before it, a head with two eyes. */
export const figure = startingShape({
	id: 'figure',
	title: 'Figure',
	says: 'a body with feet, and a head with a face',
	fields: {
		colours: { kind: 'colours', label: 'Colours: body, feet, eyes', most: 3, start: 3 },
		height: {
			kind: 'length',
			label: 'Body',
			hint: 'without the head',
			comes: 'over all',
			min: feet(0.5),
			max: feet(8),
			start: feet(2)
		},
		each: { kind: 'count', label: 'Balloons in a cluster', min: 3, max: 8, start: 5 },
		balloon: {
			kind: 'balloon',
			label: 'Balloons of the body',
			start: { nominal: inches(11), size: inches(8) }
		},
		head: { kind: 'balloon', label: 'Head', start: { nominal: inches(16), size: inches(14) } },
		feet: {
			kind: 'balloon or none',
			label: 'Feet',
			none: 'no feet',
			start: { nominal: inches(11), size: inches(6) }
		},
		face: {
			kind: 'choice',
			label: 'Face',
			options: [
				['eyes', 'two eyes'],
				['', 'no face']
			],
			start: 'eyes'
		}
	},
	entries: ({ height, balloon, each, head, feet: foot, face }, kit) => [
		stackOn('figure', null, false),
		// The lowest ring is a row of its own: the feet stand before it.
		layer(cluster(each, balloon, plain(kit, 0))),
		(recipe) => layer(cluster(each, balloon, plain(kit, 0)), { toHeight: upTo(height, recipe) }),
		layer(cluster(1, head, plain(kit, 0))),
		...(foot ? [onTheFront('feet', foot, kit.colour(1), 0)] : []),
		...(face === 'eyes'
			? [onTheFront('eyes', { nominal: inches(5), size: eyes(head.size) }, kit.colour(2), -1)]
			: [])
	]
});
