/** Stable id of a part, made at the client (UUID). */
export type Id = string;
