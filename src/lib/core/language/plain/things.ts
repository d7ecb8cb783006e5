import type { EntryContext } from '../context.ts';
import { servable } from '../../recipe/serving-lines.ts';
import { materialCalled } from '../names/find-material.ts';
import { matched, N, type Reading } from './reading.ts';

/** What a thing is called in the Stockroom: as said, or of several one. */
export function nameOfThing(said: string, { materials, masks }: EntryContext): string | undefined {
	const name = said.trim().replace(/^(?:the|my|our|some) /, '');
	if (masks?.has(name)) return name;
	return [
		name,
		name.replace(/s$/, ''),
		name.replace(/es$/, ''),
		name.replace(/s(?= (?:of|in|with|for) )/, '')
	].find((one) => one !== '' && materialCalled(one, materials) !== undefined);
}

/** `three star cards` as `3 star card`; undefined where it is nothing of the Stockroom. */
export function someThing(said: string, context: EntryContext): string | undefined {
	const found = matched(String.raw`(?:(\d+|an?) )?(?:(?:sets?|pairs?|pieces?|bits?) of )?(.+)`, said.trim());
	const name = found && nameOfThing(found[2]!, context);
	return name ? `${found[1] && /\d/.test(found[1]) ? found[1] : '1'} ${name}` : undefined;
}

/** How a thing is meant, by the words around it; of a group the thing itself is taken. */
const ROLES: readonly (readonly [RegExp, string])[] = [
	[/^(?:bring|take|pack|have) (.+?),? (?:just )?in case(?: .+)?$/, ' optional'],
	[/^(?:maybe|perhaps|optionally|optional:?|possibly) (.+)$/, ' optional'],
	[/^(.+?),? (?:optional(?:ly)?|maybe|perhaps|if (?:they|she|he|you|the client) (?:want|wants|like|likes)(?: (?:it|them|one))?|(?:if|when|where) (?:wanted|needed|asked(?: for)?|(?:it|there|we|they|the)(?: i|.)?s? .+|outdoors|outside)|as an extra|on request)$/, ' optional'],
	[/^(.+?),? (?:just )?in case (?:its|it is|there is|there's|theres|of) .+$/, ' optional'],
	[/^(.+?),? (?:taken along|brought along|just in case|in case|to take along)$/, ' taken along'],
	[/^(?:bring|take|pack) (.+) along$/, ' taken along'],
	[/^(?:take|bring) along (.+)$/, ' taken along'],
	[/^(.+?),? (?:left over|over|that is left|leftover)$/, ' left over'],
	[/^(?:reuse|use again|re-use) (.+)$/, ' reused'],
	[/^(.+?),? (?:reused|used again|comes back|from last time)$/, ' reused'],
	[/^(.+?),? (?:measured on (?:the spot|site)|as long as it takes|to measure)$/, ' measured on the spot'],
	[/^(.+?),? (?:swappable|or (?:something )?like it|or similar)$/, ' swappable']
]; // prettier-ignore

/** `a sack for row 1`, `2 stakes for the arm`: what of the design it is for. */
function servedIn(said: string, { sections = [], section, recipe }: EntryContext) {
	const found = /^(.+?),? (?:for|into|under|to hold|to weigh down) (?:the )?((?:bottom|lowest|top|first) row|row \d+)(?: of (?:the )?(.+))?$/.exec(said); // prettier-ignore
	const all = servable({ sections: recipe?.sections ?? sections }).map(([, words]) => words.trim());
	const own = sections.find((s) => s.id === section)?.name;
	if (found) {
		const name = found[3] ?? own ?? sections[0]?.name;
		const rows = all.filter((w) => w.toLowerCase().startsWith(`${name?.toLowerCase()} row `));
		const row = /^row/.test(found[2]!) ? `${name} ${found[2]!}` : found[2]!.startsWith('top') ? rows.at(-1) : rows[0]; // prettier-ignore
		const words = all.find((w) => w.toLowerCase() === row?.toLowerCase());
		return words === undefined ? undefined : { rest: found[1]!, words };
	}
	const whole = /^(.+?),? (?:for|to hold|to weigh down) (?:the )?(.+)$/.exec(said);
	const words = whole && all.find((w) => w.toLowerCase() === whole[2]!.toLowerCase());
	return words ? { rest: whole[1]!, words } : undefined;
}

/** Things of the Stockroom, as many as are said, alternatives with “or” between them. */
export const things: Reading = (said, context) => {
	let [rest, role] = [
		said
			.replace(/^(?:with|and) /, '')
			.replace(
				/,? (?:to|that|which) (?:weigh|hold|holds|weighs|keep|keeps|ballast) (?:it|that|them|this|the base)(?: down| still| steady| up)?$/,
				''
			),
		''
	];
	for (const [words, name] of ROLES) {
		const found = words.exec(said);
		if (!found) continue;
		[rest, role] = [found[1]!, name];
		break;
	}
	rest = rest.replace(/,? (?:in|inside|into|under) (?:the|its) (?:base|foot)$/, '');
	const served = servedIn(rest, context);
	if (served) [rest, role] = [served.rest, `${role} serving ${served.words}`];
	rest = rest.replace(/^an? (.+) or 2$/, '1 to 2 $1').replace(/^(\d+) of the /, '$1 ');
	const parts = rest.split(/,? or /).map((part) => {
		// What is bought by length is counted in its unit: feet.
		const long = matched(String.raw`${N} (?:ft|feet|metres?|m)(?: of)? (.+)`, part.trim());
		const name = long && nameOfThing(long[2]!, context);
		if (long && name) return `${long[1]} ${name}`;
		const several = matched(String.raw`${N} to ${N} (.+)`, part.trim());
		const own = several && nameOfThing(several[3]!, context);
		if (several && own) return `${several[1]} to ${several[2]} ${own}`;
		return someThing(part, context);
	});
	return parts.includes(undefined) ? undefined : [`${parts.join(' or ')}${role}`];
};
