CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`jpeg` blob NOT NULL
);--> statement-breakpoint
CREATE TRIGGER photos_refuse_update BEFORE UPDATE ON photos BEGIN SELECT RAISE(ABORT, 'a photo is written once'); END;--> statement-breakpoint
CREATE TRIGGER photos_refuse_delete BEFORE DELETE ON photos BEGIN SELECT RAISE(ABORT, 'a photo is never deleted'); END;
