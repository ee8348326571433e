CREATE TABLE `revisions` (
	`of` text PRIMARY KEY NOT NULL,
	`n` integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE `runs` ADD `machine` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
INSERT INTO revisions (of, n) VALUES ('shelf', 0), ('presses', 0), ('house', 0), ('orders', 0), ('log', 0), ('runs', 0);--> statement-breakpoint
CREATE TRIGGER fabrics_revised_by_insert AFTER INSERT ON fabrics BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER fabrics_revised_by_update AFTER UPDATE ON fabrics BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER fabrics_revised_by_delete AFTER DELETE ON fabrics BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER blanks_revised_by_insert AFTER INSERT ON blanks BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER blanks_revised_by_update AFTER UPDATE ON blanks BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER blanks_revised_by_delete AFTER DELETE ON blanks BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER products_revised_by_insert AFTER INSERT ON products BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER products_revised_by_update AFTER UPDATE ON products BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER products_revised_by_delete AFTER DELETE ON products BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER aids_revised_by_insert AFTER INSERT ON aids BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER aids_revised_by_update AFTER UPDATE ON aids BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER aids_revised_by_delete AFTER DELETE ON aids BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER presses_revised_by_insert AFTER INSERT ON presses BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'presses'; END;--> statement-breakpoint
CREATE TRIGGER presses_revised_by_update AFTER UPDATE ON presses BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'presses'; END;--> statement-breakpoint
CREATE TRIGGER presses_revised_by_delete AFTER DELETE ON presses BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'presses'; END;--> statement-breakpoint
CREATE TRIGGER press_records_revised_by_insert AFTER INSERT ON press_records BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'presses'; END;--> statement-breakpoint
CREATE TRIGGER press_amendments_revised_by_insert AFTER INSERT ON press_amendments BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'presses'; END;--> statement-breakpoint
CREATE TRIGGER house_revised_by_insert AFTER INSERT ON house BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'house'; END;--> statement-breakpoint
CREATE TRIGGER house_revised_by_update AFTER UPDATE ON house BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'house'; END;--> statement-breakpoint
CREATE TRIGGER house_revised_by_delete AFTER DELETE ON house BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'house'; END;--> statement-breakpoint
CREATE TRIGGER orders_revised_by_insert AFTER INSERT ON orders BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'orders'; END;--> statement-breakpoint
CREATE TRIGGER orders_revised_by_update AFTER UPDATE ON orders BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'orders'; END;--> statement-breakpoint
CREATE TRIGGER orders_revised_by_delete AFTER DELETE ON orders BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'orders'; END;--> statement-breakpoint
CREATE TRIGGER pressings_revised_by_insert AFTER INSERT ON pressings BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'log'; END;--> statement-breakpoint
CREATE TRIGGER amendments_revised_by_insert AFTER INSERT ON amendments BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'log'; END;--> statement-breakpoint
CREATE TRIGGER runs_revised_by_insert AFTER INSERT ON runs BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'runs'; END;--> statement-breakpoint
CREATE TRIGGER runs_revised_by_update AFTER UPDATE ON runs BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'runs'; END;--> statement-breakpoint
CREATE TRIGGER runs_revised_by_delete AFTER DELETE ON runs BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'runs'; END;
