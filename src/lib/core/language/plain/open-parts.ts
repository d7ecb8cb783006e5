import type { EntryContext } from '../context.ts';
import { matched, type Reading } from './reading.ts';

/** Words around the name of a part. */
const THE = '(?:(?:the|that|this|my|our) )?';
const PART = String.raw`${THE}(.+?)(?: (?:section|part))?`;
const MAY = '(?:is|are|can be|could be|may be|should be|has to be|have to be|must be|gets?|will be)';

/** Ways of saying that a part may be left out, and what it comes to; `$` is the name of the part. */
const SAYS: readonly (readonly [string, (found: readonly (string | undefined)[]) => string])[] = [
	[`(?:the )?${PART} ${MAY} (?:optional|left out if (?:she|he|they|the client) (?:likes?|wants?))`, () => '$ optional'],
	[`(?:make|have|mark) ${PART} (?:as )?optional`, () => '$ optional'],
	[`(?:an? )?optional:? ${PART}`, () => '$ optional'],
	[`(?:only|just) (?:when|if|where) (?:it(?: i|')?s |there is |theres )?(.+?)[:,] ${PART}`, ([when]) => `$ optional when ${when}`],
	[`${PART} (?:is |goes |goes on |comes |comes on )?(?:only|just|optional) (?:when|if|where) (?:it(?: i|')?s |there is |theres )?(.+)`, ([, when]) => `$ optional when ${when}`],
	[`(?:leave|take|keep) ${PART} (?:off|out|away|aside)|(?:leave|take) (?:off|out|away) ${PART}`, () => 'leave out $'],
	[`(?:without|skip|drop|lose|forget|no|omit) ${PART}(?: for this (?:1|one))?`, () => 'leave out $'],
	[`put ${PART} back(?: on| in)?|(?:put )?back (?:on |in )?(?:with )?${PART}|with ${PART} (?:again|after all)|${PART} after all`, () => 'put back $'],
	[`${PART} (?:is |stays )?(?:always there|no longer optional|not optional|a must|always goes on|always on)`, () => '$ always there'],
	[`${PART} (?:can be |is |are |may be |could be |gets |should be )?(?:made|built|done|prepared|finished) (?:up to )?(\\d+|a|the) days? (?:before(?:hand)?|ahead|earlier|in advance)`, ([, days]) => `$ made ${/\d/.test(days!) ? days : 1} days before`],
	[`(?:make|build|prepare|do) ${PART} (?:up to )?(\\d+|a|the) days? (?:before(?:hand)?|ahead|earlier|in advance)`, ([, days]) => `$ made ${/\d/.test(days!) ? days : 1} days before`],
	[`${PART} (?:is |are |has to be |must be |can only be )?(?:made|built|done) (?:only )?on the (?:same )?day(?: itself)?|(?:make|build) ${PART} on the (?:same )?day(?: itself)?`, () => '$ made on the day']
]; // prettier-ignore

/** The part of the design that words name, by its whole name. */
function partCalled(words: string | undefined, { recipe }: EntryContext): string | undefined {
	const said = words?.trim().toLowerCase();
	return recipe?.sections.find(({ name }) => name.toLowerCase() === said)?.name;
}

/** `leave the wing off`, `the wing is optional`, `the wing can be made three days before`: parts that may be there or not. */
export const openParts: Reading = (said, context) => {
	for (const [words, line] of SAYS) {
		const found = matched(words, said);
		const [, ...groups] = found ?? [];
		const name = groups.map((g) => partCalled(g, context)).find((n) => n !== undefined);
		if (name === undefined) continue;
		return [line(groups).replace('$', name)];
	}
	return undefined;
};
