import { GONE } from '../../document/names.ts';
import { formatInches, type Micrometres } from '../../units/length.ts';
import type { MaterialOf, PrintedLine, PrintFacet } from '../facets/print.ts';
import { said } from '../kit/print-lines.ts';
import { printLong } from '../kit/print-words.ts';
import type { Frame, FrameShape } from './document.ts';
import { emptyFrame } from './empty.ts';

/** Its outline with its measures, as it is typed. */
export function printShape(shape: FrameShape): string {
	const feet = (long: Micrometres | 0) => (long === 0 ? '' : ` feet ${printLong(long)}`);
	switch (shape.of) {
		case 'post':
			return `post ${printLong(shape.height)}`;
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
		case 'bent':
			return `bent ${printLong(shape.stick)} at ${shape.bends.map((b) => `${formatInches(b)} in`).join(', ')}`;
	}
}

function printFrame(frame: Frame, materialOf: MaterialOf): PrintedLine[] {
	const { shape, tube, base, joined, uses } = frame;
	const usual = emptyFrame();
	const lines = [said(printShape(shape), 'path')];
	if (tube.material !== null) lines.push(said(`of ${materialOf(tube.material)?.name ?? GONE.part}`));
	if (tube.across !== usual.tube.across) lines.push(said(`tube ${formatInches(tube.across)} in`));
	if (tube.stick !== usual.tube.stick) lines.push(said(`sticks of ${printLong(tube.stick)}`));
	if (base === null) lines.push(said('no base'));
	else if (base.material !== null || base.across !== usual.base?.across) {
		const name = base.material === null ? 'plate' : (materialOf(base.material)?.name ?? GONE.part);
		lines.push(said(`on ${name} ${formatInches(base.across)} in`));
	}
	if (joined !== usual.joined) lines.push(said(joined));
	if (uses !== 1) lines.push(said(`used ${uses} times`));
	return lines;
}

export const print: PrintFacet<Frame> = {
	lines: (frame, { materialOf }) => printFrame(frame, materialOf),
	said: (frame, { text }, { materialOf }) => [text, ...printFrame(frame, materialOf).map((l) => l.text)],
	part: () => undefined
};
