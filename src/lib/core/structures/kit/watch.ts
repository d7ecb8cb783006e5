import type { Finding } from '../../checks/finding.ts';

export const watch = (code: Finding['code'], say: string, why?: string): Finding => ({
	code,
	level: 'watch',
	say,
	...(why ? { why } : {})
});
