CREATE TABLE `design` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`working` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`kept_number` integer DEFAULT 0 NOT NULL,
	`kept_revision` integer DEFAULT 0 NOT NULL,
	`created_at` integer NOT NULL,
	`changed_at` integer NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "design_revision" CHECK("design"."revision" >= "design"."kept_revision" AND "design"."kept_number" >= 0)
);
--> statement-breakpoint
CREATE INDEX `design_changed` ON `design` (`workspace_id`,`changed_at`);--> statement-breakpoint
CREATE TABLE `design_version` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`design_id` text NOT NULL,
	`number` integer NOT NULL,
	`recipe` text NOT NULL,
	`kept_at` integer NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`design_id`) REFERENCES `design`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `design_version_number` ON `design_version` (`workspace_id`,`design_id`,`number`);--> statement-breakpoint
CREATE TABLE `save_receipt` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`design_id` text NOT NULL,
	`revision` integer NOT NULL,
	`saved_at` integer NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`design_id`) REFERENCES `design`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `version_ref` (
	`workspace_id` text NOT NULL,
	`version_id` text NOT NULL,
	`kind` text NOT NULL,
	`ref_id` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `version_id`, `kind`, `ref_id`),
	FOREIGN KEY (`workspace_id`,`version_id`) REFERENCES `design_version`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `version_ref_target` ON `version_ref` (`workspace_id`,`kind`,`ref_id`);--> statement-breakpoint
CREATE TABLE `client` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`email` text DEFAULT '' NOT NULL,
	`phone` text DEFAULT '' NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `client_name` ON `client` (`workspace_id`,`name`);--> statement-breakpoint
CREATE TABLE `quote` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`number` integer NOT NULL,
	`client_id` text NOT NULL,
	`event_date` text,
	`zone` text NOT NULL,
	`state` text DEFAULT 'draft' NOT NULL,
	`token` text,
	`terms` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`frozen` text,
	`frozen_owner` text,
	`created_at` integer NOT NULL,
	`sent_at` integer,
	`decided_at` integer,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`client_id`) REFERENCES `client`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "quote_sent" CHECK(("quote"."state" = 'draft') = ("quote"."frozen" IS NULL)),
	CONSTRAINT "quote_event_date" CHECK("quote"."event_date" IS NULL OR "quote"."event_date" GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]')
);
--> statement-breakpoint
CREATE UNIQUE INDEX `quote_number` ON `quote` (`workspace_id`,`number`);--> statement-breakpoint
CREATE UNIQUE INDEX `quote_token` ON `quote` (`token`);--> statement-breakpoint
CREATE INDEX `quote_event` ON `quote` (`workspace_id`,`event_date`);--> statement-breakpoint
CREATE TABLE `quote_line` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`quote_id` text NOT NULL,
	`position` integer NOT NULL,
	`version_id` text NOT NULL,
	`colourway_id` text,
	`quantity` integer NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`quote_id`) REFERENCES `quote`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`version_id`) REFERENCES `design_version`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "quote_line_quantity" CHECK("quote_line"."quantity" > 0)
);
--> statement-breakpoint
CREATE INDEX `quote_line_quote` ON `quote_line` (`workspace_id`,`quote_id`);--> statement-breakpoint
CREATE INDEX `quote_line_version` ON `quote_line` (`workspace_id`,`version_id`);--> statement-breakpoint
CREATE TABLE `colour` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`finish` text NOT NULL,
	`hex` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "colour_hex" CHECK("colour"."hex" GLOB '#[0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f]')
);
--> statement-breakpoint
CREATE UNIQUE INDEX `colour_name` ON `colour` (`workspace_id`,`name`,`finish`);--> statement-breakpoint
CREATE TABLE `material` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`nominal` integer,
	`colour_id` text,
	`safe` integer,
	`loss` text,
	`reuse` text,
	`unit` text DEFAULT 'piece' NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`colour_id`) REFERENCES `colour`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "material_nominal" CHECK("material"."nominal" IS NULL OR "material"."nominal" > 0)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `material_name` ON `material` (`workspace_id`,`name`);--> statement-breakpoint
CREATE TABLE `pack` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`material_id` text NOT NULL,
	`supplier_id` text NOT NULL,
	`count` integer NOT NULL,
	`price_minor` integer,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`material_id`) REFERENCES `material`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`supplier_id`) REFERENCES `supplier`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "pack_count" CHECK("pack"."count" > 0),
	CONSTRAINT "pack_price" CHECK("pack"."price_minor" IS NULL OR "pack"."price_minor" > 0)
);
--> statement-breakpoint
CREATE INDEX `pack_material` ON `pack` (`workspace_id`,`material_id`);--> statement-breakpoint
CREATE TABLE `supplier` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `supplier_name` ON `supplier` (`workspace_id`,`name`);--> statement-breakpoint
CREATE TABLE `workspace` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`settings` text NOT NULL,
	`stock_revision` integer DEFAULT 0 NOT NULL,
	`created_at` integer NOT NULL,
	CONSTRAINT "workspace_stock_revision" CHECK("workspace"."stock_revision" >= 0)
);
