import { studyRisk, type Risk, type RiskModel } from '../core/study/risk.ts';

/** What the worker tells: how far it is, 0 to 1, then how it may come out. */
export type RiskTell = { readonly share: number } | { readonly done: Risk };

addEventListener('message', ({ data }: MessageEvent<RiskModel>) => {
	const going = studyRisk(data);
	for (;;) {
		const step = going.next();
		if (step.done) {
			postMessage({ done: step.value } satisfies RiskTell);
			return;
		}
		postMessage({ share: step.value } satisfies RiskTell);
	}
});
