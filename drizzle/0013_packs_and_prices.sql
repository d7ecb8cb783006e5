CREATE TABLE `pack_price` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`pack_id` text NOT NULL,
	`day` text NOT NULL,
	`count` integer NOT NULL,
	`price_minor` integer,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`pack_id`) REFERENCES `pack`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "pack_price_count" CHECK("pack_price"."count" > 0)
);
--> statement-breakpoint
CREATE INDEX `pack_price_pack` ON `pack_price` (`workspace_id`,`pack_id`,`day`);--> statement-breakpoint
ALTER TABLE `material` ADD `retired` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `material` ADD `into_id` text;--> statement-breakpoint
ALTER TABLE `pack` ADD `suppliers_name` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `pack` ADD `code` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `pack` ADD `since` text;--> statement-breakpoint
ALTER TABLE `pack` ADD `until` text;--> statement-breakpoint
ALTER TABLE `pack` ADD `breaks` text;--> statement-breakpoint
ALTER TABLE `pack` ADD `usual` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `pack` ADD `ended` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `supplier` ADD `shipping_minor` integer;--> statement-breakpoint
ALTER TABLE `supplier` ADD `free_from_minor` integer;--> statement-breakpoint
ALTER TABLE `supplier` ADD `lead_days` integer;