import type { StaffRole } from './actor.ts';

interface DemoSignIn {
	readonly id: string;
	readonly name: string;
	readonly email: string;
	readonly role: StaffRole;
	/** What they do, in a word or two. */
	readonly words: string;
}

/** Who signs in to the invented studio. */
export const DEMO_PEOPLE: readonly DemoSignIn[] = [
	{ id: 'owner', name: 'Tansy', email: 'tansy@puddlelark.example', role: 'owner', words: 'who owns it' },
	{
		id: 'linnet',
		name: 'Linnet',
		email: 'linnet@puddlelark.example',
		role: 'office',
		words: 'in the office'
	},
	{ id: 'pip', name: 'Pip', email: 'pip@puddlelark.example', role: 'crew', words: 'who builds' },
	{
		id: 'sorrel',
		name: 'Sorrel',
		email: 'sorrel@puddlelark.example',
		role: 'bookkeeper',
		words: 'who keeps the books'
	}
];

/** Everybody's password in the demo, where none is said in DEMO_PASSWORD. */
const PASSWORD = 'orange buoy, gull white';
type Env = Readonly<Record<string, string | undefined>>;

export const demoPassword = (env: Env): string => env['DEMO_PASSWORD']?.trim() || PASSWORD;

/** The sign-ins a demo shows on its own door: none where more than this machine is let in. */
export const demoSignIns = (env: Env) =>
	env['LETS_OTHERS_IN'] === 'yes'
		? []
		: DEMO_PEOPLE.map(({ name, email, words }) => ({ name, email, words, password: demoPassword(env) }));
