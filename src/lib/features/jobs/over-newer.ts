import type { SubmitFunction } from '@sveltejs/kit';
import { invalidateAll } from '$app/navigation';

/**
 * Sends a form. Where somebody said something meanwhile the page is read anew, and what was typed stays, to be said on top.
 * @param done called once it was taken
 */
export const overNewer =
	(done: () => void = () => {}): SubmitFunction =>
	() =>
	async ({ result, update, formElement }) => {
		// First the page as it is now: who is told can press again at once.
		if (result.type === 'failure' && result.status === 409) await invalidateAll();
		await update({ reset: false });
		if (result.type === 'success') done();
		// What was refused is still not saved: leaving asks first.
		else formElement.dispatchEvent(new Event('input'));
	};
