// What a script adds to the client's page: the total follows each tick, and a press is one press. Without it all works.
(() => {
	document.documentElement.dataset.ready = '';
	for (const form of document.querySelectorAll('form[data-total]')) {
		let asked = 0;
		const say = (name, text) => {
			const place = form.querySelector(`[data-name=${name}]`);
			if (place) place.textContent = text;
		};
		form.addEventListener('change', async (event) => {
			if (!/^(level|extra|pick-\d+)$/.test(event.target.name)) return;
			const mine = ++asked;
			const fields = new FormData(form);
			fields.delete('name');
			const query = new URLSearchParams([...fields]);
			const response = await fetch(`${form.dataset.total}?${query}`).catch(() => undefined);
			const answer = await response?.json().catch(() => undefined);
			if (mine !== asked) return;
			const trouble = answer?.message ?? 'The total cannot be asked for just now. Press “What it comes to”.';
			say('choice-trouble', response?.ok ? '' : trouble);
			if (response?.ok && answer) say('as-chosen', answer.total);
		});
	}
	for (const form of document.forms)
		form.addEventListener('submit', (event) => {
			if (form.dataset.sent) event.preventDefault();
			if (form.method === 'post') form.dataset.sent = 'yes';
		});
	// A page that comes back from the browser's memory can be sent again.
	addEventListener('pageshow', () => {
		for (const form of document.forms) delete form.dataset.sent;
	});
})();
