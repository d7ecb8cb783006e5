import type { Micrometres } from '../../units/length.ts';
import type { RunPath } from './document.ts';

/** A path of the same shape, every length of it as `by` says; so many clusters on a leg go with its length. */
export function scalePath(path: RunPath, by: (length: number) => Micrometres): RunPath {
	switch (path.kind) {
		case 'line':
			return { ...path, length: by(path.length) };
		case 'arch':
			return { ...path, span: by(path.span), rise: by(path.rise) };
		case 'corners':
			return {
				...path,
				legs: path.legs.map(({ clusters, ...l }) => {
					const length = by(l.length);
					return {
						...l,
						length,
						...(clusters && { clusters: Math.max(1, Math.round((clusters * length) / l.length)) })
					};
				})
			};
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
