import { readdirSync, readFileSync } from 'node:fs';
import { applyEntry } from '../../src/lib/core/language/apply.ts';
import type { EntryContext } from '../../src/lib/core/language/context.ts';
import { parseEntry } from '../../src/lib/core/language/read.ts';
import { ROUND_NOMINALS, type Material } from '../../src/lib/core/materials/material.ts';
import { emptyRecipe } from '../../src/lib/core/recipe/build.ts';
import type { RecipeDraft } from '../../src/lib/core/recipe/draft.ts';
import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';
import { inches } from '../../src/lib/core/units/length.ts';
import { POINT } from '../../src/lib/core/units/number.ts';
import { STOCK } from '../kit/entry-lines.ts';

/** Colours a studio has, by names of the house; all rounds in all of them. */
const NAMES = ['gull white', 'buoy red', 'harbour blue', 'hive gold', 'thrift pink', 'mussel black', 'kelp green', 'limpet grey', 'foam cream', 'lamp yellow', 'shell silver']; // prettier-ignore
const colours = NAMES.map((name) => ({ id: name, name, finish: 'matte' as const, hex: '#888888' }));
const round = STOCK.find((m) => m.kind === 'latex-round')!;
const materials: readonly Material[] = [
	...STOCK.filter((m) => m.kind !== 'latex-round' && m.kind !== 'modelling'),
	...NAMES.map((colour) => ({
		...STOCK.find((m) => m.mark === '260')!,
		id: `260 ${colour}`,
		name: `260 ${colour}`,
		colour
	})),
	...NAMES.flatMap((colour) =>
		ROUND_NOMINALS.map((n) => ({
			...round,
			id: `${n} ${colour}`,
			name: `${n} in round, ${colour}`,
			nominal: inches(n),
			colour
		}))
	)
];

/** A sentence, what stands there before it, and the lines that come to the same. */
export interface Saying {
	readonly group: string;
	readonly before: readonly string[];
	readonly says: string;
	/** Lines that come to the same; of `whole` from an empty sheet, else after what stands there. None is: refused. */
	readonly means: readonly string[];
	readonly whole: boolean;
}

const folder = new URL('.', import.meta.url);
export const sayings: readonly Saying[] = readdirSync(folder)
	.filter((f) => f.endsWith('.txt'))
	.flatMap((file) => {
		let before: string[] = [];
		return readFileSync(new URL(file, folder), 'utf8')
			.split('\n')
			.flatMap((line): Saying[] => {
				if (line.startsWith('@')) before = apart(line.slice(1));
				const [says, means] = line.split(' => ');
				if (line.startsWith('#') || line.startsWith('@') || means === undefined) return [];
				const whole = means.startsWith('= ');
				const lines = means.trim() === '?' ? [] : apart(means.replace(/^= /, ''));
				return [{ group: file.replace('.txt', ''), before, says: says!, means: lines, whole }];
			});
	});
function apart(line: string): string[] {
	return line
		.split(' ; ')
		.map((l) => l.trim())
		.filter(Boolean);
}

/** A design with the lines said to it one after the other. @returns undefined where one is refused */
export class Desk {
	recipe = emptyRecipe('sayings', counted());
	#section: string;
	readonly #newId = counted('made');
	constructor() {
		this.#section = this.recipe.sections[0]!.id;
	}
	get context(): EntryContext {
		const { slots, colourways, sections } = this.recipe;
		return { slots, colourway: colourways[0], colours, materials, sections, recipe: this.recipe, section: this.#section, designs: [], style: POINT }; // prettier-ignore
	}
	say(line: string): boolean {
		const read = parseEntry(line, this.context);
		if (!read.ok) return false;
		const draft = structuredClone(this.recipe) as RecipeDraft;
		this.#section = applyEntry(draft, read.value, { section: this.#section }, this.#newId) ?? this.#section;
		this.recipe = draft as Recipe;
		return true;
	}
	/** What it is now, whatever its parts are called inside. */
	get said(): string {
		const ids = new Map<string, string>();
		// In whatever order its colours were met.
		const { sections, slots, ...rest } = this.recipe;
		const sorted = slots.toSorted((a, b) => a.name.localeCompare(b.name));
		const ways = rest.colourways.map((way) => ({
			...way,
			fills: sorted.map((slot) => [slot.id, way.fills[slot.id] ?? null])
		}));
		return JSON.stringify({ sections, slots: sorted, ...rest, colourways: ways }, (_, value: unknown) => {
			if (typeof value !== 'string' || !/^(?:made|id)-\d+$/.test(value)) return value;
			if (!ids.has(value)) ids.set(value, `#${ids.size}`);
			return ids.get(value);
		}).replace(/"(?:made|id)-\d+":/g, (key) => `"${ids.get(key.slice(1, -2)) ?? key}":`);
	}
}
function counted(prefix = 'id') {
	let n = 0;
	return () => `${prefix}-${n++}`;
}
/** A desk with what stands there before a saying. */
export function deskOf({ before }: Pick<Saying, 'before'>): Desk {
	const desk = new Desk();
	for (const line of before) if (!desk.say(line)) throw new Error(`“${line}” is refused`);
	return desk;
}
