/** What a line of a bill is of: a material, in the role it plays. The one key of a material wherever lines are kept by one. */
const PREFIX = 'material:';

/** @param id of the material, or the words of what is not chosen yet @param role how it is meant; `always` says nothing */
export const materialKey = (id: string, role = 'always'): string =>
	role === 'always' ? `${PREFIX}${id}` : `${PREFIX}${id}/${role}`;

/** Whether a line is of a material, not of balloons that no material stands for. */
export const isMaterialKey = (key: string): boolean => key.startsWith(PREFIX);

/** What {@link materialKey} made. */
export function readMaterialKey(key: string): { readonly material: string; readonly role: string } {
	const [material = '', role = 'always'] = key.slice(PREFIX.length).split('/');
	return { material, role };
}
