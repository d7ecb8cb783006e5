/** A forecast as a service would answer it. */
export interface Forecast {
	/** Highest temperature of the day in the shade, °C. */
	readonly high: number;
	/** Strongest gusts, m/s. */
	readonly gust: number;
}

/**
 * Stands in for a weather service, and is called that wherever it is shown: the mean of a mild harbour for the day of
 * the year, moved by up to five degrees by a figure that is the same for the same place and day.
 * @param day `YYYY-MM-DD`
 */
export function simulatedForecast(place: string, day: string): Forecast {
	const date = new Date(`${day}T12:00:00Z`);
	const start = Date.UTC(date.getUTCFullYear(), 0, 1);
	const dayOfYear = Math.floor((date.getTime() - start) / 86_400_000);
	const mean = 14 + 10 * Math.cos((2 * Math.PI * (dayOfYear - 205)) / 365);
	let seed = 2166136261;
	for (const letter of `${place.trim().toLowerCase()}/${day}`)
		seed = Math.imul(seed ^ letter.codePointAt(0)!, 16777619);
	const gusts = Math.imul(seed ^ 0x5bd1e995, 0x85ebca6b) >>> 0;
	// Of a harbour: from a light breeze to a fresh one, a little more in winter.
	const strongest = 4 + (gusts / 2 ** 32) * 8 - (mean - 14) / 10;
	return { high: Math.round(mean + ((seed >>> 0) / 2 ** 32 - 0.5) * 10), gust: Math.round(strongest) };
}
