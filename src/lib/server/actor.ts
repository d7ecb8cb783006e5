/** What a role may do. Routes name one of these in `permissions.ts`. */
export type Permission = 'public' | 'read' | 'design' | 'stock' | 'quote' | 'settings';
export type Role = 'owner' | 'crew' | 'guest';

/** Who asks, on whose behalf. Every repository takes one. */
export interface Actor {
	readonly workspace: string;
	readonly person: string;
	readonly role: Role;
}

const MAY: Readonly<Record<Role, ReadonlySet<Permission>>> = {
	owner: new Set<Permission>(['public', 'read', 'design', 'stock', 'quote', 'settings']),
	crew: new Set<Permission>(['public', 'read']),
	guest: new Set<Permission>(['public'])
};

export const may = (actor: Actor, permission: Permission): boolean => MAY[actor.role].has(permission);

/** The workspace of this machine until people sign in. */
export const HOME_WORKSPACE = 'home';

/**
 * The one place where a request gets its actor. Until sign-in exists it is always the owner; that is why the
 * server listens on this machine only.
 */
export function resolveActor(permission: Permission): Actor {
	if (permission === 'public') return { workspace: HOME_WORKSPACE, person: 'guest', role: 'guest' };
	return { workspace: HOME_WORKSPACE, person: 'owner', role: 'owner' };
}
