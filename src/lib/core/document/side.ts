/** Which side of the stack a cluster is tucked into; `all` is a ring about the axis. */
export const SIDES = ['all', 'front', 'back', 'left', 'right'] as const;

export type Side = (typeof SIDES)[number];
