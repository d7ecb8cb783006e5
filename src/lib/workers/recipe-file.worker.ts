import { readRecipeFile, type Misread } from '../core/files/bundle.schema.ts';
import type { Bundle } from '../core/files/bundle.ts';
import { planImport, type Here, type ImportPlan, type Incoming } from '../core/files/import-plan.ts';

/** What the page asks of the worker. */
export type FileAsk =
	| { readonly kind: 'read'; readonly text: string }
	| {
			readonly kind: 'plan';
			readonly here: Omit<Here, 'designs'> & {
				readonly designs: readonly [string, { name: string; mark: string }][];
			};
	  }
	/** The body of the next part to send, starting at this design. */
	| { readonly kind: 'part'; readonly from: number };

export type PlannedDesign = Omit<Incoming, 'recipe'>;
/** What the worker answers. */
export type FileTell =
	| { readonly kind: 'progress'; readonly done: number; readonly all: number }
	| { readonly kind: 'refused'; readonly say: string }
	| { readonly kind: 'read'; readonly ids: readonly string[]; readonly misread: readonly Misread[] }
	| {
			readonly kind: 'plan';
			readonly designs: readonly PlannedDesign[];
			readonly colours: { readonly matched: number; readonly created: readonly string[] };
			readonly materials: { readonly matched: number; readonly created: readonly string[] };
	  }
	| { readonly kind: 'part'; readonly body: string; readonly next: number; readonly all: number };

const tell = (message: FileTell) => postMessage(message);
const newId = () => crypto.randomUUID();
/** Characters of one part: a server answers each in a moment. */
const PART = 1_000_000;
const MOST_IN_PART = 100;

let bundle: Bundle | undefined;
let plan: ImportPlan | undefined;

addEventListener('message', ({ data }: MessageEvent<FileAsk>) => {
	if (data.kind === 'read') {
		let shown = 0;
		const read = readRecipeFile(data.text, newId, (done, all) => {
			// A word for every twentieth is enough.
			if (done < all && done - shown < all / 20) return;
			shown = done;
			tell({ kind: 'progress', done, all });
		});
		if (!read.ok) return tell({ kind: 'refused', say: read.say });
		bundle = read.bundle;
		tell({ kind: 'read', ids: bundle.designs.map((d) => d.id), misread: read.misread });
	} else if (data.kind === 'plan' && bundle) {
		plan = planImport(bundle, { ...data.here, designs: new Map(data.here.designs) }, newId);
		const { designs, colours, materials } = plan;
		tell({
			kind: 'plan',
			designs: designs.map(({ recipe: _, ...design }) => design),
			colours: { matched: colours.matched, created: colours.created.map((c) => c.name) },
			materials: { matched: materials.matched, created: materials.created.map((m) => m.name) }
		});
	} else if (data.kind === 'part' && plan) tell(part(plan, data.from));
});

/** The first part brings the colours and materials, for the designs after it to find. */
function part({ designs, colours, materials }: ImportPlan, from: number): FileTell {
	const wanted = designs.filter((d) => d.what === 'new' || d.what === 'copy');
	const own: string[] = [];
	let size = 0;
	let next = from;
	while (next < wanted.length && size < PART && own.length < MOST_IN_PART) {
		const { id, recipe } = wanted[next++]!;
		const text = JSON.stringify({ id, recipe });
		own.push(text);
		size += text.length;
	}
	const stock =
		from === 0 ? { colours: colours.created, materials: materials.created } : { colours: [], materials: [] };
	const body = `${JSON.stringify(stock).slice(0, -1)},"designs":[${own.join(',')}]}`;
	return { kind: 'part', body, next, all: wanted.length };
}
