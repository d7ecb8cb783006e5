/** A reference for numerical integration, in tests only. */
declare module 'integrate-adaptive-simpson' {
	export default function integrate(
		f: (x: number) => number,
		from: number,
		to: number,
		tolerance?: number,
		depth?: number
	): number;
}
