import { mapCluster, mapHung, mapPlace, maybe } from '../../document/refs.ts';
import type { Movable, Part, RefsFacet } from '../facets/refs.ts';
import { NO_DESIGN, rowParts, NO_HOSTS } from '../kit/refs.ts';
import type { Run } from './document.ts';

export const refs: RefsFacet<Run> = {
	part: 'A piece',
	accompanies: false,
	hosts: () => ({ ...NO_HOSTS, along: true }),
	...NO_DESIGN,
	mapRefs: (s, map) => ({
		...s,
		rows: s.rows.map((r) => ({ ...r, cluster: mapCluster(r.cluster, map) })),
		mix: s.mix.map((m) => ({ ...m, colours: m.colours.map((c) => ({ ...c, slot: map.slot(c.slot) })) })),
		infill: s.infill.map((i) => ({ ...i, slot: maybe(i.slot, map.slot) })),
		corner: s.corner && mapPlace(s.corner, map),
		spine: s.spine && { ...s.spine, material: maybe(s.spine.material, map.material) },
		...(s.changes && {
			changes: s.changes.map((c) => (c.to === 'spine' ? { ...c, material: map.material(c.material) } : c))
		}),
		hung: mapHung(s.hung, map)
	}),
	alone(s) {
		const bare: Run = { ...s, rows: [], mix: [], infill: [], corner: null };
		return [
			...s.rows.map((row) => ({ ...bare, rows: [row] })),
			...s.mix.map((part) => ({ ...bare, mix: [part] })),
			...s.infill.map((part) => ({ ...bare, infill: [part] })),
			...(s.corner ? [{ ...bare, corner: s.corner }] : [])
		];
	},
	parts: ({ rows, branches, mix, infill, free, changes }, section) => [
		...rowParts(rows),
		...branches.map(({ id, kind }): Part => ({ id, name: `${section} ${kind}`, served: true })),
		...[...mix, ...infill, ...(free ?? []), ...(changes ?? [])].map(({ id }): Part => ({
			id,
			name: null,
			served: false
		}))
	],
	lists: ({ rows, mix, infill, branches, free, changes }) =>
		[rows, mix, infill, branches, free ?? [], changes ?? []] as Movable[][]
};
