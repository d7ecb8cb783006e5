import { GONE } from '../../../../core/document/names.ts';
import { asKind } from '../../../../core/structures/kinds.ts';
import type { DesignUse } from '../../../../core/structures/design/document.ts';
import type { Bench } from '../../bench.svelte.ts';

/** In which size it is, and with which version it was last kept, where the part has been kept again since. */
export function aside({ design, size }: DesignUse, bench: Bench, section: string): string {
	const sizes = bench.context.library(design)?.sizes;
	const named = size === null ? '' : `, ${sizes?.find((s) => s.id === size)?.name ?? GONE.size}`;
	return `${named}${versionWords(bench, section)} · a design of its own`;
}

function versionWords(bench: Bench, section: string): string {
	const before = bench.kept?.sections.find((s) => s.id === section);
	const kept = before && asKind(before.structure, 'design');
	if (!kept || kept.version === null) return '';
	const now = bench.data.partVersions[kept.design];
	return now !== undefined && now !== kept.version
		? ` · version ${now}, kept with version ${kept.version}`
		: ` · version ${kept.version}`;
}
