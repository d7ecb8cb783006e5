/** Stable id of a part, made at the client (UUID). */
export type Id = string;

/** Makes ids; the client hands in `crypto.randomUUID`. */
export type NewId = () => string;
