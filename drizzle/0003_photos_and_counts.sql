CREATE TABLE `count_back` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`design_id` text NOT NULL,
	`colourway_id` text,
	`size_id` text,
	`quantity` integer NOT NULL,
	`lines` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`made_version` integer,
	`counted_at` integer NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`design_id`) REFERENCES `design`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "count_back_quantity" CHECK("count_back"."quantity" BETWEEN 1 AND 999)
);
--> statement-breakpoint
CREATE INDEX `count_back_design` ON `count_back` (`workspace_id`,`design_id`,`counted_at`);--> statement-breakpoint
CREATE TABLE `photo` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`design_id` text NOT NULL,
	`type` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`caption` text DEFAULT '' NOT NULL,
	`cover` integer DEFAULT false NOT NULL,
	`added_at` integer NOT NULL,
	`removed_at` integer,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`,`design_id`) REFERENCES `design`(`workspace_id`,`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "photo_size" CHECK("photo"."width" > 0 AND "photo"."height" > 0 AND length("photo"."bytes") <= 10485760),
	CONSTRAINT "photo_cover_shown" CHECK("photo"."cover" = 0 OR "photo"."removed_at" IS NULL)
);
--> statement-breakpoint
CREATE INDEX `photo_design` ON `photo` (`workspace_id`,`design_id`,`added_at`);--> statement-breakpoint
CREATE UNIQUE INDEX `photo_cover` ON `photo` (`workspace_id`,`design_id`) WHERE "photo"."cover" = 1;