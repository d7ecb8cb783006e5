import type { Answers, AskedFields, ValuesOf } from '../../by-hand/asked.ts';
import type { Id } from '../../document/id.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { Said } from '../registry/said.ts';
import type { HandKit } from '../kit/by-hand.ts';

/** Something that can be put to a structure by its fields: what its sentence says, without the sentence. */
export interface HandForm<S> {
	readonly id: string;
	/** What is put, as she would say it: “a size of the mix”. */
	readonly title: string;
	readonly fields: AskedFields;
	readonly said: (values: Answers, kit: HandKit) => readonly Said[];
	/** What the fields say of a part that is there; undefined where it is none of these, or says more than they can. */
	readonly of?: (structure: S, id: Id) => Answers | undefined;
	/** What is so of the whole already: the fields start with it. */
	readonly now?: (structure: S) => Answers | undefined;
	/** What is wrong with answers that are each right by themselves, by their fields. */
	readonly conflicts?: (values: Answers) => Readonly<Record<string, string>>;
	/** What is said where a field without which there is nothing to put is blank. */
	readonly missing?: string;
	/** What follows from it: the other shares of a mix. @param id the part that was changed; null is the newest */
	readonly after?: (structure: Mutable<S>, id: Id | null) => void;
}

/** A form whose fields are known by their names. */
export const handForm = <S, const F extends AskedFields>(form: {
	readonly id: string;
	readonly title: string;
	readonly fields: F;
	readonly said: (values: ValuesOf<F>, kit: HandKit) => readonly Said[];
	readonly conflicts?: (values: ValuesOf<F>) => Readonly<Partial<Record<keyof F & string, string>>>;
	readonly of?: (structure: S, id: Id) => ValuesOf<F> | undefined;
	readonly now?: (structure: S) => ValuesOf<F> | undefined;
	readonly missing?: string;
	readonly after?: (structure: Mutable<S>, id: Id | null) => void;
}): HandForm<S> => form as unknown as HandForm<S>;

/** What can be put to a kind by hand; where it has screens of its own for that, nothing. */
export interface HandFacet<S> {
	readonly forms: readonly HandForm<S>[];
}
