import { got, refuse, type Parsed } from '../../errors.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { RecipeDraft } from '../../recipe/draft.ts';
import { MICROMETRES, um, type Micrometres } from '../../units/length.ts';
import { parseBounded } from '../../units/number.ts';
import { ofKind } from '../kinds.ts';
import { tooLong, wholeLength } from './count.ts';
import { carriesBelt, GOES_OVER, GOES_ROUND, type FormPiece, type Shaping } from './document.ts';

/** Changes one limb, by its id. */
export function changeLimb(recipe: RecipeDraft, id: Id, work: (limb: Mutable<FormPiece>) => void): void {
	for (const { structure } of ofKind(recipe.sections, 'form')) {
		const limb = (structure.pieces as Mutable<FormPiece>[]).find((p) => p.id === id);
		if (!limb) continue;
		work(limb);
		settle(limb);
	}
}

/** Fixes one limb on a host, by its id; null lets it stand by itself. @param carrier section that carries the host */
export function seatLimb(recipe: RecipeDraft, id: Id, host: Host | null, carrier: Id | null): void {
	changeLimb(recipe, id, (limb) => {
		limb.at = host && { ...host };
		if (host === null) delete limb.to;
	});
	const own = ofKind(recipe.sections, 'form').find(({ structure }) => structure.pieces.some((p) => p.id === id));
	if (host === null || carrier === null || !own || own.section.stand.by !== null) return;
	const section = recipe.sections.find((s) => s.id === own.section.id)!;
	section.stand = { ...section.stand, by: carrier };
} // prettier-ignore

/** What cannot be meant together is not: what is as long as its way has no length said, everything else has one, or is a tie. */
function settle(limb: Mutable<FormPiece>): void {
	if (limb.shaping === 'belt' && !carriesBelt(limb.at)) limb.shaping = 'plain';
	if (!GOES_OVER.has(limb.shaping)) delete limb.to;
	const may = GOES_ROUND.has(limb.shaping) || limb.to !== undefined;
	if (!may && limb.fits) {
		delete limb.fits;
		limb.bubbles = [wholeLength(limb.model)];
	}
	if (limb.shaping !== 'bent' && limb.shaping !== 'twined') limb.angle = 0;
	if (limb.fits) delete limb.each;
}

/** Another shape: what goes round something is as long as that until a length is said. */
export function shapeLimb(limb: Mutable<FormPiece>, shaping: Shaping): void {
	limb.shaping = shaping;
	limb.angle = shaping === 'bent' ? 180 : shaping === 'twined' ? 720 : 0;
	if (GOES_ROUND.has(shaping)) fit(limb);
}

/** Its other end is tied to this, straight over; undefined leaves it free. */
export function tieLimb(limb: Mutable<FormPiece>, to: Host | undefined): void {
	if (to === undefined) {
		delete limb.to;
		return;
	}
	limb.to = { ...to };
	limb.shaping = 'plain';
	fit(limb);
}

function fit(limb: Mutable<FormPiece>): void {
	limb.fits = true;
	limb.bubbles = [];
	limb.grows = 0;
	delete limb.each;
}

/**
 * Lengths as they are typed, inches: `24`, twisted in one `7 + 6`, one after the other `8, 10, 12`; blank is as long as its
 * way, or the whole balloon where it goes its own.
 * @returns why they cannot be
 */
export function lengthenLimb(limb: Mutable<FormPiece>, text: string): string {
	const said = lengthsIn(text);
	if (!said.ok) return said.say;
	const { lengths, each } = said.value;
	if (lengths.length === 0) {
		if (GOES_ROUND.has(limb.shaping) || limb.to) fit(limb);
		else Object.assign(limb, { bubbles: [wholeLength(limb.model)], each: undefined });
		return '';
	}
	const trouble = tooLong({ ...limb, bubbles: lengths, each });
	if (trouble) return trouble;
	limb.bubbles = [...lengths];
	delete limb.fits;
	if (each) limb.each = [...each];
	else delete limb.each;
	return '';
} // prettier-ignore

interface Lengths {
	readonly lengths: readonly Micrometres[];
	readonly each?: readonly Micrometres[];
}

function lengthsIn(text: string): Parsed<Lengths> {
	if (text.trim() === '') return got({ lengths: [] });
	const series = text.includes(';') || /,\s/.test(text);
	const found: Micrometres[] = [];
	for (const part of text.split(series ? /;|,\s+/ : '+')) {
		const parsed = parseBounded(part.replace(/in\.?$|″|"/, '').trim(), { what: 'A length', min: 0.5, max: 60 });
		if (!parsed.ok)
			return refuse('not-a-length', `${parsed.say} Type inches, like 24, twisted in one 7 + 6, or one after the other 8, 10, 12.`);
		found.push(um(Math.round(parsed.value.valueOf() * MICROMETRES.in)));
	}
	return got(series && found.length > 1 ? { lengths: found.slice(0, 1), each: found } : { lengths: found });
} // prettier-ignore
