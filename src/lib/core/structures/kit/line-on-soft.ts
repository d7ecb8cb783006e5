import type { Finding } from '../../checks/finding.ts';
import type { Cluster } from '../../document/cluster.ts';
import { FILL_EDGES } from '../../sizing/fill.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';

/** Whether a balloon of these clusters is not firm, where its size is known. */
export const isSoft = (clusters: readonly Cluster[], pumps: readonly PumpProfile[]): boolean =>
	clusters.some(({ places }) =>
		places.some(({ size, nominal }) => {
			const { assumed, known } = resolveSize(size, nominal, pumps);
			return known && assumed / (nominal / 1000) < FILL_EDGES.soft;
		})
	);

/** Thin line round soft latex. */
export const LINE_ON_SOFT = {
	code: 'line-on-soft',
	level: 'watch',
	say: 'Soft balloons joined with line. Twist them on, or take a decorating strip or a modelling balloon.',
	why: 'Thin strong line cuts into soft latex, at once or in the night.'
} as const satisfies Finding;
