import type { Silenced } from '../recipe/recipe.ts';
import { findingKey, wordKey, type Finding } from './finding.ts';

/** Whether a finding was answered with a reason. What stops a sale cannot be. */
export const isSilenced = (finding: Finding, silenced: readonly Silenced[]): boolean =>
	finding.level !== 'bad' &&
	silenced.some((s) => s.finding === findingKey(finding) || s.finding === wordKey(finding));

/**
 * What was silenced by the words of its sentence, by what it is about: words may change after that.
 * @param findings of the same recipe, those that are silenced among them
 * @returns the very list where nothing was known by words
 */
export function byWhatItIsAbout(
	silenced: readonly Silenced[],
	findings: readonly Finding[]
): readonly Silenced[] {
	const keys = new Map(findings.map((f) => [wordKey(f), findingKey(f)]));
	const renamed = silenced.map((s) => {
		const key = keys.get(s.finding);
		return key === undefined || key === s.finding ? s : { ...s, finding: key };
	});
	return renamed.some((s, i) => s !== silenced[i]) ? renamed : silenced;
}
