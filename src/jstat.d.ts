/** What the checks use of it: distributions against which ours are held. */
declare module 'jstat' {
	interface Distribution<P extends number[]> {
		pdf(x: number, ...parameters: P): number;
		inv(p: number, ...parameters: P): number;
	}
	const jstat: {
		readonly normal: Distribution<[mean: number, sd: number]>;
		readonly lognormal: Distribution<[mu: number, sigma: number]>;
	};
	export default jstat;
}
