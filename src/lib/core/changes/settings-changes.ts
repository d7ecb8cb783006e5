import type { RawChange } from './words.ts';

/** What is longer is no figure. */
const LONGEST = 120;

/** `labourPerHour` as a person reads it. */
const plain = (name: string): string => name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

/** Every single figure and word of plain data, by the way to it. Things with an id or a name are known by it. */
function leaves(value: unknown, path: string, into: Map<string, string>): Map<string, string> {
	if (Array.isArray(value)) {
		value.forEach((one: unknown, i) => {
			const { name, id, of } = (typeof one === 'object' && one !== null ? one : {}) as Record<
				string,
				unknown
			>;
			const known = [name, id, of].find((k): k is string => typeof k === 'string' && k !== '');
			leaves(one, `${path}, ${known ?? `no. ${i + 1}`}`, into);
		});
		return into;
	}
	if (typeof value === 'object' && value !== null) {
		for (const [name, own] of Object.entries(value))
			leaves(own, path ? `${path}, ${plain(name)}` : plain(name), into);
		return into;
	}
	if (value !== undefined) into.set(path, String(value).slice(0, LONGEST));
	return into;
}

/** What is different between two settings, figure by figure. Two of one name are one here, and the later counts. */
export function settingsChanges(before: unknown, after: unknown): RawChange[] {
	const [was, is] = [leaves(before, '', new Map()), leaves(after, '', new Map())];
	return [...new Set([...was.keys(), ...is.keys()])]
		.filter((path) => was.get(path) !== is.get(path))
		.map((path) => ({ what: `settings.${path}`, was: was.get(path) ?? null, is: is.get(path) ?? null }));
}
