CREATE TABLE `job` (
	`workspace_id` text NOT NULL,
	`quote_id` text NOT NULL,
	`day` text,
	`first_day` text,
	`last_day` text,
	`said` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`changed_at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `quote_id`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "job_days" CHECK(("job"."first_day" IS NULL) = ("job"."last_day" IS NULL) AND "job"."revision" > 0)
);
--> statement-breakpoint
CREATE INDEX `job_day` ON `job` (`workspace_id`,`day`);--> statement-breakpoint
CREATE TABLE `job_tick` (
	`workspace_id` text NOT NULL,
	`quote_id` text NOT NULL,
	`list` text NOT NULL,
	`key` text NOT NULL,
	`at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `quote_id`, `list`, `key`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "job_tick_key" CHECK(length("job_tick"."list") BETWEEN 1 AND 20 AND length("job_tick"."key") BETWEEN 1 AND 200)
);
--> statement-breakpoint
CREATE TABLE `other_event` (
	`workspace_id` text NOT NULL,
	`uid` text NOT NULL,
	`calendar` text NOT NULL,
	`title` text NOT NULL,
	`first_day` text NOT NULL,
	`last_day` text NOT NULL,
	`from_minute` integer,
	`to_minute` integer,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `calendar`, `uid`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "other_event_days" CHECK("other_event"."first_day" <= "other_event"."last_day" AND length("other_event"."title") <= 200)
);
--> statement-breakpoint
CREATE INDEX `other_event_day` ON `other_event` (`workspace_id`,`first_day`);--> statement-breakpoint
CREATE TRIGGER tell_job_day AFTER UPDATE OF day ON job WHEN OLD.day IS NOT NEW.day
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', NEW.quote_id, 'quote ' || (SELECT number FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id), 'job.day', OLD.day, NEW.day, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_job_first_day AFTER INSERT ON job WHEN NEW.day IS NOT (SELECT event_date FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id)
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', NEW.quote_id, 'quote ' || (SELECT number FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id), 'job.day', (SELECT event_date FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id), NEW.day, NEW.changed_by); END;
