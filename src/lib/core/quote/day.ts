import { ofKind } from '../structures/kinds.ts';
import { hostsOf } from '../structures/registry/refs.ts';
import { diameterRatio, foilFill, heatAdvice, inSun, volumeRatio } from '../gas/heat.ts';
import { matchKey, type Catalogue } from '../materials/catalogue.ts';
import { floats, liftOf } from '../structures/bunch/lift.ts';
import { knownFoot, standingUp, steadiness, type StandingUp } from '../stability/standing-up.ts';
import { footingOn, INDICATIVE, weightWords, windWords } from '../stability/standing-words.ts';
import { footprintIn, isOnHosts } from '../structures/registry/picture.ts';
import { printSize } from '../sizing/size.ts';
import { resolveSize } from '../sizing/resolve.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { formatInches, inches, um } from '../units/length.ts';
import { inUnit } from '../units/quantity.ts';
import type { QuoteClimate } from './climate.ts';
import type { QuotedLine } from './quote.ts';

/** What the day does to a piece. */
export interface DayNote {
	readonly level: 'bad' | 'watch' | 'good';
	readonly say: string;
}

/** What is asked of a line: which design, and what it comes to. */
export type DayLine = Pick<QuotedLine, 'item' | 'tally'>;

/** Smaller by this share it looks soft to a guest. House rule. */
const SOFT = 0.02;
/** A foil filled taut holds this much more before it is overfull. House rule. */
const FOIL_ROOM = 1.02;

/** Down to the eighth a sizer holds, or up where it is only told. */
const eighths = (mm: number, round: (value: number) => number): string =>
	formatInches(um(round((mm / 25.4) * 8) * 3175));

/**
 * What becomes of the balloons of a quote at the venue: what may burst and what to size it to, what will look soft,
 * how far foils are filled. Sizes nobody said are left out: nothing is known of them.
 */
export function dayNotes(
	lines: readonly DayLine[],
	climate: QuoteClimate,
	{
		catalogue,
		rates
	}: { readonly catalogue: Catalogue; readonly rates: { readonly pumps: readonly PumpProfile[] } }
): DayNote[] {
	const here = { temperature: climate.here, height: 0 };
	const there = { temperature: inSun(climate.there, climate.sun), height: climate.height };
	const volume = volumeRatio(here, there);
	const notes: DayNote[] = [];
	for (const quoted of lines) {
		const { item, tally } = quoted;
		notes.push(...bunchNotes(quoted, climate, catalogue));
		const soft: string[] = [];
		for (const line of tally.bill.inflate) {
			const size = resolveSize(line.size, line.nominal, rates.pumps);
			if (!size.known) continue;
			const safe =
				catalogue.byMatch.get(matchKey('latex-round', line.nominal, line.colour))?.safe ?? line.nominal;
			const found = heatAdvice(size.high, safe / 1000, here, there);
			const name = `${formatInches(line.nominal)} at ${printSize(line.size)}`;
			if (found.verdict !== 'safe')
				notes.push({
					level: 'bad',
					say: `${item.recipe.name}: ${line.label} becomes ${eighths(found.diameter, Math.ceil)} in there and may burst. Size it to ${eighths(found.sizeTo, Math.floor)} or less.`
				});
			else if (found.softer > SOFT && !soft.includes(name)) soft.push(name);
		}
		if (soft.length > 0)
			notes.push({
				level: 'watch',
				say: `${item.recipe.name} looks soft there: ${soft.slice(0, 4).join(', ')}${soft.length > 4 ? ` and ${soft.length - 4} more sizes` : ''} ${percent(1 - Math.cbrt(volume))} smaller. It comes back when it is warm again.`
			});
		const night = overnight(quoted, climate);
		if (night) notes.push(night);
		const foils = tally.bill.lines.some((l) => l.material?.kind.startsWith('foil'));
		if (foils && volume > FOIL_ROOM)
			notes.push({
				level: 'watch',
				say: `${item.recipe.name}: fill its foils to ${percent(foilFill(here, there))} of taut, creases left at the rim: a foil does not give way.`
			});
	}
	const air = `${volume >= 1 ? '+' : '−'}${percent(Math.abs(volume - 1))} of air at ${Math.round(inUnit(there.temperature, 'temperature', 'f'))} °F in the balloon`;
	return notes.length > 0
		? [...notes].sort((a, b) => Number(b.level === 'bad') - Number(a.level === 'bad'))
		: [{ level: 'good', say: `Nothing on this quote passes its safe size there or looks soft (${air}).` }];
}

/** So much colder than where it is made a night in a van or a shed is. House rule, K. */
const COLDER = 15;

/** What is made the day before, or earlier, and waits where nobody heats. */
function overnight({ item, tally }: DayLine, climate: QuoteClimate): DayNote | undefined {
	const early = tally.built.sections.filter((s) => (s.ahead ?? 0) > 0);
	if (early.length === 0 || tally.bill.inflate.length === 0) return undefined;
	const here = { temperature: climate.here, height: 0 };
	const smaller = 1 - diameterRatio(here, { temperature: climate.here - COLDER, height: 0 });
	return {
		level: 'watch',
		say: `${item.recipe.name}: ${early.map((s) => s.name).join(' and ')} may be made before the day. Keep it where it is warm: a night ${COLDER} °C (${Math.round(COLDER * 1.8)} °F) colder makes it ${percent(smaller)} smaller, and what is tight around it comes loose.`
	};
}

