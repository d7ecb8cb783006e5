import { MOST_OF_A_LINE } from '../../document/limits.ts';
import { LINE_ROLES, ROLE_WORDS, type LineRole } from '../../document/line-role.ts';
import { MATERIAL_KINDS } from '../../materials/material.ts';
import { handForm, type HandFacet } from '../facets/by-hand.ts';
import type { Extras } from './document.ts';

const line = handForm({
	id: 'line',
	title: 'a thing',
	missing: 'What is it? Choose it above; things are kept in the Stockroom.',
	fields: {
		thing: {
			kind: 'thing',
			label: 'What',
			kinds: MATERIAL_KINDS.filter((k) => !k.startsWith('latex') && !k.startsWith('foil')),
			none: 'choose one'
		},
		count: { kind: 'count', label: 'How many', min: 1, max: MOST_OF_A_LINE, start: 1 },
		role: {
			kind: 'choice',
			label: 'It is',
			options: LINE_ROLES.map((r) => [r, ROLE_WORDS[r]] as const),
			start: 'always'
		}
	},
	said: ({ thing, count, role }) =>
		thing === null
			? []
			: [
					{
						kind: 'lines',
						lines: [{ material: thing, name: '', quantity: String(count), range: null }],
						role: role as LineRole,
						swappable: false
					}
				]
});

export const byHand: HandFacet<Extras> = { forms: [line] };
