import { coloursIn } from './colours.ts';
import { limbs } from './limbs.ts';
import { openParts } from './open-parts.ts';
import { matched, N, oneOf, type Reading } from './reading.ts';
import { rowLine } from './row.ts';

/** Rows of what is woven, and what its knots are joined with. */
const woven: Reading = (said, context) => {
	if (matched('(?:make|made|tie|twist|weave) (?:up )?(?:all )?(?:the )?strings first', said))
		return ['strings first'];
	const ribbons = matched(
		String.raw`(?:make|made|weave|woven|build|built) (?:it |them )?(?:up )?(?:in|as) (?:ribbons|strips|bands) of (\d+)(?: (?:rows?|strings?))?(?: first)?`,
		said
	);
	if (ribbons) return [`ribbons of ${ribbons[1]} first`];
	const rows = matched(String.raw`(\d+) rows? of (\d+)(?: links?)?(?: in| of)? ([a-z ]+)`, said);
	if (rows && coloursIn(rows[3]!, context)) return [`${rows[1]} rows ${rows[2]} ${rows[3]}`];
	const cage = matched(
		String.raw`(?:an? )?(?:cage|crate|pot|box) of (\d+)(?: ?[″§])? links(?: at ${N}″?)?,? (\d+) by (\d+)(?: links)?,? (\d+) rings(?: high| tall)?(?:,? (?:with )?posts (?:of )?(\d+))?(?:,? (?:1 )?every (\d+))?`,
		said
	);
	if (cage)
		return [
			`cage of ${cage[1]} links${cage[2] ? ` at ${cage[2]}` : ' at ?'} ${cage[3]} by ${cage[4]}, ${cage[5]} rings${cage[6] ? ` posts ${cage[6]}` : ''}${cage[7] ? ` every ${cage[7]}` : ''}`
		];
	const gaps = matched(
		'(?:fill|put|close) (?:all )?(?:the |its )?(?:gaps|bays|holes|spaces)(?: between the links)? with (?:an? )?(.+)',
		said
	);
	const round = gaps && rowLine(`1 ${gaps[1]}`, context);
	if (round) return [`bays of ${round.replace(/^1 /, '')}`];
	const joined = matched('(?:join (?:it|them)|joined|the knots are|knotted) with (.+)', said);
	const own = joined && rowLine(`1 ${joined[1]}`, context);
	return own ? [`joined with ${own.replace(/^1 /, '')}`] : undefined;
};

const BESIDE: Readonly<Record<string, string>> = { 'on top of': 'on', on: 'on', 'in front of': 'front of', behind: 'back of', left: 'left of', right: 'right of', round: 'round', around: 'round' }; // prettier-ignore
const WHERE = String.raw`(?:,? (?:on the |to the |at the )?(on top of|on|in front of|behind|left|right|round|around)(?: of)? (?:the )?([a-z0-9 ]+))?`;

/** `a part called arm on the left of the column`, `use the whisk on top of the column`. */
const parts: Reading = (said) => {
	const named = matched(
		String.raw`(?:an? )?(?:new )?(?:section|part|piece)(?: called| named)? ([a-z]+(?: [a-z]+)?)${WHERE}`,
		said.replace(/,/g, '')
	);
	if (named) return [`section ${named[1]}${named[2] ? ` ${BESIDE[named[2]]} ${named[3]}` : ''}`];
	const used = matched(
		String.raw`(?:use|add|put|take) (?:an?|the|my|our) ([a-z][a-z0-9 ]*?)(?: design)?${WHERE}`,
		said
	);
	return used ? [`use ${used[1]}${used[2] ? ` ${BESIDE[used[2]]} ${used[3]}` : ''}`] : undefined;
};

/** Sizes, and steps of the plan. */
const design: Reading = (said) => {
	const size = oneOf(
		[
			String.raw`(?:an? )?([a-z]+) size(?: of| at|:|,)? ${N} (ft|cm|m)(?: tall| high)?`,
			String.raw`(?:a )?size (?:called )?([a-z]+),? (?:of )?${N} (ft|cm|m)(?: tall| high)?`
		],
		said
	);
	if (size) return [`size ${size[1]} ${size[2]} ${size[3]}`];
	const step = matched(
		'(?:note|remember|dont forget|reminder|(?:write|jot|note|put)(?: (?:it|this))? down(?=[:,])|make a note)(?: (?:for|to) (?:the |my |our )?(?:crew|team|helpers?|us|me|self|myself))?(?: to)?[:,]? (.+)',
		said
	);
	return step ? [`step ${step[1]}`] : undefined;
};

/** Of every kind what it brings of its own. */
export const KINDS: readonly Reading[] = [limbs, openParts, woven, parts, design];
