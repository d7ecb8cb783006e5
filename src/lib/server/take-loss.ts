import type { Fields } from '../core/forms/merge-fields.ts';
import { rational, rationalText } from '../core/units/rational.ts';
import { askFirst, type Asked } from './services/stock-effect.ts';
import type { Studio } from './services/studio.ts';

/**
 * Counts with a share of loss that was learned, once what that moves is seen.
 * @param typed `share`, hundredths of a per cent, and what is meant
 * @returns what is asked, blank where it counts now; or why it cannot
 */
export async function takeLoss({ repos, work }: Pick<App.Locals, 'repos' | 'work'>, studio: Studio, id: string, typed: Fields): Promise<{ readonly asks: Asked } | { readonly trouble: string }> {
	const hundredths = Number(typed.share ?? '');
	if (!Number.isInteger(hundredths) || hundredths < 0 || hundredths > 9000) return { trouble: 'That share could not be read. Reload the page.' };
	const material = studio.materials.find((m) => m.id === id);
	if (!material) return { trouble: 'That material is gone. Reload the page.' };
	const loss = rationalText(rational(hundredths, 10_000));
	const asks = await askFirst(work, studio, { ...material, loss }, typed);
	if (!asks.say) await repos.stock.changeLoss(id, loss);
	return { asks };
} // prettier-ignore
