import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { changeEntry } from './tables/changes.ts';
import { countBack } from './tables/count-back.ts';
import { design, designVersion, saveReceipt, versionName, versionRef } from './tables/design.ts';
import { job, jobCount, jobFigure, jobPhoto, jobTick, otherEvent, tallyMark } from './tables/job.ts';
import { endedLink, linkLook } from './tables/links.ts';
import { credential, invitation, person, secondStep, session, staffLetter, verification } from './tables/people.ts'; // prettier-ignore
import { photo } from './tables/photo.ts';
import { client, message, paper, payment, placePhoto, quote, quoteEvent, quoteIssue, quoteLine } from './tables/quote.ts'; // prettier-ignore
import { colour, material, onOrder, pack, packPrice, priceList, stockMove, stockView, supplier } from './tables/stock.ts'; // prettier-ignore
import { offcut, ownedThing } from './tables/things.ts';
import { workspace } from './tables/workspace.ts';

/** What a studio's business is, in an order that can be read from the top. Each stands under its workspace. */
export const STUDIO_TABLES = {
	colour,
	supplier,
	material,
	pack,
	packPrice,
	priceList,
	stockMove,
	onOrder,
	stockView,
	ownedThing,
	offcut,
	design,
	designVersion,
	versionName,
	versionRef,
	photo,
	countBack,
	client,
	quote,
	quoteLine,
	quoteIssue,
	quoteEvent,
	payment,
	paper,
	message,
	placePhoto,
	job,
	jobTick,
	jobCount,
	jobFigure,
	jobPhoto,
	tallyMark,
	otherEvent,
	endedLink,
	linkLook,
	changeEntry
} as const satisfies Readonly<Record<string, SQLiteTable & { readonly workspaceId: SQLiteColumn }>>;
/** Those of them that hold pictures: a row of theirs is read by itself. */
export const PICTURE_TABLES: ReadonlySet<string> = new Set(['photo', 'placePhoto', 'jobPhoto']);
export type StudioTable = keyof typeof STUDIO_TABLES;
export const STUDIO_TABLE_NAMES = Object.keys(STUDIO_TABLES) as StudioTable[];

/**
 * What goes with no studio: who signs in and with what, letters to them, and saves that were answered. The studio itself
 * goes as what it is called and how it is set.
 */
export const OTHER_TABLES = {
	workspace,
	person,
	session,
	credential,
	verification,
	secondStep,
	invitation,
	staffLetter,
	saveReceipt
} as const;
