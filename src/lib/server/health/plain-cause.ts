/** What stands behind a failed query: the values that were asked with, whoever's they are. */
const VALUES = /\s*\nparams:[\s\S]*$/;

/**
 * Why something failed, to be written down: what kind of failure, in which words, and where in the code, of it and of what
 * stands behind it. Nothing that was typed or read is in it: neither the values of a query nor what hangs on the error.
 */
export function plainCause(cause: unknown): string {
	const said: string[] = [];
	for (let e = cause, depth = 0; e !== undefined && e !== null && depth < 4; depth++) {
		if (!(e instanceof Error)) {
			said.push(`something that is no error (${typeof e})`);
			break;
		}
		const words = e.message.replace(VALUES, '').slice(0, 500);
		const frames = (e.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
		said.push([`${e.name}: ${words}`, ...frames.slice(0, 12)].join('\n'));
		e = e.cause;
	}
	return said.join('\n  because of ');
}
