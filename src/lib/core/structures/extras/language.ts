import type { Mutable } from '../../document/mutable.ts';
import type { LanguageFacet } from '../facets/language.ts';
import type { ExtraLine, Extras } from './document.ts';
import { sectionOfLines } from './edit.ts';
import { newLine } from './empty.ts';
import { lines } from './read.ts';
import type { ExtrasSaid } from './said.ts';

export const language: LanguageFacet<Extras, ExtrasSaid> = {
	starts: null,
	examples: ['2 to 4 reeds', '1 sandbag or 4 stakes optional'],
	phrases: [
		'two stakes if needed',
		'a sack for row 1',
		'a stake or a sack',
		'10 ft of thin ribbon',
		'bring 2 stakes along'
	],
	shown: false,
	read: () => undefined,
	readAnywhere: lines,
	home: sectionOfLines,
	take: {
		lines({ structure }, { lines: said, role, swappable }, _place, { newId }) {
			const group =
				said.length > 1
					? said
							.map((l) => l.name)
							.join(' or ')
							.slice(0, 80)
					: null;
			said.forEach(({ material, quantity, range, onSpot, serves }, i) => {
				const choice = group === null ? null : { group, when: '' };
				const taken = group === null ? role !== 'optional' : i === 0;
				const line: ExtraLine = {
					...newLine(newId(), material, quantity),
					range,
					role,
					swappable,
					choice,
					taken,
					...(onSpot ? { onSpot } : {}),
					...(serves ? { serves } : {})
				};
				structure.lines.push(line as Mutable<ExtraLine>);
			});
		}
	}
};
