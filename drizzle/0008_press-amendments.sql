CREATE TABLE `press_amendments` (
	`seq` integer PRIMARY KEY NOT NULL,
	`id` text NOT NULL,
	`record_id` text NOT NULL,
	`to_value` text NOT NULL,
	`doc` text NOT NULL,
	FOREIGN KEY (`record_id`) REFERENCES `press_records`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `press_amendments_id_unique` ON `press_amendments` (`id`);--> statement-breakpoint
CREATE INDEX `press_amendments_by_record` ON `press_amendments` (`record_id`);--> statement-breakpoint
CREATE TRIGGER press_amendments_refuse_update BEFORE UPDATE ON press_amendments BEGIN SELECT RAISE(ABORT, 'what was said later about a press is written once'); END;--> statement-breakpoint
CREATE TRIGGER press_amendments_refuse_delete BEFORE DELETE ON press_amendments BEGIN SELECT RAISE(ABORT, 'what was said later about a press is never deleted'); END;
