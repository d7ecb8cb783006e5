/** What became of a quote since it was issued, as its page shows it. Sums and days are in words. */
export interface QuoteLifeView {
	readonly link: string;
	/** Until when it opens, and since when it was taken back: `YYYY-MM-DD`. */
	readonly linkUntil: string;
	readonly linkEnded: string | null;
	/** How often a client opened it, and the newest of it. */
	readonly looks: {
		readonly many: number;
		readonly newest: readonly {
			readonly at: string;
			readonly what: 'page' | 'paper';
			readonly device: string;
		}[];
	};
	readonly revision: number;
	readonly isRevising: boolean;
	readonly due: string | undefined;
	/** A question without an answer; null is none. */
	readonly isAsked: string | null;
	readonly events: readonly { readonly what: string; readonly at: string; readonly text: string }[];
	readonly revisions: readonly {
		readonly number: number;
		readonly at: string;
		readonly total: string;
		readonly margin: number | null;
		readonly changes: readonly { readonly what: string; readonly before: string; readonly after: string }[];
	}[];
	readonly messages: readonly {
		readonly id: string;
		readonly kind: string;
		readonly recipient: string;
		readonly subject: string;
		readonly at: string;
	}[];
	/** For a messenger, to be copied. */
	readonly copy: string;
	readonly client: { readonly id: string; readonly email: string; readonly latex: string };
	readonly order:
		| {
				readonly chosen: readonly string[];
				readonly level: string | null;
				readonly total: string;
				readonly paid: string;
				readonly left: string;
				readonly next: { readonly kind: string; readonly amount: string } | null;
				readonly payments: readonly {
					readonly id: string;
					readonly kind: string;
					readonly amount: string;
					readonly state: string;
					readonly at: string;
				}[];
		  }
		| null
		| undefined;
	readonly papers: readonly {
		readonly id: string;
		readonly kind: string;
		readonly title: string;
		readonly amount: string;
		readonly at: string;
		readonly canCredit: boolean;
	}[];
	readonly glance: readonly {
		readonly name: string;
		readonly total: number;
		readonly margin: number | null;
		readonly hours: number;
	}[];
}
