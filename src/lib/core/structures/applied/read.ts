import { got, refuse, type Parsed } from '../../errors.ts';
import { FIXINGS, type Fixing, type Tier } from './document.ts';
import type { Id } from '../../document/id.ts';
import type { AppliedSaid } from './said.ts';
import { rangedCount } from '../../language/ranged-count.ts';
import { MOST_FIXINGS } from '../../document/limits.ts';
import { rationalText } from '../../units/rational.ts';
import { MEANT } from '../../language/context.ts';
import { type SaidPiece } from './said.ts';
import { flatOf } from '../../materials/material.ts';
import { findMaterial } from '../../language/names/find-material.ts';
import { saidBalloon } from '../../language/fill.ts';
import { type Reader } from '../../language/reader.ts';
import { hostOf } from '../../language/host.ts';

/**
 * `put 2 5 at 4 white as eyes on row 3 front with strip`; `put 2 5 at 2 black as pupils on eyes`; `put 1 foil star on column top row`; several tiers:
 * `put 3 5 at 3 white as spots on row 4, 5 on row 5`. Rows are counted from the floor, as they stand on the screen.
 */
export function piece(r: Reader): Parsed<AppliedSaid> | undefined {
	if (!r.word('put')) return undefined;
	const count = rangedCount(r);
	if (count === undefined)
		return refuse('missing', 'How many pieces? Start like “put 2 5 at 4 white on row 3 front”.');
	const what = thing(r);
	if (!what.ok) return what;
	const name = r.word('as') ? r.name('on', 'with', ...MEANT).join(' ') : what.value.name;
	if (name === '') return refuse('missing', 'Name the piece after “as”, like “as eyes”.');
	const hosts: (Tier & { section: Id | null })[] = [];
	for (let n: Many | undefined = count; n !== undefined; n = r.mark(',') ? rangedCount(r) : undefined) {
		if (!isOrdered(n)) return refuse('refused', 'The fewest come first: type it like “put 2 to 4 …”.');
		const host = hostOf(r, hosts.at(-1)?.section ?? null);
		if (!host.ok) return host;
		hosts.push({ host: host.value.host, section: host.value.section, ...n });
	}
	const section = hosts[0]!.section;
	if (hosts.some((h) => h.section !== section))
		return refuse('refused', 'Pieces of one line sit on one section. Say the others on a line of their own.');
	const fixed = r.word('with') ? fixedWith(r) : got({ fixing: 'strip' as const });
	if (!fixed.ok) return fixed;
	const on = hosts.map(({ section: _section, ...tier }) => tier);
	return got({ kind: 'piece', piece: { name, what: what.value.what, on, section, ...fixed.value } });
}

/** `2 strip`, `trial loop then glue`: how a piece is fixed, behind “with”. */
function fixedWith(r: Reader): Parsed<Pick<SaidPiece, 'fixing' | 'each' | 'then'>> {
	const each = r.number();
	if (each !== undefined && (each.compare(0) < 0 || each.compare(MOST_FIXINGS) > 0))
		return refuse('too-big', `A piece takes 0 to ${MOST_FIXINGS} fixings.`);
	const fixing = fixingOf(r);
	const then = fixing && r.word('then') ? fixingOf(r) : null;
	if (!fixing || then === undefined)
		return refuse('unknown-word', `A piece is fixed with ${FIXINGS.join(', ')}.`);
	const amount = each === undefined || each.equals(1) ? {} : { each: rationalText(each) };
	return got({ fixing, ...amount, ...(then ? { then } : {}) });
}

function fixingOf(r: Reader): Fixing | undefined {
	const rest = r.rest();
	const found = [...FIXINGS].sort((a, b) => b.length - a.length).find((f) => rest.startsWith(f));
	if (found) r.at += found.split(' ').length;
	return found;
}

const isOrdered = ({ range }: Many): boolean => !range || range.low < range.high;
type Many = NonNullable<ReturnType<typeof rangedCount>>;

function thing(r: Reader): Parsed<{ name: string; what: SaidPiece['what'] }> {
	if (r.now?.kind === 'number') return saidBalloon(r, ['as', 'on', 'with']);
	const found = findMaterial(r.words('as', 'on', 'with'), r.context.materials);
	if (!found.ok) return found;
	const { id, name, kind, nominal } = found.value;
	return got({
		name,
		what: { kind: 'material', material: id, flat: flatOf({ kind, nominal }) }
	});
}
