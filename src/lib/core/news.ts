/** What is new to whoever uses it, the newest version first, in sentences of theirs. */
export const NEWS: readonly { readonly version: string; readonly news: readonly string[] }[] = [
	{
		version: '0.3.0',
		news: [
			'A yes is a job: its days, people, place and lists, a calendar, and a page for the day on the phone.',
			'A build plan over several jobs, by day and person, with what does not fit and what would help.',
			'Counting at the bench by tap, key or foot switch, also without a line.',
			'A job that is over is counted back: its real margin stands beside the reckoned one.',
			'Colours and counts that were open are settled at the job, and what that costs against the quote is said.',
			'Numbers: what is left, of which designs and clients, where the time goes; each with its chart, table and CSV.',
			'What jobs taught of how long work takes is said, taken over by a press, and gone back on by another.',
			'How many balloons really go on a garland is learned from its jobs, and made a version by a press.',
			'Photographs of a job; once the day is over the client’s page says thank you with those you show.',
			'Shopping for all jobs of a period: the least that is here in time, a list for each supplier.',
			'Designs and quotes can be put away and taken out again; what nothing hangs on can be deleted.'
		]
	},
	{
		version: '0.2.0',
		news: [
			'People sign in, each with a role: owner, office, crew, books. Crew see what to build and no price.',
			'Clients’ links can be taken back, and say when they were opened.',
			'Who changed what, from what to what, is written down and can be searched.',
			'Backups are made by themselves; you can go back to one, and see first what would be different.',
			'The whole studio goes into one file, and from there into an empty studio.',
			'This page says how the server is.'
		]
	},
	{
		version: '0.1.0',
		news: ['Designs as recipes, prices by the piece and the hour, quotes with a client’s page, a Stockroom with a ledger.'] // prettier-ignore
	}
];
