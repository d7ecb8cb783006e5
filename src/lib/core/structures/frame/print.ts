import { GONE } from '../../document/names.ts';
import { formatInches, type Micrometres } from '../../units/length.ts';
import type { MaterialOf, PrintedLine, PrintFacet } from '../facets/print.ts';
import { said } from '../kit/print-lines.ts';
import { printLong } from '../kit/print-words.ts';
import type { Frame, FrameBase, FramePart, FramePoint, FrameShape } from './document.ts';
import { emptyFrame } from './empty.ts';
import { isSamePoint } from './grid.ts';

/** Its outline with its measures, as it is typed. */
export function printShape(shape: FrameShape): string {
	const feet = (long: Micrometres | 0) => (long === 0 ? '' : ` feet ${printLong(long)}`);
	switch (shape.of) {
		case 'post':
			return `post ${printLong(shape.height)}`;
		case 'telescope':
			return `telescopic ${printLong(shape.closed)} to ${printLong(shape.open)} at ${printLong(shape.height)}${shape.bar === 0 ? '' : ` bar ${printLong(shape.bar)}`}`;
		case 'door':
			return `door ${printLong(shape.width)} by ${printLong(shape.height)}${feet(shape.feet)}`;
		case 'back':
			return `back ${printLong(shape.width)} by ${printLong(shape.height)}${feet(shape.feet)}${shape.bars > 0 ? ` bars ${shape.bars}` : ''}`;
		case 'cross':
			return `cross ${printLong(shape.height)} tree ${printLong(shape.arm)} at ${printLong(shape.at)}`;
		case 'hoop':
			return `hoop ${printLong(shape.across)}${shape.foot === 0 ? '' : ` foot ${printLong(shape.foot)}`}`;
		case 'arc':
			return `arc ${printLong(shape.span)} by ${printLong(shape.rise)}`;
		case 'letter':
			return `letter ${shape.sign} ${printLong(shape.height)}${feet(shape.feet)}`;
		case 'box':
			return `box ${shape.sticks} ${shape.sticks === 1 ? 'stick' : 'sticks'} ${printLong(shape.height)}${shape.sticks === 1 ? '' : ` apart ${formatInches(shape.apart)} in`}`;
		case 'parts':
			return `parts ${chainsOf(shape.parts)
				.map((chain) => chain.map(pointText).join(' to '))
				.join(', ')} in`;
		case 'bent':
			return `bent ${printLong(shape.stick)} at ${shape.bends.map((b) => `${formatInches(b)} in`).join(', ')}`;
	}
}

/** A coordinate in inches; points are kept to the eighth of one. */
const coordinate = (v: number): string => String(v / 25_400).replace('-', '−');
const pointText = ([x, z, y]: FramePoint): string =>
	`${coordinate(x)} by ${coordinate(z)}${y === 0 ? '' : ` by ${coordinate(y)}`}`;

/** Parts as they are said: each that begins where the one before ends goes on from it. */
export function chainsOf(parts: readonly FramePart[]): FramePoint[][] {
	const chains: FramePoint[][] = [];
	for (const { from, to } of parts) {
		const last = chains.at(-1);
		if (last && isSamePoint(last.at(-1)!, from)) last.push(to);
		else chains.push([from, to]);
	}
	return chains;
}

const printBase = (base: FrameBase | null, materialOf: MaterialOf): string =>
	base === null
		? 'no base'
		: `on ${base.material === null ? 'plate' : (materialOf(base.material)?.name ?? GONE.part)} ${formatInches(base.across)} in`;

function printFrame(frame: Frame, materialOf: MaterialOf): PrintedLine[] {
	const { shape, tube, base, grounds, guys, mesh, cover, joined, uses } = frame;
	const usual = emptyFrame();
	const lines = [said(printShape(shape), 'path')];
	if (tube.material !== null) lines.push(said(`of ${materialOf(tube.material)?.name ?? GONE.part}`));
	if (tube.across !== usual.tube.across) lines.push(said(`tube ${formatInches(tube.across)} in`));
	if (tube.stick !== usual.tube.stick) lines.push(said(`sticks of ${printLong(tube.stick)}`));
	if (base === null || base.material !== null || base.across !== usual.base?.across)
		lines.push(said(printBase(base, materialOf)));
	for (const { ground, base: own } of grounds)
		lines.push(said(`for ${ground} ${printBase(own, materialOf)}`));
	if (guys) lines.push(said(`guyed ${guys.count} at ${printLong(guys.at)} out ${printLong(guys.reach)}`));
	if (mesh) lines.push(said(`mesh${mesh.material === null ? '' : ` of ${materialOf(mesh.material)?.name ?? GONE.part}`}`)); // prettier-ignore
	if (cover) lines.push(said(`covered in ${cover}`));
	if (joined !== usual.joined) lines.push(said(joined));
	if (uses !== 1) lines.push(said(`used ${uses} times`));
	return lines;
}

export const print: PrintFacet<Frame> = {
	lines: (frame, { materialOf }) => printFrame(frame, materialOf),
	said: (frame, { text }, { materialOf }) => [text, ...printFrame(frame, materialOf).map((l) => l.text)],
	part: () => undefined
};
