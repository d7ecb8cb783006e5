/** Roles as the owner would say them, and what each sees. */
export const ROLES = {
	owner: { name: 'owner', sees: 'everything, with wages and settings' },
	office: {
		name: 'office',
		sees: 'designs, prices, quotes, clients and the Stockroom; no wages, no settings'
	},
	crew: { name: 'crew', sees: 'what is built and how, and what goes into the van; no price, no cost' },
	bookkeeper: { name: 'bookkeeper', sees: 'quotes, papers, costs and stock, to read and take out' }
} as const;
export type RoleName = keyof typeof ROLES;