const percent = (share: number): string => `${Math.round(share * 1000) / 10} %`;

/** What becomes of bunches on helium there, each design of a quote by its own sections. */
function bunchNotes(line: DayLine, climate: QuoteClimate, catalogue: Catalogue): DayNote[] {
	const { item, tally } = line;
	const { built } = tally;
	const colourway = built.colourways.find((c) => c.id === item.colourway) ?? built.colourways[0];
	const where = { temperature: climate.there, height: climate.height };
	return ofKind(built.sections, 'bunch').flatMap(({ structure, section: { name } }): DayNote[] => {
		if (!floats(structure)) return [];
		const lift = liftOf(built, structure, { catalogue, colourway, where });
		const pulls = `${Math.round(lift.gross)} g of lift for ${Math.round(lift.carried)} g`;
		if (lift.verdict !== 'floats')
			return [
				{
					level: 'bad',
					say: `${item.recipe.name}: ${name} ${lift.verdict === 'sinks' ? 'sinks' : 'may sink'} there, ${pulls}. Take something off, or add a balloon.`
				}
			];
		if (lift.held !== null && lift.held < lift.weight)
			return [
				{
					level: 'watch',
					say: `${item.recipe.name}: ${name} wants a weight of ${Math.ceil(lift.weight)} g there, ${pulls}.`
				}
			];
		return [];
	});
}

/** What being outdoors asks of a quote, whatever the day: bunches on helium, and toppers that only the top layer holds. */
export function outdoorNotes(lines: readonly DayLine[], gust = USUAL_GUST): DayNote[] {
	return lines.flatMap((line): DayNote[] => {
		const { item, tally } = line;
		const { built } = tally;
		const afloat = ofKind(built.sections, 'bunch').some(({ structure }) => floats(structure));
		const notes: DayNote[] = [];
		if (afloat)
			notes.push({
				level: 'watch',
				say: `${item.recipe.name}: outdoors the wind pulls a bunch harder than its gas. Tie it low and short, never let one go, and offer it in air.`
			});
		const topper = built.sections.find(({ stand, structure }) => {
			const host = built.sections.find((s) => s.id === stand.by)?.structure;
			const rows = (host && hostsOf(host).rows) ?? [];
			// Tied further down, more than the top holds it.
			return stand.how === 'on top' && stand.down === undefined && rows.length > 2 && !isOnHosts(structure);
		});
		if (topper)
			notes.push({
				level: 'watch',
				say: `${item.recipe.name}: ${topper.name} stands on the top layer alone. Where it is windy tie it two or three layers down.`
			});
		const sail = tally.bill.inflate.find(({ kind, nominal }) => kind.startsWith('foil') && nominal >= SAIL);
		if (sail)
			notes.push({
				level: 'watch',
				say: `${item.recipe.name}: ${sail.label} is a sail outdoors. Tie it at three points to what stands fast, never to one ribbon, and take it down when the wind comes.`
			});
		return [...notes, ...groundNotes(line), ...windNotes(line, gust)];
	});
}

/** A base that is made for another ground than it will stand on. */
function groundNotes({ item, tally }: DayLine): DayNote[] {
	const ground = item.ground ?? 'grass';
	const wrong = tally.bill.lines.find(({ material }) => material?.kind === 'base' && material.facts?.ground !== undefined && material.facts.ground !== ground);
	if (!wrong) return [];
	return [{ level: 'watch', say: `${item.recipe.name}: ${wrong.label} is made for ${wrong.material!.facts!.ground}, and it will stand on ${ground}. Take another, or what holds it there.` }];
} // prettier-ignore

/** A foil as wide as this catches the wind like a sail. House rule, from memory. */
const SAIL = inches(30);

/** A gust that comes on many a fine day by the water, m/s: 20 mph. House rule. */
const USUAL_GUST = 8.9408;
const standingKept = new WeakMap<DayLine['tally'], StandingUp>();

/** How a line stands, kept with what it comes to: that is of one quantity, and never changes. */
function standingOf(tally: DayLine['tally'], quantity: number): StandingUp {
	const kept = standingKept.get(tally);
	if (kept) return kept;
	const { built, assembly, bill } = tally;
	const materials = new Map(
		bill.lines.flatMap(({ material }) => (material ? [[material.id, material] as const] : []))
	);
	const piece = standingUp({ built, assembly, bill, catalogue: { materials }, quantity });
	standingKept.set(tally, piece);
	return piece;
}

/** What the wind does to what stands on a frame of its own or on a base whose size is known; of all else its foot is not known. */
function windNotes({ item, tally }: DayLine, gust: number): DayNote[] {
	const isFramed = tally.built.sections.some((s) => footprintIn(s.structure).length > 0);
	if (!isFramed && !knownFoot({ ...tally, quantity: item.quantity })) return [];
	const { wind } = steadiness(standingOf(tally, item.quantity), gust, ...footingOn(item.ground ?? 'grass'));
	if (!wind || wind.holds) return [];
	const first = windWords(Math.min(wind.tipsAt, wind.slidesAt));
	return [
		{
			level: 'watch',
			say: `${item.recipe.name} begins to tip or slide at gusts of ${first}. Put ${weightWords(wind.more)} on its foot, or give it a wider one, for gusts of ${windWords(gust)}, and take it down before they come. ${INDICATIVE}`
		}
	];
}
