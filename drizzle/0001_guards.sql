-- Kept versions and sent quotes never change: designs, quotes and papers depend on them.
CREATE TRIGGER design_version_frozen BEFORE UPDATE ON design_version
BEGIN SELECT RAISE(ABORT, 'a kept version never changes'); END;
--> statement-breakpoint
CREATE TRIGGER design_version_stays BEFORE DELETE ON design_version
BEGIN SELECT RAISE(ABORT, 'a kept version is never deleted'); END;
--> statement-breakpoint
CREATE TRIGGER quote_sent_frozen BEFORE UPDATE ON quote WHEN OLD.state <> 'draft' AND (
	NEW.frozen IS NOT OLD.frozen OR NEW.frozen_owner IS NOT OLD.frozen_owner OR NEW.terms IS NOT OLD.terms
	OR NEW.client_id IS NOT OLD.client_id OR NEW.event_date IS NOT OLD.event_date OR NEW.zone IS NOT OLD.zone
	OR NEW.number IS NOT OLD.number OR NEW.token IS NOT OLD.token OR NEW.sent_at IS NOT OLD.sent_at
	OR NEW.id IS NOT OLD.id OR NEW.workspace_id IS NOT OLD.workspace_id OR NEW.state = 'draft')
BEGIN SELECT RAISE(ABORT, 'a sent quote never changes'); END;
--> statement-breakpoint
CREATE TRIGGER quote_sent_stays BEFORE DELETE ON quote WHEN OLD.state <> 'draft'
BEGIN SELECT RAISE(ABORT, 'a sent quote is never deleted'); END;
--> statement-breakpoint
CREATE TRIGGER quote_line_frozen_update BEFORE UPDATE ON quote_line
WHEN (SELECT state FROM quote WHERE workspace_id = OLD.workspace_id AND id = OLD.quote_id) <> 'draft'
BEGIN SELECT RAISE(ABORT, 'a sent quote never changes'); END;
--> statement-breakpoint
CREATE TRIGGER quote_line_frozen_delete BEFORE DELETE ON quote_line
WHEN (SELECT state FROM quote WHERE workspace_id = OLD.workspace_id AND id = OLD.quote_id) <> 'draft'
BEGIN SELECT RAISE(ABORT, 'a sent quote never changes'); END;
--> statement-breakpoint
CREATE TRIGGER quote_line_frozen_insert BEFORE INSERT ON quote_line
WHEN (SELECT state FROM quote WHERE workspace_id = NEW.workspace_id AND id = NEW.quote_id) <> 'draft'
BEGIN SELECT RAISE(ABORT, 'a sent quote never changes'); END;
