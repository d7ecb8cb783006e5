import type { Recipe, Section } from '../../core/recipe/recipe.ts';
import { formatFeet, toMillimetres } from '../../core/units/length.ts';

/** Where a section stands and how many there are, as the row above its layers says it. */
export function standingWords({ stand, times, mirror }: Section, { sections }: Recipe): string {
	const host = sections.find((s) => s.id === stand.by)?.name;
	const where = !host
		? 'on the floor'
		: stand.how === 'on top'
			? `on top of ${host}`
			: `${{ left: 'left of', right: 'right of', front: 'before', back: 'behind' }[stand.how]} ${host}`;
	const height =
		stand.height === null || stand.how === 'on top' || !host
			? ''
			: ` at ${formatFeet(toMillimetres(stand.height))}`;
	return `${times > 1 ? `×${times}${mirror ? ' mirrored' : ''}, ` : ''}${where}${height}`;
}
