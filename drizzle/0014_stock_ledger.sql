CREATE TABLE `stock_move` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`material_id` text NOT NULL,
	`day` text NOT NULL,
	`kind` text NOT NULL,
	`thousandths` integer NOT NULL,
	`cost_minor` integer,
	`note` text DEFAULT '' NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`material_id`) REFERENCES `material`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stock_move_material` ON `stock_move` (`workspace_id`,`material_id`,`day`);--> statement-breakpoint
CREATE TRIGGER `stock_move_kept` BEFORE UPDATE ON `stock_move` BEGIN SELECT RAISE(ABORT, 'movements of stock are never changed'); END;--> statement-breakpoint
CREATE TRIGGER `stock_move_stays` BEFORE DELETE ON `stock_move` BEGIN SELECT RAISE(ABORT, 'movements of stock are never taken away'); END;
