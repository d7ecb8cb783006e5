import fc from 'fast-check';
import { expect, test } from 'vitest';
import { GROUNDS } from '../document/ground.ts';
import { inches } from '../units/length.ts';
import { SOFTNESS, VALVES, type MaterialFacts } from './facts.ts';
import { factsSchema } from './facts.schema.ts';
import { kindFields } from './kind-fields.ts';
import { materialFields, readMaterialChange } from './material-form.ts';
import { MATERIAL_KINDS, PLAIN_MATERIAL, type Material } from './material.ts';

const stock = { materials: [], colours: [] };
const context = (decimal: '.' | ',') => ({ style: { decimal }, currency: 'USD' as const });
const eighths = fc.integer({ min: 1, max: 800 }).map((n) => inches(n / 8));
const grams = fc.integer({ min: 1, max: 40_000 }).map((n) => n / 8);
const minutes = fc.integer({ min: 1, max: 20_000 });
const facts = fc.record(
	{
		valve: fc.constantFrom(...VALVES),
		softness: fc.constantFrom(...SOFTNESS),
		liftGrams: grams,
		wide: eighths,
		deep: eighths,
		ground: fc.constantFrom(...GROUNDS),
		holdsGrams: grams,
		setMinutes: minutes,
		dryMinutes: minutes,
		coverSqFt: grams
	},
	{ requiredKeys: [] }
) satisfies fc.Arbitrary<MaterialFacts>;

test('what the maker says of a material is read back from its form as it stood (property)', () => {
	const kind = fc.constantFrom(...MATERIAL_KINDS.filter((k) => k !== 'latex-round'));
	fc.assert(
		fc.property(kind, facts, fc.constantFrom('.' as const, ',' as const), (of, said, decimal) => {
			const own: Material = { ...PLAIN_MATERIAL, id: 'm', kind: of, name: 'a thing', facts: said, packs: [] };
			const read = readMaterialChange(materialFields(own, { decimal }), stock, context(decimal));
			if (!read.ok) throw new Error(JSON.stringify(read.errors));
			expect(read.values.facts).toEqual(said);
			expect(factsSchema.parse(JSON.parse(JSON.stringify(read.values.facts)))).toEqual(said);
		}),
		{ numRuns: 200 }
	);
});

test('nonsense is said at its field', () => {
	const typed = { ...materialFields({ ...PLAIN_MATERIAL, id: 'm', kind: 'paint', name: 'a paint', packs: [] }, { decimal: '.' }), dry: 'soon', cover: '-3', valve: 'a cork', wide: 'broad' }; // prettier-ignore
	const read = readMaterialChange(typed, stock, context('.'));
	expect(read).toMatchObject({ ok: false, errors: { dry: expect.stringMatching(/number/), cover: expect.stringMatching(/negative|least|from/), valve: expect.stringMatching(/Pick/), wide: expect.stringMatching(/not a length/) } }); // prettier-ignore
});

test('a kind has the fields that matter to it', () => {
	const has = (kind: (typeof MATERIAL_KINDS)[number]) => [...kindFields(kind)];
	expect(has('paint')).toEqual(expect.arrayContaining(['cover', 'dry']));
	expect(has('base')).toEqual(expect.arrayContaining(['wide', 'deep', 'grams']));
	expect(has('foil-star')).toEqual(expect.arrayContaining(['valve', 'lift', 'litres']));
	expect(has('adhesive')).not.toContain('nominal');
});
