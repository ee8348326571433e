CREATE TABLE `tested` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`doc` text NOT NULL
);
--> statement-breakpoint
CREATE TRIGGER tested_revised_by_insert AFTER INSERT ON tested BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER tested_revised_by_update AFTER UPDATE ON tested BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;--> statement-breakpoint
CREATE TRIGGER tested_revised_by_delete AFTER DELETE ON tested BEGIN UPDATE revisions SET n = n + 1 WHERE of = 'shelf'; END;
