CREATE TABLE `practice_rounds` (
	`id` text PRIMARY KEY NOT NULL,
	`operator` text NOT NULL,
	`doc` text NOT NULL
);

--> statement-breakpoint
CREATE TRIGGER practice_rounds_refuse_update BEFORE UPDATE ON practice_rounds BEGIN SELECT RAISE(ABORT, 'a practice round is written once'); END;--> statement-breakpoint
CREATE TRIGGER practice_rounds_refuse_delete BEFORE DELETE ON practice_rounds BEGIN SELECT RAISE(ABORT, 'a practice round is never deleted'); END;
