import type { Colourway, Structure } from '../recipe/recipe.ts';
import type { TaskCount } from '../labour/task.ts';
import { extras } from './extras.ts';
import { stack } from './stack.ts';
import type { Need } from './structure.ts';

/** The structures a section can have. Another design as a part is no structure: the bill nests it. */
export const STRUCTURES = { stack, extras } as const;

export const balloonsOf = (s: Structure): number => (s.kind === 'stack' ? stack.balloons(s) : 0);

export function needsOf(s: Structure, colourway: Colourway | undefined): Need[] {
	switch (s.kind) {
		case 'stack':
			return stack.needs(s, colourway);
		case 'extras':
			return extras.needs(s);
		case 'design':
			return [];
	}
}

export function tasksOf(s: Structure): TaskCount[] {
	switch (s.kind) {
		case 'stack':
			return stack.tasks(s);
		case 'extras':
			return extras.tasks(s);
		case 'design':
			return [];
	}
}
