/** What the checks use of it: distributions against which ours are held. */
declare module 'jstat' {
	interface Distribution<P extends number[]> {
		pdf(x: number, ...parameters: P): number;
		inv(p: number, ...parameters: P): number;
	}
	const jstat: {
		readonly normal: Distribution<[mean: number, sd: number]>;
		readonly lognormal: Distribution<[mu: number, sigma: number]>;
		readonly gamma: Distribution<[shape: number, scale: number]>;
		readonly poisson: { pdf(k: number, mean: number): number };
	};
	export default jstat;
}
