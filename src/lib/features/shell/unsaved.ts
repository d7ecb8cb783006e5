import { beforeNavigate } from '$app/navigation';
import { onDestroy } from 'svelte';

const ASK = 'What you typed here is not saved. Leave it?';

/** Forms of this page with something typed that was not sent. */
const dirty = new Set<HTMLFormElement>();

const warn = (event: BeforeUnloadEvent) => {
	if (dirty.size > 0) event.preventDefault();
};

/** Called once by a page whose forms use {@link unsaved}: asks before they are left with something typed. */
export function askBeforeLeaving(): void {
	beforeNavigate((navigation) => {
		if (dirty.size === 0 || navigation.willUnload) return;
		if (!confirm(ASK)) navigation.cancel();
		else dirty.clear();
	});
	onDestroy(() => dirty.clear());
}

/** Marks a form while something is typed in it that was not sent: leaving the page asks first. */
export function unsaved(form: HTMLFormElement): () => void {
	const typed = () => dirty.add(form);
	const sent = () => dirty.delete(form);
	form.addEventListener('input', typed);
	form.addEventListener('submit', sent);
	window.addEventListener('beforeunload', warn);
	return () => {
		form.removeEventListener('input', typed);
		form.removeEventListener('submit', sent);
		window.removeEventListener('beforeunload', warn);
		dirty.delete(form);
	};
}
