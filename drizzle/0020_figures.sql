CREATE TABLE `job_figure` (
	`workspace_id` text NOT NULL,
	`quote_id` text NOT NULL,
	`part` text NOT NULL,
	`key` text NOT NULL,
	`name` text NOT NULL,
	`day` text NOT NULL,
	`reckoned` integer NOT NULL,
	`real` integer,
	`net` integer NOT NULL,
	`amount` integer NOT NULL,
	`cause` text DEFAULT '' NOT NULL,
	`left_out` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `quote_id`, `part`, `key`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `job_count`(`workspace_id`,`quote_id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `job_figure_part` ON `job_figure` (`workspace_id`,`part`,`day`);--> statement-breakpoint
CREATE TABLE `job_photo` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`quote_id` text NOT NULL,
	`type` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`caption` text DEFAULT '' NOT NULL,
	`is_shown` integer NOT NULL,
	`added_at` integer NOT NULL,
	`changed_by` text NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "job_photo_size" CHECK("job_photo"."width" > 0 AND "job_photo"."height" > 0 AND length("job_photo"."bytes") <= 10485760)
);
--> statement-breakpoint
CREATE INDEX `job_photo_quote` ON `job_photo` (`workspace_id`,`quote_id`,`added_at`);