CREATE TABLE `message` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`quote_id` text NOT NULL,
	`kind` text NOT NULL,
	`recipient` text NOT NULL,
	`subject` text NOT NULL,
	`mime` text NOT NULL,
	`sent_at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `message_quote` ON `message` (`workspace_id`,`quote_id`,`sent_at`);--> statement-breakpoint
CREATE TABLE `paper` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`quote_id` text NOT NULL,
	`issue_id` text NOT NULL,
	`kind` text NOT NULL,
	`number` integer NOT NULL,
	`frozen` text NOT NULL,
	`made_at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`issue_id`) REFERENCES `quote_issue`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "paper_from_one" CHECK("paper"."number" > 0)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `paper_number` ON `paper` (`workspace_id`,`kind`,`number`);--> statement-breakpoint
CREATE INDEX `paper_quote` ON `paper` (`workspace_id`,`quote_id`,`made_at`);--> statement-breakpoint
CREATE TABLE `payment` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`quote_id` text NOT NULL,
	`issue_id` text NOT NULL,
	`kind` text NOT NULL,
	`minor` integer NOT NULL,
	`state` text NOT NULL,
	`made_at` integer NOT NULL,
	`settled_at` integer,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`issue_id`) REFERENCES `quote_issue`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "payment_minor" CHECK("payment"."minor" > 0)
);
--> statement-breakpoint
CREATE INDEX `payment_quote` ON `payment` (`workspace_id`,`quote_id`,`made_at`);--> statement-breakpoint
CREATE TABLE `place_photo` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`quote_id` text NOT NULL,
	`type` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`added_at` integer NOT NULL,
	`changed_by` text NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "place_photo_size" CHECK("place_photo"."width" > 0 AND "place_photo"."height" > 0 AND length("place_photo"."bytes") <= 10485760)
);
--> statement-breakpoint
CREATE INDEX `place_photo_quote` ON `place_photo` (`workspace_id`,`quote_id`,`added_at`);--> statement-breakpoint
ALTER TABLE `client` ADD `details` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `quote_event` ADD `said` text;--> statement-breakpoint
ALTER TABLE `pack` ADD `deposit_minor` integer;--> statement-breakpoint
CREATE INDEX `quote_client` ON `quote` (`workspace_id`,`client_id`,`state`);
--> statement-breakpoint
-- A sent quote may be written anew: what was issued stays as it was. Its client may be found to be another's double.
DROP TRIGGER quote_issued_stands;
--> statement-breakpoint
CREATE TRIGGER quote_issued_stands BEFORE UPDATE ON quote WHEN OLD.state <> 'draft' AND (
	NEW.terms IS NOT OLD.terms OR NEW.event_date IS NOT OLD.event_date OR NEW.zone IS NOT OLD.zone
	OR NEW.number IS NOT OLD.number OR NEW.id IS NOT OLD.id OR NEW.workspace_id IS NOT OLD.workspace_id)
BEGIN SELECT RAISE(ABORT, 'a sent quote never changes'); END;
--> statement-breakpoint
CREATE TRIGGER paper_frozen BEFORE UPDATE ON paper
BEGIN SELECT RAISE(ABORT, 'a paper never changes'); END;
--> statement-breakpoint
CREATE TRIGGER paper_stays BEFORE DELETE ON paper
BEGIN SELECT RAISE(ABORT, 'a paper is never deleted'); END;
--> statement-breakpoint
CREATE TRIGGER message_frozen BEFORE UPDATE ON message
BEGIN SELECT RAISE(ABORT, 'a message never changes'); END;
--> statement-breakpoint
CREATE TRIGGER message_stays BEFORE DELETE ON message
BEGIN SELECT RAISE(ABORT, 'a message is never deleted'); END;
--> statement-breakpoint
CREATE TRIGGER payment_stands BEFORE UPDATE ON payment WHEN OLD.state IN ('paid', 'failed') OR (
	NEW.minor IS NOT OLD.minor OR NEW.kind IS NOT OLD.kind OR NEW.quote_id IS NOT OLD.quote_id
	OR NEW.issue_id IS NOT OLD.issue_id OR NEW.id IS NOT OLD.id OR NEW.workspace_id IS NOT OLD.workspace_id)
BEGIN SELECT RAISE(ABORT, 'a payment never changes'); END;
--> statement-breakpoint
CREATE TRIGGER payment_stays BEFORE DELETE ON payment
BEGIN SELECT RAISE(ABORT, 'a payment is never deleted'); END;
