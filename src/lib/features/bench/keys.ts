/** Keys of the Bench, in the order of the page of shortcuts. The list of commands prints the same ones. */
export const KEYS = {
	put: ['Enter', 'on the entry line: puts the layer there; on a row: its words go to the entry line'],
	walk: ['↑ ↓', 'on the entry line: moves it between the layers; on a row: to the row above or below'],
	move: ['Alt ↑, Alt ↓', 'moves the row'],
	size: ['[ and ]', 'sizes the row down or up by half an inch'],
	repeat: ['+ and −', 'one layer more or fewer'],
	copy: ['d', 'copies the row above itself'],
	places: [
		'p',
		'opens the row’s balloons, seen from above; there ← → go round, Space adds to the choice, a takes all, + one more, Delete takes out, l levels'
	],
	level: ['l', 'levels a row that leans with a small cluster under its low side'],
	out: ['Delete', 'takes the row out'],
	clear: ['Esc', 'clears the entry line'],
	leave: ['Ctrl ↑, Ctrl ↓', 'on the entry line: to the row above or below it'],
	undo: ['Ctrl Z', 'undo'],
	redo: ['Ctrl Shift Z', 'redo'],
	keep: ['Ctrl S', 'keeps a version'],
	commands: ['Ctrl K', 'lists everything that can be done here: type a few letters'],
	turn: [
		'← → ↑ ↓',
		'on the picture: turns and tilts it; the wheel turns it too, with Shift tilts, two fingers go closer'
	],
	line: ['PgUp, PgDn', 'on the picture: from line to line; Enter takes that row in hand'],
	closer: ['+, −, 0', 'on the picture: closer, farther, the whole'],
	find: ['/', 'on the Shelf: finds a design']
} as const satisfies Record<string, readonly [string, string]>;
