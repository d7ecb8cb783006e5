/**
 * For what opens over a page: a press beside it closes it and arrives where it was meant, focus and all. Closed by a key
 * or by its own button, the focus goes back to what opened it.
 */
export function arriving() {
	let beside = false;
	return {
		trapFocus: false,
		onOpenAutoFocus: () => {
			beside = false;
		},
		onInteractOutside: () => {
			beside = true;
		},
		onCloseAutoFocus: (event: Event) => {
			if (beside) event.preventDefault();
		}
	};
}
