import { expect, test } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { sheetPage } from './sheet-page.ts';

const asked = (design: string, quantity = 1) => ({ design, search: `?quantity=${quantity}` });

test('the sheet has every frame as often as it is built, those of designs inside it too', async () => {
	const { repos } = await tempStudio();
	await repos.designs.create('foot', design('foot', 'frame mast', 'post 5 ft', 'guyed 3 at 3 ft out 4 ft', 'covered in tissue'), NOW); // prettier-ignore
	await repos.designs.keep('foot', NOW);
	const gate = design('gate', 'frame leg x2', 'post 7 ft on plate 20 in');
	const inside = {
		...gate,
		sections: [
			...gate.sections,
			{ ...gate.sections[0]!, id: 'used', name: 'feet', times: 3, structure: { kind: 'design', design: 'foot', quantity: '1', colourway: null, size: null, version: null } }
		]
	}; // prettier-ignore
	await repos.designs.create('gate', inside as Recipe, NOW);
	const { frames } = await sheetPage(repos, asked('gate', 2));
	expect(frames.map((f) => [f.name, f.pieces])).toEqual([
		['leg', 4],
		['mast of foot', 6]
	]);
	const mast = frames[1]!;
	expect(mast.guys).toMatchObject({ count: 3 });
	expect(mast.guys!.each / 304.8).toBeCloseTo(5, 9);
	expect(mast.cover).toMatchObject({ how: 'tissue' });
	expect(mast.seconds).toBeGreaterThan(frames[0]!.seconds);
});
