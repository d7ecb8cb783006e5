import { json } from '@sveltejs/kit';
import { inUnit } from '$lib/core/units/quantity.ts';
import { isCalendarDay } from '$lib/core/quote/read-form.ts';
import { simulatedForecast } from '$lib/server/services/forecast.ts';
import type { RequestHandler } from './$types';

/** The simulated forecast for a day and place. */
export const GET: RequestHandler = ({ url }) => {
	const day = url.searchParams.get('day') ?? '';
	if (!isCalendarDay(day))
		return json({ message: 'There is no such day. Pick one from the calendar.' }, { status: 400 });
	const { high, gust: strongest } = simulatedForecast(
		(url.searchParams.get('place') ?? '').slice(0, 200),
		day
	);
	const there = `${Math.round((high * 9) / 5 + 32)} F`;
	const gust = `${Math.round(inUnit(strongest, 'speed', 'mph'))} mph`;
	return json({
		there,
		gust,
		words: `Simulated: up to ${there.replace(' F', ' °F')} in the shade, gusts of ${gust}. Put in what your own forecast says.`
	});
};
