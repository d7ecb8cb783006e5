import type { Colour, Material } from '../../core/materials/material.ts';
import type { Settings } from '../../core/workspace/settings.ts';

/** What fields are filled from: the Stockroom, and how lengths and numbers are written here. */
export interface HandData {
	readonly settings: Settings;
	readonly materials: readonly Material[];
	readonly colours: readonly Colour[];
	/** Whether a place may be one that nobody sees: any colour will do there. */
	readonly unseen?: true;
}
