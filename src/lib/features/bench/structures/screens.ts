import type { Kind, Of, StructureOf } from '../../../core/structures/kinds.ts';
import AppliedList from './applied/List.svelte';
import BunchList from './bunch/List.svelte';
import BunchPanel from './bunch/Panel.svelte';
import { aside as ofDesign } from './design/aside.ts';
import FormList from './form/List.svelte';
import { advice as ofRun } from './run/advice.ts';
import FrameList from './frame/List.svelte';
import FramePanel from './frame/Panel.svelte';
import RunList from './run/List.svelte';
import RunPanel from './run/Panel.svelte';
import type { Screen } from './screen.ts';
import StackList from './stack/List.svelte';
import WeaveList from './weave/List.svelte';
import WeavePanel from './weave/Panel.svelte';

const nothing = () => '';

export const SCREENS: { readonly [K in Kind]: Screen<StructureOf[K]> } = {
	stack: {
		starts: ['section', 'column or figure: rows of clusters'],
		List: StackList,
		Panel: null,
		aside({ layers }, bench, section) {
			const count = layers.reduce((a, l) => a + l.repeat, 0);
			return bench.folded.has(section) ? ` · ${count} layers` : '';
		}
	},
	bunch: {
		starts: ['bunch', 'bouquet: balloons and foils on ribbon'],
		List: BunchList,
		Panel: BunchPanel,
		aside: nothing
	},
	run: {
		starts: ['run', 'garland, arch, runner or pipe: along a path'],
		List: RunList,
		Panel: RunPanel,
		aside: nothing,
		advice: ofRun
	},
	weave: {
		starts: ['weave', 'wall, panel, basket or ring: woven'],
		List: WeaveList,
		Panel: WeavePanel,
		aside: nothing
	},
	frame: {
		starts: ['frame', 'frame: post, door, hoop, mast, bent stick'],
		List: FrameList,
		Panel: FramePanel,
		aside: nothing
	},
	form: {
		starts: ['form', 'modelling balloons: limbs, bands, curls'],
		List: FormList,
		Panel: null,
		aside: nothing
	},
	applied: { starts: null, List: AppliedList, Panel: null, aside: nothing },
	extras: { starts: null, List: null, Panel: null, aside: nothing },
	design: { starts: null, List: null, Panel: null, aside: ofDesign }
};

export const screenOf = <K extends Kind>({ kind }: Of<K>): Screen<StructureOf[K]> => SCREENS[kind];
