import type { VariantFacet } from '../facets/variant.ts';
import type { Scale } from '../facets/variant.ts';
import { reachOf } from './path.ts';
import { NO_STROKES, NOTHING_SWAPPED, ON_NO_HOST } from '../kit/variant.ts';
import type { Run, RunPath } from './document.ts';
import type { Id } from '../../document/id.ts';
import { clusterWithout, hollow } from '../kit/without.ts';
import { toEighth } from '../kit/scale.ts';
import type { Micrometres } from '../../units/length.ts';

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
		}))
	};
}

function scalePath(path: RunPath, by: (length: number) => Micrometres): RunPath {
	switch (path.kind) {
		case 'line':
			return { ...path, length: by(path.length) };
		case 'arch':
			return { ...path, span: by(path.span), rise: by(path.rise) };
		case 'corners':
			return { ...path, legs: path.legs.map((l) => ({ ...l, length: by(l.length) })) };
		case 'helix':
			return { ...path, height: by(path.height) };
		case 'curve':
			return {
				...path,
				points: path.points.map(
					([x, z]) => [x, z].map((v) => Math.sign(v) * (v === 0 ? 0 : by(Math.abs(v)))) as [number, number]
				)
			};
		case 'lent':
			return path;
	}
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
