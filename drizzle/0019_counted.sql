CREATE TABLE `job_count` (
	`workspace_id` text NOT NULL,
	`quote_id` text NOT NULL,
	`day` text NOT NULL,
	`counted` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`changed_at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `quote_id`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "job_count_revision" CHECK("job_count"."revision" > 0)
);
--> statement-breakpoint
CREATE INDEX `job_count_day` ON `job_count` (`workspace_id`,`day`);--> statement-breakpoint
CREATE TABLE `tally_mark` (
	`workspace_id` text NOT NULL,
	`quote_id` text NOT NULL,
	`id` text NOT NULL,
	`line` text NOT NULL,
	`step` text NOT NULL,
	`kind` text NOT NULL,
	`amount` integer NOT NULL,
	`material` text DEFAULT '' NOT NULL,
	`cause` text,
	`person` text DEFAULT '' NOT NULL,
	`at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `quote_id`, `id`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "tally_mark_amount" CHECK(abs("tally_mark"."amount") BETWEEN 1 AND 100000)
);
--> statement-breakpoint
CREATE TRIGGER tell_job_counted AFTER INSERT ON job_count
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', NEW.quote_id, 'quote ' || (SELECT number FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id), 'job.counted', NULL, NEW.day, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_job_counted_anew AFTER UPDATE OF revision ON job_count
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', NEW.quote_id, 'quote ' || (SELECT number FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id), 'job.counted', OLD.day, NEW.day, NEW.changed_by); END;
