PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_offcut` (
	`workspace_id` text NOT NULL,
	`material_id` text NOT NULL,
	`length` integer NOT NULL,
	`wide` integer DEFAULT 0 NOT NULL,
	`count` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `material_id`, `length`, `wide`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`material_id`) REFERENCES `material`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "offcut_there" CHECK("__new_offcut"."length" > 0 AND "__new_offcut"."wide" >= 0 AND "__new_offcut"."count" > 0)
);
--> statement-breakpoint
INSERT INTO `__new_offcut`("workspace_id", "material_id", "length", "wide", "count", "changed_by") SELECT "workspace_id", "material_id", "length", 0, "count", "changed_by" FROM `offcut`;--> statement-breakpoint
DROP TABLE `offcut`;--> statement-breakpoint
ALTER TABLE `__new_offcut` RENAME TO `offcut`;--> statement-breakpoint
PRAGMA foreign_keys=ON;