/** What somebody may do. Routes name one of these for each thing they do, in `permissions.ts`. */
export type Permission = 'public' | 'read' | 'work' | 'money' | 'design' | 'stock' | 'quote' | 'settings';
export type Role = 'owner' | 'crew' | 'guest';

/** Who asks, on whose behalf. Every repository takes one. */
export interface Actor {
	readonly workspace: string;
	readonly person: string;
	readonly role: Role;
}

/** Crew see what is built and how; what it costs and earns is the owner's. */
const MAY: Readonly<Record<Role, ReadonlySet<Permission>>> = {
	owner: new Set<Permission>(['public', 'read', 'work', 'money', 'design', 'stock', 'quote', 'settings']),
	crew: new Set<Permission>(['public', 'read', 'work']),
	guest: new Set<Permission>(['public'])
};

export const may = (actor: Actor, permission: Permission): boolean => MAY[actor.role].has(permission);

/** The workspace of this machine until people sign in. */
export const HOME_WORKSPACE = 'home';

/** Who works on this machine: until sign-in exists it is always the owner. */
export const OWNER: Actor = { workspace: HOME_WORKSPACE, person: 'owner', role: 'owner' };

/**
 * The one place where a request gets its actor, from the request alone. Until sign-in exists every request is the owner's;
 * that is why the server listens on this machine only.
 * @param _request its headers and cookies will say who it is
 */
export const actorOf = (_request: Pick<Request, 'headers'>): Actor => OWNER;

/** The same as a guest: what is public is done with no more rights than that, whoever asks. */
export const asGuest = ({ workspace }: Actor): Actor => ({ workspace, person: 'guest', role: 'guest' });
