ALTER TABLE `quote` ADD `save_id` text;--> statement-breakpoint
ALTER TABLE `quote_line` ADD `way` text;--> statement-breakpoint
ALTER TABLE `workspace` ADD `demo` integer DEFAULT false NOT NULL;--> statement-breakpoint
UPDATE `workspace` SET `demo` = 1 WHERE `name` = 'Puddlelark Balloons';
