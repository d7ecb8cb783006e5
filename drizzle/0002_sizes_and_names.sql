CREATE TABLE `version_name` (
	`workspace_id` text NOT NULL,
	`version_id` text NOT NULL,
	`name` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `version_id`),
	FOREIGN KEY (`workspace_id`,`version_id`) REFERENCES `design_version`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "version_name_length" CHECK(length("version_name"."name") BETWEEN 1 AND 80)
);
--> statement-breakpoint
ALTER TABLE `design_version` ADD `how` text DEFAULT 'button' NOT NULL;--> statement-breakpoint
ALTER TABLE `quote_line` ADD `size_id` text;