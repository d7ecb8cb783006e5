/** What is known of a client besides name, e-mail and telephone. */
export interface ClientDetails {
	/** Where papers go. */
	readonly address?: string | undefined;
	/** The place that is decorated: how one gets in, where one parks, how many floors. */
	readonly delivery?: string | undefined;
	readonly access?: string | undefined;
	readonly parking?: string | undefined;
	readonly floors?: string | undefined;
	/** Other people to call. */
	readonly contacts?: string | undefined;
	readonly likes?: string | undefined;
	/** What must not be near: latex first of all. */
	readonly allergies?: string | undefined;
	/** What holds every time: “invoice to the office, 30 days”. */
	readonly terms?: string | undefined;
	/** Why they pay no tax; nothing is they do. */
	readonly exempt?: string | undefined;
}
export const CLIENT_DETAILS = [
	'address',
	'contacts',
	'delivery',
	'access',
	'parking',
	'floors',
	'likes',
	'allergies',
	'terms',
	'exempt'
] as const satisfies readonly (keyof ClientDetails)[];
