CREATE TABLE `offcut` (
	`workspace_id` text NOT NULL,
	`material_id` text NOT NULL,
	`length` integer NOT NULL,
	`count` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `material_id`, `length`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`material_id`) REFERENCES `material`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "offcut_there" CHECK("offcut"."length" > 0 AND "offcut"."count" > 0)
);
--> statement-breakpoint
CREATE TABLE `owned_thing` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`material_id` text NOT NULL,
	`name` text NOT NULL,
	`condition` text NOT NULL,
	`place` text NOT NULL,
	`note` text NOT NULL,
	`hire_minor` integer,
	`deposit_minor` integer,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`workspace_id`,`material_id`) REFERENCES `material`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "owned_thing_money" CHECK(("owned_thing"."hire_minor" IS NULL OR "owned_thing"."hire_minor" >= 0) AND ("owned_thing"."deposit_minor" IS NULL OR "owned_thing"."deposit_minor" >= 0))
);
--> statement-breakpoint
CREATE UNIQUE INDEX `owned_thing_name` ON `owned_thing` (`workspace_id`,`name`);--> statement-breakpoint
CREATE INDEX `owned_thing_material` ON `owned_thing` (`workspace_id`,`material_id`);