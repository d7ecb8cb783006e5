import { expect, test } from 'vitest';
import { design, materials } from '../../../../tests/kit/studio.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { settings } from '../../../../scripts/demo/settings.ts';
import { unitCost } from '../../core/materials/unit-cost.ts';
import { newTerms } from './quoting.ts';
import { largestFirst, stockEffect } from './stock-effect.ts';
import { loadStudio } from './studio.ts';

const white = materials.find((m) => m.name === '11 in round, gull white') ?? materials[0]!;

test('every draft is looked through, however many there are, and the design', async () => {
	const { repos } = await tempStudio();
	await repos.designs.create('d', design('column', '4 11 at 9 white x6'), NOW);
	await repos.designs.keep('d', NOW);
	const clientId = await repos.clients.named('Tidewick Library', 'client');
	const MANY = 53;
	for (let i = 0; i < MANY; i++) {
		const lines = [
			{ id: `l${i}`, versionId: 'd.1', colourwayId: null, sizeId: null, quantity: 1, way: null }
		];
		await repos.quotes.create(`q${i}`, { clientId, eventDate: null, zone: settings.zone, terms: { ...newTerms(settings), deliveryCostMinor: 0 }, lines }, NOW); // prettier-ignore
	}
	const used = (await loadStudio(repos)).materials.find((m) => m.id === white.id)!;
	const packs = used.packs.map((p) => ({ ...p, priceMinor: (p.priceMinor ?? 1) * 40 }));
	const effect = await stockEffect(repos, { changed: [{ ...used, packs }] });
	expect(effect.designs.map((d) => d.name)).toEqual(['column']);
	expect(effect.drafts).toBe(MANY);
});

test('what is not known any more stands first, then the largest, whichever way', () => {
	const of = (name: string, by: number | null) => ({ name, by });
	const mixed = [of('a', 5), of('b', null), of('c', -90), of('d', null), of('e', 40)];
	expect(largestFirst(mixed).map((d) => d.name)).toEqual(['b', 'd', 'c', 'e', 'a']);
});

test('a supplier of another name is called so wherever it sells something', async () => {
	const { repos } = await tempStudio();
	const [{ id, ...own }] = (await repos.stock.suppliers()) as [Awaited<ReturnType<typeof repos.stock.suppliers>>[0]]; // prettier-ignore
	const named = async () => new Set((await loadStudio(repos)).materials.flatMap((m) => m.packs.map((p) => p.supplier))); // prettier-ignore
	expect(await named()).toContain(own.name);
	await repos.stock.changeSupplier({ ...own, id, name: 'Lantern Lane Trade Counter' });
	expect(await named()).toContain('Lantern Lane Trade Counter');
	expect(await named()).not.toContain(own.name);
});

test('a sale ends with the day where the business is, not with another', async () => {
	const { repos } = await tempStudio();
	const before = (await loadStudio(repos)).materials.find((m) => m.id === white.id)!;
	const { supplierId } = before.packs[0]!;
	await repos.stock.addPack(white.id, { id: 'sale', supplierId: supplierId!, count: 100, priceMinor: 100, until: '2027-05-04' }); // prettier-ignore
	// In Chicago the fourth ends at five in the morning of the fifth, UTC.
	const found = (await repos.workspaces.find())!.settings;
	await repos.workspaces.change({ ...found, zone: 'America/Chicago' });
	const at = async (now: string) => unitCost((await loadStudio(repos, new Date(now))).materials.find((m) => m.id === white.id)!)?.valueOf(); // prettier-ignore
	expect(await at('2027-05-04T15:00:00Z')).toBe(1);
	expect(await at('2027-05-05T03:00:00Z')).toBe(1);
	expect(await at('2027-05-05T06:00:00Z')).not.toBe(1);
});
