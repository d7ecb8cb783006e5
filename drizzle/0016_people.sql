CREATE TABLE `change_entry` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`workspace_id` text NOT NULL,
	`at` integer NOT NULL,
	`about` text NOT NULL,
	`about_id` text NOT NULL,
	`name` text NOT NULL,
	`what` text NOT NULL,
	`was` text,
	`is` text,
	`changed_by` text NOT NULL,
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `change_entry_about` ON `change_entry` (`workspace_id`,`about`,`about_id`);--> statement-breakpoint
CREATE INDEX `change_entry_at` ON `change_entry` (`workspace_id`,`at`);--> statement-breakpoint
CREATE TABLE `ended_link` (
	`workspace_id` text NOT NULL,
	`token` text NOT NULL,
	`at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `token`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `link_look` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`token` text NOT NULL,
	`at` integer NOT NULL,
	`what` text NOT NULL,
	`device` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `link_look_token` ON `link_look` (`workspace_id`,`token`,`at`);--> statement-breakpoint
CREATE TABLE `credential` (
	`id` text PRIMARY KEY NOT NULL,
	`account_id` text NOT NULL,
	`provider_id` text NOT NULL,
	`person_id` text NOT NULL,
	`password` text,
	`access_token` text,
	`refresh_token` text,
	`id_token` text,
	`access_token_expires_at` integer,
	`refresh_token_expires_at` integer,
	`scope` text,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `credential_person` ON `credential` (`person_id`,`provider_id`);--> statement-breakpoint
CREATE TABLE `invitation` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`token_hash` text NOT NULL,
	`created_at` integer NOT NULL,
	`expires_at` integer NOT NULL,
	`taken_at` integer,
	`ended_at` integer,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `invitation_token_hash_unique` ON `invitation` (`token_hash`);--> statement-breakpoint
CREATE TABLE `person` (
	`id` text PRIMARY KEY NOT NULL,
	`workspace_id` text NOT NULL,
	`name` text NOT NULL,
	`email` text NOT NULL,
	`email_verified` integer DEFAULT false NOT NULL,
	`image` text,
	`role` text NOT NULL,
	`second_step` integer DEFAULT false NOT NULL,
	`ended_at` integer,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	`changed_by` text NOT NULL,
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "person_email" CHECK("person"."email" = lower("person"."email"))
);
--> statement-breakpoint
CREATE UNIQUE INDEX `person_email_unique` ON `person` (`email`);--> statement-breakpoint
CREATE INDEX `person_workspace` ON `person` (`workspace_id`);--> statement-breakpoint
CREATE TABLE `second_step` (
	`id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`secret` text NOT NULL,
	`backup_codes` text NOT NULL,
	`verified` integer DEFAULT true NOT NULL,
	`failed` integer DEFAULT 0 NOT NULL,
	`locked_until` integer,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `second_step_person` ON `second_step` (`person_id`);--> statement-breakpoint
CREATE TABLE `session` (
	`id` text PRIMARY KEY NOT NULL,
	`token` text NOT NULL,
	`person_id` text NOT NULL,
	`expires_at` integer NOT NULL,
	`ip_address` text,
	`user_agent` text,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `session_token_unique` ON `session` (`token`);--> statement-breakpoint
CREATE INDEX `session_person` ON `session` (`person_id`);--> statement-breakpoint
CREATE TABLE `staff_letter` (
	`workspace_id` text NOT NULL,
	`id` text NOT NULL,
	`to_address` text NOT NULL,
	`subject` text NOT NULL,
	`body` text NOT NULL,
	`at` integer NOT NULL,
	PRIMARY KEY(`workspace_id`, `id`),
	FOREIGN KEY (`workspace_id`) REFERENCES `workspace`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `verification` (
	`id` text PRIMARY KEY NOT NULL,
	`identifier` text NOT NULL,
	`value` text NOT NULL,
	`expires_at` integer NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `verification_identifier` ON `verification` (`identifier`);--> statement-breakpoint
CREATE TRIGGER change_entry_frozen BEFORE UPDATE ON change_entry
BEGIN SELECT RAISE(ABORT, 'what was changed is never rewritten'); END;
--> statement-breakpoint
CREATE TRIGGER change_entry_stays BEFORE DELETE ON change_entry
BEGIN SELECT RAISE(ABORT, 'what was changed is never forgotten'); END;
--> statement-breakpoint
CREATE TRIGGER tell_pack_price_minor AFTER UPDATE OF price_minor ON pack WHEN OLD.price_minor IS NOT NEW.price_minor
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.material_id, (SELECT name FROM material WHERE workspace_id = NEW.workspace_id AND id = NEW.material_id), 'pack.price_minor', OLD.price_minor, NEW.price_minor, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_pack_count AFTER UPDATE OF count ON pack WHEN OLD.count IS NOT NEW.count
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.material_id, (SELECT name FROM material WHERE workspace_id = NEW.workspace_id AND id = NEW.material_id), 'pack.count', OLD.count, NEW.count, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_pack_deposit_minor AFTER UPDATE OF deposit_minor ON pack WHEN OLD.deposit_minor IS NOT NEW.deposit_minor
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.material_id, (SELECT name FROM material WHERE workspace_id = NEW.workspace_id AND id = NEW.material_id), 'pack.deposit_minor', OLD.deposit_minor, NEW.deposit_minor, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_pack_breaks AFTER UPDATE OF breaks ON pack WHEN OLD.breaks IS NOT NEW.breaks
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.material_id, (SELECT name FROM material WHERE workspace_id = NEW.workspace_id AND id = NEW.material_id), 'pack.breaks', OLD.breaks, NEW.breaks, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_pack_since AFTER UPDATE OF since ON pack WHEN OLD.since IS NOT NEW.since
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.material_id, (SELECT name FROM material WHERE workspace_id = NEW.workspace_id AND id = NEW.material_id), 'pack.since', OLD.since, NEW.since, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_pack_until AFTER UPDATE OF until ON pack WHEN OLD.until IS NOT NEW.until
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.material_id, (SELECT name FROM material WHERE workspace_id = NEW.workspace_id AND id = NEW.material_id), 'pack.until', OLD.until, NEW.until, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_pack_ended AFTER UPDATE OF ended ON pack WHEN OLD.ended IS NOT NEW.ended
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.material_id, (SELECT name FROM material WHERE workspace_id = NEW.workspace_id AND id = NEW.material_id), 'pack.ended', OLD.ended, NEW.ended, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_material_name AFTER UPDATE OF name ON material WHEN OLD.name IS NOT NEW.name
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.id, NEW.name, 'material.name', OLD.name, NEW.name, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_material_loss AFTER UPDATE OF loss ON material WHEN OLD.loss IS NOT NEW.loss
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.id, NEW.name, 'material.loss', OLD.loss, NEW.loss, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_material_retired AFTER UPDATE OF retired ON material WHEN OLD.retired IS NOT NEW.retired
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.id, NEW.name, 'material.retired', OLD.retired, NEW.retired, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_material_into_id AFTER UPDATE OF into_id ON material WHEN OLD.into_id IS NOT NEW.into_id
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.id, NEW.name, 'material.into_id', OLD.into_id, NEW.into_id, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_material_reuse AFTER UPDATE OF reuse ON material WHEN OLD.reuse IS NOT NEW.reuse
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.id, NEW.name, 'material.reuse', OLD.reuse, NEW.reuse, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_material_safe AFTER UPDATE OF safe ON material WHEN OLD.safe IS NOT NEW.safe
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.id, NEW.name, 'material.safe', OLD.safe, NEW.safe, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_material_facts AFTER UPDATE OF facts ON material WHEN OLD.facts IS NOT NEW.facts
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.id, NEW.name, 'material.facts', OLD.facts, NEW.facts, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_supplier_name AFTER UPDATE OF name ON supplier WHEN OLD.name IS NOT NEW.name
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'supplier', NEW.id, NEW.name, 'supplier.name', OLD.name, NEW.name, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_supplier_shipping_minor AFTER UPDATE OF shipping_minor ON supplier WHEN OLD.shipping_minor IS NOT NEW.shipping_minor
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'supplier', NEW.id, NEW.name, 'supplier.shipping_minor', OLD.shipping_minor, NEW.shipping_minor, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_supplier_free_from_minor AFTER UPDATE OF free_from_minor ON supplier WHEN OLD.free_from_minor IS NOT NEW.free_from_minor
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'supplier', NEW.id, NEW.name, 'supplier.free_from_minor', OLD.free_from_minor, NEW.free_from_minor, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_supplier_lead_days AFTER UPDATE OF lead_days ON supplier WHEN OLD.lead_days IS NOT NEW.lead_days
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'supplier', NEW.id, NEW.name, 'supplier.lead_days', OLD.lead_days, NEW.lead_days, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_person_role AFTER UPDATE OF role ON person WHEN OLD.role IS NOT NEW.role
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'person', NEW.id, NEW.name, 'person.role', OLD.role, NEW.role, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_person_ended_at AFTER UPDATE OF ended_at ON person WHEN OLD.ended_at IS NOT NEW.ended_at
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'person', NEW.id, NEW.name, 'person.ended_at', OLD.ended_at, NEW.ended_at, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_person_name AFTER UPDATE OF name ON person WHEN OLD.name IS NOT NEW.name
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'person', NEW.id, NEW.name, 'person.name', OLD.name, NEW.name, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_person_second_step AFTER UPDATE OF second_step ON person WHEN OLD.second_step IS NOT NEW.second_step
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'person', NEW.id, NEW.name, 'person.second_step', OLD.second_step, NEW.second_step, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_person_joined AFTER INSERT ON person
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'person', NEW.id, NEW.name, 'person.joined', NULL, NEW.role, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_invitation AFTER INSERT ON invitation
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'person', NEW.id, NEW.name, 'person.invited', NULL, NEW.role, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_invitation_ended_at AFTER UPDATE OF ended_at ON invitation WHEN OLD.ended_at IS NOT NEW.ended_at
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'person', NEW.id, NEW.name, 'invitation.ended_at', OLD.ended_at, NEW.ended_at, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_quote_event AFTER INSERT ON quote_event
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', NEW.quote_id, 'quote ' || (SELECT number FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id), 'quote.' || NEW.event, NULL, NULL, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_payment AFTER INSERT ON payment
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', NEW.quote_id, 'quote ' || (SELECT number FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id), 'payment.' || NEW.kind, NULL, NEW.minor, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_payment_state AFTER UPDATE OF state ON payment WHEN OLD.state IS NOT NEW.state
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', NEW.quote_id, 'quote ' || (SELECT number FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id), 'payment.state', OLD.state, NEW.state, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_paper AFTER INSERT ON paper
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', NEW.quote_id, 'quote ' || (SELECT number FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id), 'paper.' || NEW.kind, NULL, NEW.number, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_link_ended AFTER INSERT ON ended_link WHEN (SELECT quote_id FROM quote_issue WHERE workspace_id = NEW.workspace_id AND token = NEW.token) IS NOT NULL
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', (SELECT quote_id FROM quote_issue WHERE workspace_id = NEW.workspace_id AND token = NEW.token), 'quote ' || (SELECT number FROM quote WHERE workspace_id = NEW.workspace_id AND id = (SELECT quote_id FROM quote_issue WHERE workspace_id = NEW.workspace_id AND token = NEW.token)), 'link.ended', NULL, NULL, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_stock_move AFTER INSERT ON stock_move
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'material', NEW.material_id, (SELECT name FROM material WHERE workspace_id = NEW.workspace_id AND id = NEW.material_id), 'stock.' || NEW.kind, NULL, NEW.thousandths, NEW.changed_by); END;
