ALTER TABLE `material` ADD `mark` text;--> statement-breakpoint
ALTER TABLE `material` ADD `fill_ml` integer;--> statement-breakpoint
ALTER TABLE `material` ADD `weight_mg` integer;--> statement-breakpoint
ALTER TABLE `material` ADD `chambers` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
UPDATE `material` SET `mark` = substr(`name`, 1, 3) WHERE `kind` = 'modelling' AND substr(`name`, 1, 3) IN ('160', '260', '350', '360');
