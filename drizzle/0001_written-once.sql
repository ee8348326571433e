CREATE TRIGGER pressings_refuse_update BEFORE UPDATE ON pressings BEGIN SELECT RAISE(ABORT, 'a pressing is written once: add an amendment instead'); END;--> statement-breakpoint
CREATE TRIGGER pressings_refuse_delete BEFORE DELETE ON pressings BEGIN SELECT RAISE(ABORT, 'a pressing is never deleted'); END;--> statement-breakpoint
CREATE TRIGGER amendments_refuse_update BEFORE UPDATE ON amendments BEGIN SELECT RAISE(ABORT, 'an amendment is written once'); END;--> statement-breakpoint
CREATE TRIGGER amendments_refuse_delete BEFORE DELETE ON amendments BEGIN SELECT RAISE(ABORT, 'an amendment is never deleted'); END;--> statement-breakpoint
CREATE TRIGGER run_events_refuse_update BEFORE UPDATE ON run_events BEGIN SELECT RAISE(ABORT, 'a run event is written once'); END;--> statement-breakpoint
CREATE TRIGGER run_events_refuse_delete BEFORE DELETE ON run_events BEGIN SELECT RAISE(ABORT, 'a run event is never deleted'); END;--> statement-breakpoint
CREATE TRIGGER cards_refuse_update BEFORE UPDATE ON cards BEGIN SELECT RAISE(ABORT, 'a frozen card is never changed'); END;--> statement-breakpoint
CREATE TRIGGER cards_refuse_delete BEFORE DELETE ON cards BEGIN SELECT RAISE(ABORT, 'a frozen card is never deleted'); END;
