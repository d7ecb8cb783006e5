import { expect, test } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { findingKey, wordKey } from '../../core/checks/finding.ts';
import { tally } from '../../core/tally/tally.ts';
import { contextOf, loadStudio } from './studio.ts';
import { renameSilenced } from './silenced.ts';

test('working copies with findings silenced by their words know them by what they are about, once', async () => {
	const { repos } = await tempStudio();
	const plain = design('tall', '4 11 at 10.5 white x9', '4 11 at 8.5 white');
	const { findings } = tally(plain, null, 1, contextOf(await loadStudio(repos)));
	const light = findings.find((f) => f.code === 'light-base')!;
	// As it was stored: the sentence has the height in it, so another size would wake it.
	expect(wordKey(light)).toContain('stands');
	const recipe = { ...plain, silenced: [{ finding: wordKey(light), reason: 'it is tied to a rail' }] };
	await repos.designs.create('tall', recipe, NOW);
	await repos.designs.create('plain', plain, NOW);
	expect(await renameSilenced(repos)).toBe(1);
	const found = (await repos.designs.find('tall'))!;
	expect(found.revision).toBe(1);
	expect(found.recipe).toEqual({
		...recipe,
		silenced: [{ finding: findingKey(light), reason: 'it is tied to a rail' }]
	});
	expect(await renameSilenced(repos)).toBe(0);
	expect(await repos.silenced.rewrite('tall', 7, plain)).toBe(false);
});
