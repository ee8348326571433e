CREATE INDEX run_events_by_photo ON run_events (CASE WHEN json_valid(doc) THEN json_extract(doc, '$.photo') END);--> statement-breakpoint
DROP TRIGGER photos_refuse_delete;--> statement-breakpoint
CREATE TRIGGER photos_refuse_delete BEFORE DELETE ON photos WHEN EXISTS (SELECT 1 FROM run_events WHERE CASE WHEN json_valid(doc) THEN json_extract(doc, '$.photo') END = old.id) BEGIN SELECT RAISE(ABORT, 'a photo that a step names is never deleted'); END;
