/** A pack of the table as it was sent, and what is wrong with it or asked about it. */
export interface PackRefusal {
	readonly pack: string;
	readonly count: string;
	readonly price: string;
	readonly deposit: string;
	readonly errors: { readonly count?: string; readonly price?: string; readonly deposit?: string };
	readonly asks?: { readonly say: string; readonly about: string };
}

/** A loss that is asked about before it counts. */
export interface LossAsked {
	readonly material: string;
	readonly asks: { readonly say: string; readonly about: string };
}
