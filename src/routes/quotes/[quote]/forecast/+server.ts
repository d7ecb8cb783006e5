import { json } from '@sveltejs/kit';
import { isCalendarDay } from '$lib/core/quote/read-form.ts';
import { simulatedForecast } from '$lib/server/services/forecast.ts';
import type { RequestHandler } from './$types';

/** The simulated forecast for a day and place. */
export const GET: RequestHandler = ({ url }) => {
	const day = url.searchParams.get('day') ?? '';
	if (!isCalendarDay(day))
		return json({ message: 'There is no such day. Pick one from the calendar.' }, { status: 400 });
	const { high } = simulatedForecast((url.searchParams.get('place') ?? '').slice(0, 200), day);
	const there = `${Math.round((high * 9) / 5 + 32)} F`;
	return json({
		there,
		words: `Simulated: up to ${there.replace(' F', ' °F')} in the shade. Put in what your own forecast says.`
	});
};
