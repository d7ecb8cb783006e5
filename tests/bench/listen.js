// Whether the tape, or the count at the bench, says in the frame after a key what it says once all is quiet.
(() => {
	/** @type {boolean[]} */
	const tapes = [];
	Object.assign(window, { tapes });
	const tape = () => document.querySelector('[data-name=cost], [data-name=tally]')?.textContent;
	window.addEventListener(
		'keydown',
		() => {
			requestAnimationFrame(() => {
				const said = tape();
				setTimeout(() => tapes.push(tape() === said), 40);
			});
		},
		{ capture: true }
	);
})();
