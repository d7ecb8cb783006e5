import { leadColours, type LeadColour } from '../core/photo/lead-colours.ts';
import type { Pixels } from '../core/photo/photo-edge.ts';

export type PaletteTell = readonly LeadColour[];

addEventListener('message', ({ data }: MessageEvent<Pixels>) => postMessage(leadColours(data) satisfies PaletteTell)); // prettier-ignore
