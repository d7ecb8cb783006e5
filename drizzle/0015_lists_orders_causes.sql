CREATE TABLE `on_order` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`material_id` text NOT NULL,
	`pack_id` text NOT NULL,
	`packs` integer NOT NULL,
	`count` integer NOT NULL,
	`cost_minor` integer,
	`ordered` text NOT NULL,
	`due` text,
	`came` text,
	`off` integer DEFAULT false NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`material_id`) REFERENCES `material`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`pack_id`) REFERENCES `pack`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "on_order_packs" CHECK("on_order"."packs" > 0 AND "on_order"."count" > 0)
);
--> statement-breakpoint
CREATE INDEX `on_order_material` ON `on_order` (`workspace_id`,`material_id`);--> statement-breakpoint
CREATE TABLE `price_list` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`supplier_id` text NOT NULL,
	`day` text NOT NULL,
	`file` text NOT NULL,
	`changed` integer NOT NULL,
	`added` integer NOT NULL,
	`undo` text NOT NULL,
	`undone` integer DEFAULT false NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`supplier_id`) REFERENCES `supplier`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `stock_view` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`query` text NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `stock_view_name` ON `stock_view` (`workspace_id`,`name`);--> statement-breakpoint
ALTER TABLE `material` ADD `facts` text;--> statement-breakpoint
ALTER TABLE `stock_move` ADD `cause` text;--> statement-breakpoint
ALTER TABLE `stock_move` ADD `batch` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `stock_move` ADD `supplier_id` text;--> statement-breakpoint
ALTER TABLE `supplier` ADD `list_columns` text;