/** What somebody may do. Routes name one of these for each thing they do, in `permissions.ts`. */
export const PERMISSION_NAMES = [
	/** Anybody, without signing in. */
	'public',
	/** Rules of thumb, help, one's own sign-in. */
	'read',
	/** What is built and how; no price. */
	'work',
	/** To tick off what is done of a job. */
	'tick',
	/** What a design costs, is priced at and earns. */
	'money',
	/** To see quotes, clients, the Stockroom, and take them out as files. */
	'books',
	'design',
	'stock',
	'quote',
	/** Rates, wages and how prices are made. */
	'settings',
	/** Who signs in here, and as what. */
	'people'
] as const;
export type Permission = (typeof PERMISSION_NAMES)[number];
export const STAFF_ROLES = ['owner', 'office', 'crew', 'bookkeeper'] as const;
export type StaffRole = (typeof STAFF_ROLES)[number];
export type Role = StaffRole | 'guest';

/** Who asks, on whose behalf. Every repository takes one. */
export interface Actor {
	readonly workspace: string;
	readonly person: string;
	readonly role: Role;
}

/** Crew see what is built and how; what it costs and earns is for the owner, the office and the books; wages are the owner's. */
const MAY: Readonly<Record<Role, ReadonlySet<Permission>>> = {
	owner: new Set(PERMISSION_NAMES),
	office: new Set<Permission>([
		'public',
		'read',
		'work',
		'tick',
		'money',
		'books',
		'design',
		'stock',
		'quote'
	]),
	crew: new Set<Permission>(['public', 'read', 'work', 'tick']),
	bookkeeper: new Set<Permission>(['public', 'read', 'work', 'money', 'books']),
	guest: new Set<Permission>(['public'])
};

export const may = (actor: Actor, permission: Permission): boolean => MAY[actor.role].has(permission);

/** The first workspace of a server, which is there from its start. */
export const HOME_WORKSPACE = 'home';

/** The first owner of the first workspace; what was written before anybody signed in is theirs. */
export const FIRST_PERSON = 'owner';

/** Who works at the machine itself, from the command line. */
export const OWNER: Actor = { workspace: HOME_WORKSPACE, person: FIRST_PERSON, role: 'owner' };

/** Somebody without a sign-in: what is public is done with no more rights than that, whoever asks. */
export const guestOf = (workspace: string): Actor => ({ workspace, person: 'guest', role: 'guest' });
