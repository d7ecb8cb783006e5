/** Something that can be done, by name. */
export interface Command {
	readonly name: string;
	/** More words it is found by. */
	readonly also?: string;
	/** Key that does it too, as the page of shortcuts prints it. */
	readonly key?: string;
	readonly group: string;
	readonly run: () => void;
}

/** What the list of commands offers: screens always, and what the open screen adds while it is open. */
class Commands {
	open = $state(false);
	#added = $state.raw<readonly (() => readonly Command[])[]>([]);
	/** Asked for only while the list is open: nothing is gathered while somebody types. */
	readonly all = $derived(this.open ? this.#added.flatMap((of) => of()) : []);

	/** @returns takes them away again */
	add(of: () => readonly Command[]): () => void {
		this.#added = [...this.#added, of];
		return () => (this.#added = this.#added.filter((c) => c !== of));
	}
}

export const commands = new Commands();
