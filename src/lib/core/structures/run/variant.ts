import type { VariantFacet } from '../facets/variant.ts';
import type { Scale } from '../facets/variant.ts';
import { reachOf } from './path.ts';
import { scalePath } from './scale-path.ts';
import { NO_STROKES, NOTHING_SWAPPED, ON_NO_HOST } from '../kit/variant.ts';
import type { Run } from './document.ts';
import type { Id } from '../../document/id.ts';
import { clusterWithout, hollow } from '../kit/without.ts';
import { toEighth } from '../kit/scale.ts';

export const variant: VariantFacet<Run> = {
	...ON_NO_HOST,
	...NOTHING_SWAPPED,
	...NO_STROKES,
	scaled: scaleRun,
	lengthened: scaleRun,
	without: runWithout,
	leads: ({ path }) => (path.kind === 'lent' ? null : 'along its path'),
	size: (s) => ({ mm: reachOf(s), known: true }),
	toHeight: (s) => s,
	way: ({ path, height, branches }) => ({ path, height, branches }),
	goesAlong: ({ path }) => (path.kind === 'lent' ? path.by : null),
	along: (s, way) => ({ ...s, ...way })
};

/** A run goes further and as high; its balloons stay, so it takes more of them. */
function scaleRun(run: Run, scale: Scale): Run {
	scale.note(`A garland or an arch is longer or shorter by as much; its balloons stay in their sizes.`);
	return {
		...run,
		path: scalePath(run.path, (v) => toEighth(v * scale.factor)),
		height: run.height === 0 ? 0 : toEighth(run.height * scale.factor),
		branches: run.branches.map((b) => ({
			...b,
			at: toEighth(b.at * scale.factor),
			length: toEighth(b.length * scale.factor)
		})),
		...(run.free && {
			free: run.free.map((f) => ({ ...f, at: f.at === 0 ? 0 : toEighth(f.at * scale.factor) }))
		}),
		...(run.changes && { changes: run.changes.map((c) => ({ ...c, at: toEighth(c.at * scale.factor) })) }),
		...(run.open && {
			open: { low: toEighth(run.open.low * scale.factor), high: toEighth(run.open.high * scale.factor) }
		}),
		...(run.clusters && { clusters: Math.max(1, Math.round(run.clusters * scale.factor)) })
	};
}

/** Rows, sizes and infill of colours left out go; the path stays, so what is left takes their room. */
function runWithout(run: Run, out: ReadonlySet<Id>): Run {
	return {
		...run,
		rows: run.rows.flatMap((row) =>
			clusterWithout(row.cluster, out).map((cluster) => ({
				...row,
				cluster: { ...cluster, places: cluster.places.map((p) => hollow(p, out)) }
			}))
		),
		mix: run.mix.flatMap((part) => {
			const colours = part.colours.filter((c) => !out.has(c.slot));
			return colours.length > 0 ? [{ ...part, colours }] : [];
		}),
		infill: run.infill.filter((i) => i.slot === null || !out.has(i.slot)),
		corner: run.corner && (out.has(run.corner.slot) ? null : hollow(run.corner, out))
	};
}
