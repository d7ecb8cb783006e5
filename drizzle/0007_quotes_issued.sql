-- What was issued to a client stands apart from the quote it came of, what happened to it is only ever added to, and every row
-- says whose request wrote it: until people were asked, the owner's.
DROP TRIGGER quote_sent_frozen;--> statement-breakpoint
DROP TRIGGER quote_sent_stays;--> statement-breakpoint
DROP TRIGGER quote_line_frozen_update;--> statement-breakpoint
DROP TRIGGER quote_line_frozen_delete;--> statement-breakpoint
DROP TRIGGER quote_line_frozen_insert;--> statement-breakpoint
ALTER TABLE `workspace` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
ALTER TABLE `colour` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
ALTER TABLE `supplier` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
ALTER TABLE `material` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
ALTER TABLE `pack` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
ALTER TABLE `design` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
ALTER TABLE `design_version` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
ALTER TABLE `version_name` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
ALTER TABLE `photo` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
ALTER TABLE `count_back` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
ALTER TABLE `client` ADD `changed_by` text NOT NULL DEFAULT 'owner';--> statement-breakpoint
-- The quote is built anew without what was issued of it. Its lines wait aside: nothing may point at a table that is dropped.
CREATE TABLE `old_quote` AS SELECT * FROM `quote`;--> statement-breakpoint
CREATE TABLE `old_quote_line` AS SELECT * FROM `quote_line`;--> statement-breakpoint
DELETE FROM `quote_line`;--> statement-breakpoint
DROP TABLE `quote`;--> statement-breakpoint
CREATE TABLE `quote` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`number` integer NOT NULL,
	`client_id` text NOT NULL,
	`event_date` text,
	`zone` text NOT NULL,
	`state` text DEFAULT 'draft' NOT NULL,
	`terms` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`save_id` text,
	`created_at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`client_id`) REFERENCES `client`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "quote_event_date" CHECK("quote"."event_date" IS NULL OR "quote"."event_date" GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]')
);
--> statement-breakpoint
INSERT INTO `quote` SELECT `workspace_id`, `id`, `number`, `client_id`, `event_date`, `zone`, `state`, `terms`, `revision`, `save_id`, `created_at`, 'owner' FROM `old_quote`;--> statement-breakpoint
CREATE UNIQUE INDEX `quote_number` ON `quote` (`workspace_id`,`number`);--> statement-breakpoint
CREATE INDEX `quote_day` ON `quote` (`workspace_id`,`event_date`);--> statement-breakpoint
INSERT INTO `quote_line` (`workspace_id`, `id`, `quote_id`, `position`, `version_id`, `colourway_id`, `size_id`, `quantity`, `way`) SELECT `workspace_id`, `id`, `quote_id`, `position`, `version_id`, `colourway_id`, `size_id`, `quantity`, `way` FROM `old_quote_line`;--> statement-breakpoint
CREATE TABLE `quote_issue` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`quote_id` text NOT NULL,
	`number` integer NOT NULL,
	`token` text NOT NULL,
	`frozen` text NOT NULL,
	`frozen_owner` text NOT NULL,
	`issued_at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "quote_issue_from_one" CHECK("quote_issue"."number" > 0)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `quote_issue_number` ON `quote_issue` (`workspace_id`,`quote_id`,`number`);--> statement-breakpoint
CREATE UNIQUE INDEX `quote_issue_token` ON `quote_issue` (`token`);--> statement-breakpoint
INSERT INTO `quote_issue` SELECT `workspace_id`, `id` || '.1', `id`, 1, `token`, `frozen`, `frozen_owner`, `sent_at`, 'owner' FROM `old_quote` WHERE `frozen` IS NOT NULL;--> statement-breakpoint
CREATE TABLE `quote_event` (
	`workspace_id` text NOT NULL,
	`quote_id` text NOT NULL,
	`number` integer NOT NULL,
	`issue_id` text NOT NULL,
	`event` text NOT NULL,
	`at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `quote_id`, `number`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`issue_id`) REFERENCES `quote_issue`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `quote_event` SELECT `workspace_id`, `id`, 1, `id` || '.1', 'issued', `sent_at`, 'owner' FROM `old_quote` WHERE `frozen` IS NOT NULL;--> statement-breakpoint
INSERT INTO `quote_event` SELECT `workspace_id`, `id`, 2, `id` || '.1', `state`, coalesce(`decided_at`, `sent_at`), 'owner' FROM `old_quote` WHERE `state` IN ('accepted', 'declined');--> statement-breakpoint
DROP TABLE `old_quote_line`;--> statement-breakpoint
DROP TABLE `old_quote`;--> statement-breakpoint
-- Kept versions, issued quotes and what happened never change: designs, quotes and papers depend on them.
CREATE TRIGGER quote_issued_stands BEFORE UPDATE ON quote WHEN OLD.state <> 'draft' AND (
	NEW.terms IS NOT OLD.terms OR NEW.client_id IS NOT OLD.client_id OR NEW.event_date IS NOT OLD.event_date
	OR NEW.zone IS NOT OLD.zone OR NEW.number IS NOT OLD.number OR NEW.id IS NOT OLD.id
	OR NEW.workspace_id IS NOT OLD.workspace_id OR NEW.state = 'draft')
BEGIN SELECT RAISE(ABORT, 'a sent quote never changes'); END;
--> statement-breakpoint
CREATE TRIGGER quote_issued_stays BEFORE DELETE ON quote WHEN OLD.state <> 'draft'
BEGIN SELECT RAISE(ABORT, 'a sent quote is never deleted'); END;
--> statement-breakpoint
CREATE TRIGGER quote_line_frozen_update BEFORE UPDATE ON quote_line
WHEN (SELECT state FROM quote WHERE workspace_id = OLD.workspace_id AND id = OLD.quote_id) <> 'draft'
BEGIN SELECT RAISE(ABORT, 'a sent quote never changes'); END;
--> statement-breakpoint
CREATE TRIGGER quote_line_frozen_delete BEFORE DELETE ON quote_line
WHEN (SELECT state FROM quote WHERE workspace_id = OLD.workspace_id AND id = OLD.quote_id) <> 'draft'
BEGIN SELECT RAISE(ABORT, 'a sent quote never changes'); END;
--> statement-breakpoint
CREATE TRIGGER quote_line_frozen_insert BEFORE INSERT ON quote_line
WHEN (SELECT state FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id) <> 'draft'
BEGIN SELECT RAISE(ABORT, 'a sent quote never changes'); END;
--> statement-breakpoint
CREATE TRIGGER quote_issue_frozen BEFORE UPDATE ON quote_issue
BEGIN SELECT RAISE(ABORT, 'an issued quote never changes'); END;
--> statement-breakpoint
CREATE TRIGGER quote_issue_stays BEFORE DELETE ON quote_issue
BEGIN SELECT RAISE(ABORT, 'an issued quote is never deleted'); END;
--> statement-breakpoint
CREATE TRIGGER quote_event_frozen BEFORE UPDATE ON quote_event
BEGIN SELECT RAISE(ABORT, 'what happened never changes'); END;
--> statement-breakpoint
CREATE TRIGGER quote_event_stays BEFORE DELETE ON quote_event
BEGIN SELECT RAISE(ABORT, 'what happened is never deleted'); END;
