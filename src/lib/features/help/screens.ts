/** What a screen is for and how one begins there, in five sentences. */
export interface Help {
	readonly title: string;
	readonly says: readonly [string, string, string, string, string];
}

/** By the beginning of the address, the longest first. */
const HELP: Readonly<Record<string, Help>> = {
	'/new': {
		title: 'New design',
		says: [
			'Pick the shape that is nearest to what you want to build: every one of them can become anything later.',
			'Its fields are what you would be asked in the shop; the picture and the price follow each of them.',
			'A colour is picked by its swatch, a size by its bag, a number by its − and + or by dragging across it.',
			'Build it takes you to the Bench, where every part can be changed, moved and copied.',
			'The lines beside it are what you could have typed there instead: you need none of them.'
		]
	},
	'/bench': {
		title: 'Bench',
		says: [
			'On the left stands what the piece is made of, floor at the bottom; in the middle its picture, worked out from that; on the right what it costs.',
			'Press a row, or a balloon in the picture, and what can be done with it opens there; everything is undone with one press.',
			'“add a row” and “add …” below put something there by hand; who likes to type says it on the line, like “4 11 at 9 white x6”.',
			'The small squares in the picture are dragged: up for taller, sideways for wider; the colours above it are dropped on a balloon.',
			'It is saved while you work; Keep makes a version to come back to, and Quote this begins a quote with it.'
		]
	},
	'/shelf': {
		title: 'Shelf',
		says: [
			'Here stands every design you made, all at one scale and on one floor.',
			'Under each is what it costs, what is left of the price, how long it takes and its price today.',
			'Press a picture to open it on the Bench; “duplicate” makes another that you can change.',
			'Find looks for names and tags; the lists beside it put them in another order.',
			'What is marked “part” is used in another design: changing it changes that one when it is kept.'
		]
	},
	'/stockroom': {
		title: 'Stockroom',
		says: [
			'Here is everything you buy or use again: balloons, foils, stands, ties, ribbon.',
			'A price is that of a pack; what one costs is worked out beside it.',
			'“change” beside a thing takes its new price; every design counts with it from then on, quotes that were sent do not.',
			'“Add a material” takes a new one, and a new colour; a blank price is not known, and never nothing.',
			'Find looks for a name, a colour or a kind.'
		]
	},
	'/stockroom/things': {
		title: 'What comes back',
		says: [
			'Write down how many there are of what comes back: stands, hoops, plates, weights, each by a name that is written on it.',
			'Below you see day by day how many are out; what more jobs want than there are stands on top, with who can wait and what could stand in.',
			'“change” beside a piece says it is in repair or lost: it is then no longer counted as there.',
			'A piece is out from the day before a job until the day after it.',
			'What nobody has written down is “not counted”: of that nothing is said.'
		]
	},
	'/stockroom/cut': {
		title: 'To cut',
		says: [
			'Tick the jobs whose frames are made now, and press “Cut these together”: the fewest sticks for all of them.',
			'What lies on the shelf is cut first. “It is cut” takes it off the shelf, and puts on it what is left and long enough.',
			'The picture shows each stick with its cuts; “nobody can do with less” says that it is proved.',
			'Pressed twice, or on two screens, no offcut is cut twice: the second is told so.',
			'An offcut you find is put on the shelf below; one you used for something else is taken off.'
		]
	},
	'/quotes': {
		title: 'Quotes',
		says: [
			'Every quote stands here with its client, its day and its sum, the next event first.',
			'Type a client’s name and press New quote, or begin one from a design with Quote this.',
			'In a quote you add designs, say how many, and see cost and margin beside it while you do.',
			'A draft is counted at today’s prices; once it is sent it stays as the client saw it.',
			'Find looks for a client, an occasion or a number.'
		]
	},
	'/quick': {
		title: 'Quick price',
		says: [
			'For the question on the phone: how much would that be in blue, six feet tall, two of them?',
			'Pick a design, a colour, a height and how many; the price stands below at once.',
			'Margin shows what is left of it, for your eyes alone.',
			'Copy as text puts a sentence with the price on the clipboard, to be sent as a message.',
			'Nothing is kept here: for an offer that holds, make a quote.'
		]
	},
	'/thumb': {
		title: 'Rules of thumb',
		says: [
			'Small sums that every maker does: how many for a length, how far a cylinder goes, where to cut a pipe.',
			'Each says the rule it goes by and how far to trust it.',
			'Change a field and the answer follows.',
			'“use it” takes the answer over into a design where that makes sense.',
			'What you build is counted exactly on the Bench: these are for before.'
		]
	},
	'/settings': {
		title: 'Settings',
		says: [
			'Here is what every price hangs on: your hour, what is lost, your margin, tax and rounding.',
			'A change counts for all designs and drafts from then on; what was sent stays as it was.',
			'The rules say what comes along by itself: a patch under each balloon on the floor, a tie for each cluster.',
			'Work times are what a hand takes for each task: put in your own once you have timed them.',
			'Nothing is taken before you press Save; what cannot be right is said at its field.'
		]
	},
	'/settings/work': {
		title: 'Work and people',
		says: [
			'What each thing takes is seconds for one: type your own, or time a build with the watch above.',
			'Every build you time moves its figure towards yours; a bad day is left out, and can be taken back in.',
			'A kind of job says what it takes around its pieces: talk, shopping, loading, driving, clearing up; a quote starts from one.',
			'People have a wage, what comes on top and a pace; who is ticked is usually there.',
			'The rate card and the rules of an order stand below; nothing is taken before you press Save.'
		]
	},
	'/compare': {
		title: 'Side by side',
		says: [
			'Two designs, or two versions of one, stand beside each other at today’s prices.',
			'Pick one on each side; the pictures are at one scale.',
			'Below stands what differs: what it takes, how long, what it costs.',
			'A design can be seen rebuilt with clusters of another count.',
			'Nothing is changed by looking.'
		]
	},
	'/welcome': {
		title: 'Welcome',
		says: [
			'A few answers to begin with: who you are, your money, inches or centimetres, your hour and your margin.',
			'Each can be skipped and is in Settings later.',
			'With your wish an everyday Stockroom is laid out, without prices: those are yours.',
			'Then comes the first design, from a shape.',
			'Then the first quote with it.'
		]
	}
};

const SHORTCUTS: Help = {
	title: 'Bright Tally',
	says: [
		'A design is recorded once on the Bench, with everything it takes.',
		'From it come its picture, its cost and its price, the lists to buy and to inflate, and the steps to build it.',
		'The Shelf holds all designs, the Stockroom all you buy, Quotes what you offered.',
		'Ctrl K opens the list of everything that can be done, by a few letters.',
		'? on any screen says what that screen is for.'
	]
};

/** What is said of the screen at an address. */
export function helpAt(path: string): Help {
	const found = Object.keys(HELP)
		.filter((p) => path === p || path.startsWith(`${p}/`))
		.sort((a, b) => b.length - a.length)[0];
	return found === undefined ? SHORTCUTS : HELP[found]!;
}
