/** How tight a foil is filled: told by its look, never by a size. */
export const FOIL_LOOKS = ['creased', 'firm'] as const;

export type FoilLook = (typeof FOIL_LOOKS)[number];

/** How it looks then, as it is checked at the bench. */
export const LOOKS: Readonly<Record<FoilLook, string>> = {
	creased: 'creases left at the rim, springs back',
	firm: 'firm, no creases'
};
