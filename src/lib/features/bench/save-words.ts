/** What the Bench says of the working copy, by the state of its saver. */
export const SAVE_WORDS = {
	saved: 'working copy saved',
	saving: 'saving …',
	waiting: 'saving …',
	offline: 'not saved yet: the server does not answer, trying again',
	refused: 'not saved',
	stale: 'not saved: changed somewhere else'
};
