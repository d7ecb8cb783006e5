import { VIEWS } from '../../core/scene/camera.ts';
import type { Command } from '../commands/commands.svelte.ts';
import type { Bench } from './bench.svelte.ts';
import { KEYS } from './keys.ts';
import { SAYINGS } from './sayings.ts';

/** What the screen does for a command that the Bench itself cannot. */
export interface BenchActs {
	/** Puts the focus on the entry line, with this on it where something is to be said. */
	readonly say: (text: string) => void;
	readonly keep: (next: 'stay' | 'quote') => void;
	readonly places: () => void;
	/** Opens a page of this design. */
	readonly open: (page: string) => void;
}

const PAGES = [
	['Sizes side by side', 'sizes', 'table compare'],
	['Colourways side by side', 'colours', 'compare'],
	['Versions and what changed', 'versions', 'compare go back name'],
	['Steps and plan', 'plan', 'print crew order build sheet'],
	['Photos', 'photos', 'cover'],
	['Count back what it took', 'count', 'real used'],
	['Lists to buy and to inflate', 'lists', 'print bill']
] as const;

/** Everything that can be done on the Bench, by name. */
export function benchCommands(bench: Bench, acts: BenchActs): Command[] {
	const group = 'Bench';
	return [
		{ name: 'Say a layer', also: 'entry line add', group, run: () => acts.say('') },
		{ name: 'Undo', key: KEYS.undo[0], group, run: () => bench.undo() },
		{ name: 'Redo', key: KEYS.redo[0], group, run: () => bench.redo() },
		{ name: 'Keep a version', key: KEYS.keep[0], group, run: () => acts.keep('stay') },
		{ name: 'Quote this design', group, run: () => acts.keep('quote') },
		{
			name: 'Places of the chosen row',
			also: 'plan cluster balloons',
			key: KEYS.places[0],
			group,
			run: acts.places
		},
		...VIEWS.map((view): Command => ({
			name: view === 'plan' ? 'Look from above' : `Look from the ${view}`,
			also: 'view picture',
			group,
			run: () => bench.look(view)
		})),
		{
			name: 'Beside another design, or in quads or six-packs',
			also: 'compare side silhouette',
			group,
			run: () => acts.open(`../../compare?first=${encodeURIComponent(bench.id)}`)
		},
		...PAGES.map(([name, page, also]): Command => ({ name, also, group, run: () => acts.open(page) })),
		...bench.recipe.colourways.map(({ id, name }): Command => ({
			name: `In the colours ${name}`,
			also: 'colourway',
			group: 'Colourways and sizes',
			run: () => (bench.colourway = id)
		})),
		...bench.recipe.sizes.map(({ id, name }): Command => ({
			name: `In the size ${name}`,
			group: 'Colourways and sizes',
			run: () => (bench.size = id)
		})),
		...SAYINGS.map(({ say, means }): Command => ({
			name: means,
			also: say,
			key: say,
			group: 'Said on the entry line',
			run: () => acts.say(say)
		}))
	];
}
