import { isMaterialKey } from '../materials/material-key.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Assembly } from '../assembly/assemble.ts';
import type { Bill } from '../bom/bill.ts';
import type { Rates } from '../cost/rates.ts';
import type { Finding } from './finding.ts';
import { isFloorContact } from '../recipe/section-work.ts';
import { isHeld } from '../structures/registry/check.ts';
import { needsOf } from '../structures/registry/count.ts';
import { leads } from '../structures/registry/variant.ts';
import { standsOnFloor } from '../recipe/sections.ts';
import { findHost } from '../recipe/find-host.ts';
import { hostLost } from '../structures/kit/over-safe.ts';
import { rulesFor } from '../document/rule.ts';
import { formatFeet, type Millimetres } from '../units/length.ts';

/** Higher than this without a base or a weight a piece is easily knocked over, mm. House rule. */
const TALL = 1500;

/** What stands on the floor: latex on bare ground, and tall pieces that nothing holds down. */
export function checkStanding(recipe: Recipe, { overall }: Assembly, bill: Bill, rates: Rates): Finding[] {
	const findings: Finding[] = [];
	const onFloor = recipe.sections.some(
		(s) => needsOf(s.structure, undefined).some(isFloorContact) && standsOnFloor(recipe, s)
	);
	const patched = rulesFor(recipe.rules, rates.rules).some((r) => r.of === 'floor contact' && r.each !== '0');
	if (onFloor && !patched) {
		findings.push({
			code: 'bare-floor',
			level: 'watch',
			say: 'Latex on a bare floor: no rule puts a patch under what touches it. Set one, or raise the base.',
			why: 'Grit and static burst the lowest layer first, and it holds all the others.'
		});
	}
	const held =
		recipe.sections.some((s) => isHeld(s.structure)) ||
		bill.lines.some(
			({ material, status, key }) =>
				material?.kind === 'base' || material?.kind === 'weight' || (status === 'open' && isMaterialKey(key))
		);
	if (overall.usual > TALL && !held && bill.balloons > 0) {
		findings.push({
			code: 'light-base',
			level: 'watch',
			say: `It stands ${formatFeet(overall.usual as Millimetres)} tall and nothing holds it down. Give it a stand, or a weight in the lowest cluster.`,
			why: 'A tall light piece tips over when somebody brushes past it, and in the first gust outdoors.'
		});
	}
	for (const { id, name, stand, structure } of recipe.sections) {
		if (stand.at !== undefined && findHost(stand.at, recipe).kind === 'gone')
			findings.push({ ...hostLost(name), about: id });
		const pole = stand.how === 'over' ? recipe.sections.find((s) => s.id === stand.by) : undefined;
		const needs = needsOf(structure, undefined);
		// Rows that touch no floor stand on a table.
		const onTable = leads(structure) === 'by rows' && needs.length > 0 && !needs.some(isFloorContact);
		if (pole && onTable)
			findings.push({
				code: 'upright-short',
				level: 'bad',
				say: `${name} stands on a table, and is threaded over ${pole.name}, which stands on the floor: it would go through the table. Say “stands on the floor”, or stand it on the table without that frame.`,
				why: 'A pole through a table needs a hole in somebody’s table.'
			});
	}
	return findings;
}
