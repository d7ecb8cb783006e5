/** How tight a foil is filled: told by its look, never by a size. */
export const FOIL_LOOKS = ['creased', 'firm'] as const;

export type FoilLook = (typeof FOIL_LOOKS)[number];
