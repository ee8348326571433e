CREATE TABLE `press_records` (
	`id` text PRIMARY KEY NOT NULL,
	`press_id` text NOT NULL,
	`kind` text NOT NULL,
	`at` integer NOT NULL,
	`doc` text NOT NULL,
	FOREIGN KEY (`press_id`) REFERENCES `presses`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `press_records_by_press` ON `press_records` (`press_id`,`kind`,`at`);--> statement-breakpoint
CREATE TRIGGER press_records_refuse_update BEFORE UPDATE ON press_records BEGIN SELECT RAISE(ABORT, 'what was found out about a press is written once'); END;--> statement-breakpoint
CREATE TRIGGER press_records_refuse_delete BEFORE DELETE ON press_records BEGIN SELECT RAISE(ABORT, 'what was found out about a press is never deleted'); END;
