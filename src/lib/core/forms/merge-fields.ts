/** Texts of a form by field. */
export type Fields = Readonly<Record<string, string>>;

/** The fields as a form was filled with them, in JSON; a form that does not say starts from what stands there. */
export function startedFrom(text: string | undefined): Fields {
	try {
		const said: unknown = JSON.parse(text ?? '{}');
		if (typeof said !== 'object' || said === null || Array.isArray(said)) return {};
		const texts = Object.entries(said).filter(([, value]) => typeof value === 'string');
		return Object.fromEntries(texts) as Fields;
	} catch {
		return {};
	}
}

/** A field that two people changed to different things. */
export interface Meanwhile {
	readonly mine: Fields;
	/** A sentence for each such field, with what stands there now. */
	readonly errors: Readonly<Record<string, string>>;
}

/**
 * Lays what was typed over what stands there now, field by field: what only others changed since stays theirs, what only
 * this form changed is its own, and what both changed to different things is asked.
 * @param started the fields as this form was filled with them @param now as they would be filled today
 */
export function mergeFields(typed: Fields, started: Fields, now: Fields): Meanwhile {
	const mine: Record<string, string> = { ...typed };
	const errors: Record<string, string> = {};
	for (const [field, current] of Object.entries(now)) {
		const [base, own] = [started[field], typed[field]];
		// Browsers send line ends of two letters.
		const same = (a: string | undefined, b: string) => a?.replace(/\r\n/g, '\n') === b;
		if (own === undefined || base === undefined || same(base, current)) continue;
		if (same(own, base)) mine[field] = current;
		else if (!same(own, current))
			errors[field] =
				`Changed to “${current}” meanwhile, in another tab or by somebody else. Save again to keep yours.`;
	}
	return { mine, errors };
}
