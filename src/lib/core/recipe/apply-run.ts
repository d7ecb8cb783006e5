import { buildLayer, type NewId } from './build.ts';
import { ownBalloon, slotFor } from '../structures/bunch/apply.ts';
import { addSlots, dropUnusedSlots, type RecipeDraft } from './edit.ts';
import type { Mutable } from '../document/mutable.ts';
import type { Entry, OwnSaid } from '../language/entry.ts';
import type { SaidRun, SaidWeave } from '../language/said-run.ts';
import type { Id } from '../document/id.ts';
import type { Run, Infill, MixPart, RunRow } from '../structures/run/document.ts';
import type { Weave, WeaveRow } from '../structures/weave/document.ts';

const sectionOf = (recipe: RecipeDraft, id: Id | undefined) => recipe.sections.find((s) => s.id === id);

/** Puts something in the place of the part with this id, else at the end. */
function put<T extends { readonly id: Id }>(list: T[], part: T, editing: Id | undefined) {
	const at = list.findIndex((p) => p.id === editing);
	if (at < 0) list.push(part);
	else list[at] = { ...part, id: editing! };
}

const STANDING: ReadonlySet<Run['path']['kind']> = new Set(['arch', 'corners', 'helix'] as const);

/** Does what was said of the run or the weave in hand. @param editing a part it takes the place of */
export function applyLined(
	recipe: RecipeDraft,
	entry: Extract<Entry, { kind: 'run' | 'weave' }>,
	section: Id | undefined,
	newId: NewId,
	editing?: Id
) {
	if (entry.kind === 'run') applyRun(recipe, entry.said, section, newId, editing);
	else applyWeave(recipe, entry.said, section, newId, editing);
}

/** Does what was said of the run in hand. @param editing a row, size or arm it takes the place of */
function applyRun(recipe: RecipeDraft, said: SaidRun, section: Id | undefined, newId: NewId, editing?: Id) {
	const own = sectionOf(recipe, section)?.structure;
	if (own?.kind !== 'run') return;
	const run = own as Mutable<Run>;
	const slotId = slotFor(recipe, newId);
	switch (said.set) {
		case 'path': {
			const before = run.path.kind;
			run.path = said.path as Mutable<Run['path']>;
			if (said.height !== null) run.height = said.height;
			// Arches and frames stand on their feet until they are said to be lifted.
			else if (STANDING.has(said.path.kind) && !STANDING.has(before)) run.height = 0;
			break;
		}
		case 'branch':
			put(run.branches as Mutable<Run['branches']>, { ...said.branch, id: newId() }, editing);
			break;
		case 'row': {
			const built = buildLayer(
				{ clusters: [said.cluster], repeat: 1, toHeight: null, turn: 'half', joining: null },
				run.squash,
				newId
			);
			addSlots(recipe, built);
			const row: RunRow = { id: newId(), cluster: built.layer.clusters[0]!, ...said.row };
			put(run.rows as RunRow[], row, editing);
			break;
		}
		case 'corner':
			run.corner = ownOf(recipe, said.balloon, newId) as Mutable<Run['corner']>;
			break;
		case 'mix': {
			const { kind, nominal, size, method } = said.balloon;
			const colours = said.colours.map(({ ref, parts }) => ({ slot: slotId(ref), parts }));
			const part: MixPart = { id: newId(), share: said.share, kind, nominal, size, method, colours };
			put(run.mix as MixPart[], part, editing);
			break;
		}
		case 'organic':
			run.organic = { ...run.organic, ...said.organic } as Mutable<Run['organic']>;
			break;
		case 'infill': {
			const { kind, nominal, size, method } = said.balloon;
			const slot = said.colour === null ? null : slotId(said.colour);
			put(run.infill as Infill[], { id: newId(), ...said.a, kind, nominal, size, method, slot }, editing);
			break;
		}
		case 'fitted':
			for (const row of run.rows) row.pitch = said.pitch;
			break;
		case 'spine':
			run.spine = said.spine && { ...said.spine };
			break;
		case 'hung':
			run.hung = said.hung && { ...said.hung };
			break;
		case 'joining':
			run.joining = said.joining;
			break;
		case 'spare':
			run.spare = said.spare;
			break;
	}
	dropUnusedSlots(recipe);
}

const ownOf = (recipe: RecipeDraft, said: OwnSaid | null, newId: NewId) =>
	said && ownBalloon(recipe, said, newId).balloon;

/** Does what was said of the weave in hand. @param editing a row it takes the place of */
function applyWeave(
	recipe: RecipeDraft,
	said: SaidWeave,
	section: Id | undefined,
	newId: NewId,
	editing?: Id
) {
	const own = sectionOf(recipe, section)?.structure;
	if (own?.kind !== 'weave') return;
	const weave = own as Mutable<Weave>;
	const slotId = slotFor(recipe, newId);
	switch (said.set) {
		case 'shape':
			weave.shape = said.shape;
			weave.woven = said.woven as Mutable<Weave['woven']>;
			weave.base = said.base && { ...said.base };
			// Every corner of a honeycomb is held; along a boundary every second joint is.
			if (said.shape === 'honeycomb' || said.shape === 'base') [weave.take, weave.of] = [1, 1];
			break;
		case 'row': {
			const blocks = said.blocks.map(({ ref, count }) => ({
				slot: ref === null ? null : slotId(ref),
				count
			}));
			put(weave.rows as WeaveRow[], { id: newId(), repeat: said.repeat, blocks }, editing);
			break;
		}
		case 'joiner':
			weave.joiner = ownOf(recipe, said.balloon, newId) as Mutable<Weave['joiner']>;
			break;
		case 'joint':
			weave.joints[said.joint] = said.connector;
			break;
		case 'held':
			[weave.take, weave.of, weave.stagger] = [said.take, said.of, said.stagger];
			break;
		case 'chord':
			weave.chord = said.chord;
			break;
		case 'handle': {
			const { handle } = said;
			weave.handle = handle && {
				links: handle.links,
				slot: slotId(handle.colour),
				chord: handle.chord,
				rise: handle.rise
			};
			break;
		}
		case 'hung':
			weave.hung = said.hung && { ...said.hung };
			break;
	}
	dropUnusedSlots(recipe);
}
