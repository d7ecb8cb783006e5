/** What is used of it: quantiles of a learned share, and distributions against which ours are held. */
declare module 'jstat' {
	interface Distribution<P extends number[]> {
		pdf(x: number, ...parameters: P): number;
		inv(p: number, ...parameters: P): number;
	}
	const jstat: {
		readonly normal: Distribution<[mean: number, sd: number]>;
		readonly lognormal: Distribution<[mu: number, sigma: number]>;
		readonly gamma: Distribution<[shape: number, scale: number]>;
		readonly beta: Distribution<[a: number, b: number]>;
		readonly studentt: Distribution<[degrees: number]>;
		readonly poisson: { pdf(k: number, mean: number): number };
	};
	export default jstat;
}
