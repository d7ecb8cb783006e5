import type { SaveState } from './autosave.svelte.ts';

/** What a screen says of what saves itself. */
const WORDS: Readonly<Record<SaveState, string>> = {
	saved: 'saved',
	saving: 'saving …',
	waiting: 'saving …',
	offline: 'not saved yet: the server does not answer, trying again',
	'signed out': 'not saved yet: you are signed out, so sign in again in another tab',
	refused: 'not saved',
	stale: 'not saved: changed somewhere else'
};
const NO_ROOM = 'This browser has no room to keep it, so leave this page open until it says saved.';

/**
 * @param saver its state, why the server refused, and whether what is not saved lies in the browser's store
 * @param what is saved, where that is said
 */
export function saveWords(
	saver: {
		readonly state: SaveState;
		readonly refusal: string;
		readonly keptHere: boolean;
	},
	what = ''
): string {
	const { state } = saver;
	const words = state === 'refused' ? `${WORDS[state]}: ${saver.refusal}` : WORDS[state];
	if (state === 'saved') return `${what} ${words}`.trim();
	if (!saver.keptHere) return `${words}. ${NO_ROOM}`;
	return state === 'offline' || state === 'signed out'
		? `${words}. It is kept on this device until then`
		: words;
}
