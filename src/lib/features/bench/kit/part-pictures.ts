import type { Disc, DrawList } from '../../../core/scene/draw-list.ts';

/** Room of a part's picture, px. */
export const ROOM = { width: 92, height: 34 } as const;
/** Balloons of a part that are shown side by side, and what each hides of the one before. */
const MOST = 6;
const SEEN = 0.78;

/** What a part is made of, side by side on a line, mm; and how wide that is. */
export interface PartPicture {
	readonly list: DrawList;
	readonly width: number;
}

/**
 * What each part of a picture is made of: balloons of a kind stand once for each colour and size, up to six, so that a
 * row says what it is at a glance. All parts are drawn at one scale.
 * @returns by the part's id; and px a millimetre at which all have room
 */
export function partPictures(
	list: DrawList,
	ids: ReadonlySet<string>
): { readonly parts: ReadonlyMap<string, PartPicture>; readonly scale: number } {
	const kinds = new Map<string, Map<string, Disc>>();
	for (const disc of list.discs) {
		const id = list.about?.[disc.row];
		if (id === undefined || !ids.has(id)) continue;
		const own = kinds.get(id) ?? new Map<string, Disc>();
		kinds.set(id, own);
		const key = `${disc.paint}/${Math.round(disc.r)}/${disc.path ? 'long' : 'ball'}`;
		if (own.size < MOST && !own.has(key)) own.set(key, disc);
	}
	const parts = new Map<string, PartPicture>();
	let [widest, tallest] = [1, 1];
	for (const [id, own] of kinds) {
		const part = inLine(list, [...own.values()]);
		parts.set(id, part);
		widest = Math.max(widest, part.width);
		tallest = Math.max(tallest, ...part.list.discs.map((d) => 2 * d.r));
	}
	return { parts, scale: Math.min(ROOM.width / widest, ROOM.height / tallest) };
}

/** The largest first, each a little behind the one before; what is long is as long as four times its thickness. */
function inLine(list: DrawList, discs: readonly Disc[]): PartPicture {
	let x = 0;
	const placed = [...discs]
		.sort((a, b) => b.r - a.r)
		.map((disc): Disc => {
			if (disc.path) {
				const [from, to] = [x + disc.r, x + 7 * disc.r];
				x = to + disc.r;
				return { ...disc, x: (from + to) / 2, y: 0, path: [from, 0, to, 0] };
			}
			const at = x + disc.r;
			x = at + disc.r * (2 * SEEN - 1);
			return { ...disc, x: at, y: 0 };
		});
	const last = placed.at(-1);
	const width = Math.max(x, last ? last.x + last.r : 0);
	return {
		list: {
			view: list.view,
			paints: list.paints,
			discs: placed,
			pole: null,
			height: 0,
			halfWidth: width / 2
		},
		width
	};
}
