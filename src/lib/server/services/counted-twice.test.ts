import { expect, test } from 'vitest';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { design } from '../../../../tests/kit/studio.ts';
import { countedAlone, countedWith } from './counted-twice.ts';

const pieces = [
	{ id: 'd', name: 'column' },
	{ id: 'other', name: 'other' }
];
const at = (day: string) => new Date(`${day}T15:00:00Z`);

test('a piece that was counted by itself about the day of its job is named, with when it was last', async () => {
	const { repos } = await tempStudio();
	for (const { id } of pieces) await repos.designs.create(id, design(id, '4 11 at 9 white x6'), NOW);
	const count = (id: string, of: string, day: string) =>
		repos.countBacks.add({ id, design: of, colourwayId: null, sizeId: null, quantity: 1, lines: [], note: '', countedAt: at(day) }); // prettier-ignore
	await count('early', 'd', '2027-05-10');
	await count('about', 'd', '2027-06-02');
	await count('last', 'd', '2027-06-03');
	await count('late', 'd', '2027-06-23');
	const alone = (day: string | null) => countedAlone(repos, { pieces, day });
	expect(await alone('2027-06-01')).toEqual([{ name: 'column', at: at('2027-06-03') }]);
	// Three weeks to either side, both days within.
	expect(await alone('2027-05-31')).toEqual([{ name: 'column', at: at('2027-06-03') }]);
	expect(await alone('2027-06-02')).toEqual([{ name: 'column', at: at('2027-06-23') }]);
	expect(await alone('2027-08-01')).toEqual([]);
	expect(await alone(null)).toEqual([]);
	expect(await countedAlone(repos, { pieces: pieces.slice(1), day: '2027-06-01' })).toEqual([]);
	expect(await countedWith(repos, 'd', '2027-06-01')).toEqual([]);
});
