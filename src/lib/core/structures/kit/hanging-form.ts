import type { Hung } from '../../document/hung.ts';
import { feet, inches } from '../../units/length.ts';
import { handForm } from '../facets/by-hand.ts';
import type { Said } from '../registry/said.ts';
import { HANGS, HOLDS, hangs } from './by-hand.ts';

/** What a piece hangs on, for every kind that hangs. @param start what it begins with */
export const hangingForm = (said: (hung: Hung | null) => Said, start: string = HANGS.start) =>
	handForm({
		id: 'hangs',
		title: 'what it hangs on',
		fields: {
			hangs: { ...HANGS, start },
			holds: HOLDS,
			every: { kind: 'length', label: 'One every', min: inches(2), max: feet(30), start: feet(2) }
		},
		said: ({ hangs: by, holds, every }) => [said(hangs(by, holds, every))]
	});
