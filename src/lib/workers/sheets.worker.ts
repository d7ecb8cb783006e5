import { cutSheets, type SheetProblem } from '../core/cutting/sheets.ts';

addEventListener('message', ({ data }: MessageEvent<SheetProblem>) => {
	postMessage(cutSheets(data));
});
