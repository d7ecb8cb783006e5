import { withoutWages } from '../../core/labour/without-wages.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import { may, type Actor } from '../actor.ts';

/**
 * The settings as they go to somebody's browser: who may not see what each helper is paid gets figures that come to the
 * same for the crew that is looked at.
 * @param crew ids of who does it, where it is not the usual crew
 */
export function shownSettings(actor: Actor, settings: Settings, crew?: readonly string[] | null): Settings {
	if (may(actor, 'settings')) return settings;
	const { rates } = settings;
	return { ...settings, rates: { ...rates, people: withoutWages(rates.people, crew ?? rates.crew) } };
}
