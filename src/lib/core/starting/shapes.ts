import type { StartingShape } from './shape.ts';
import { arch, garland, runner } from './shapes/along.ts';
import { bouquet } from './shapes/bouquet.ts';
import { centrepiece, column, pillar } from './shapes/column.ts';
import { figure } from './shapes/figure.ts';
import { frame } from './shapes/frame.ts';
import { letters } from './shapes/letters.ts';
import { wall } from './shapes/wall.ts';

/** What a new design may start from, the commonest first. */
export const SHAPES: readonly StartingShape[] = [
	column,
	garland,
	arch,
	centrepiece,
	bouquet,
	pillar,
	wall,
	runner,
	figure,
	letters,
	frame
];
