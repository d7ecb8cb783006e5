export const newId = (): string => crypto.randomUUID();

/** Ids come with the form, so that a button pressed twice makes one design. */
export function idFrom(form: FormData): string {
	const said = String(form.get('id') ?? '');
	return /^[\w-]{8,64}$/.test(said) ? said : newId();
}
