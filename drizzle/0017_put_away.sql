ALTER TABLE `design` ADD `put_away_at` integer;--> statement-breakpoint
ALTER TABLE `quote` ADD `put_away_at` integer;--> statement-breakpoint
DROP TRIGGER design_version_stays;
--> statement-breakpoint
CREATE TRIGGER design_version_stays BEFORE DELETE ON design_version
WHEN (SELECT put_away_at FROM design WHERE workspace_id = OLD.workspace_id AND id = OLD.design_id) IS NULL
BEGIN SELECT RAISE(ABORT, 'a kept version is deleted only with a design that was put away'); END;
--> statement-breakpoint
CREATE TRIGGER design_put_away_first BEFORE DELETE ON design WHEN OLD.put_away_at IS NULL
BEGIN SELECT RAISE(ABORT, 'a design is put away before it is deleted'); END;
--> statement-breakpoint
CREATE TRIGGER tell_design_put_away_at AFTER UPDATE OF put_away_at ON design WHEN (OLD.put_away_at IS NULL) <> (NEW.put_away_at IS NULL)
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'design', NEW.id, NEW.name, CASE WHEN NEW.put_away_at IS NULL THEN 'design.taken_out' ELSE 'design.put_away' END, NULL, NULL, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_design_deleted AFTER DELETE ON design
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (OLD.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'design', OLD.id, OLD.name, 'design.deleted', NULL, NULL, OLD.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_quote_put_away_at AFTER UPDATE OF put_away_at ON quote WHEN (OLD.put_away_at IS NULL) <> (NEW.put_away_at IS NULL)
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (NEW.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', NEW.id, 'quote ' || NEW.number, CASE WHEN NEW.put_away_at IS NULL THEN 'quote.taken_out' ELSE 'quote.put_away' END, NULL, NULL, NEW.changed_by); END;
--> statement-breakpoint
CREATE TRIGGER tell_quote_deleted AFTER DELETE ON quote
BEGIN INSERT INTO change_entry (workspace_id, at, about, about_id, name, what, was, "is", changed_by) VALUES (OLD.workspace_id, CAST(unixepoch('subsec') * 1000 AS INTEGER), 'quote', OLD.id, 'quote ' || OLD.number, 'quote.deleted', NULL, NULL, OLD.changed_by); END;
