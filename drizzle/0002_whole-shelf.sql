CREATE TABLE `aids` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`doc` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `__new_pressings` (
	`seq` integer PRIMARY KEY NOT NULL,
	`id` text NOT NULL,
	`run_id` text,
	`order_id` text NOT NULL,
	`line_id` text NOT NULL,
	`print_key` text NOT NULL,
	`outcome` text NOT NULL,
	`fabric` text NOT NULL,
	`product` text NOT NULL,
	`press` text NOT NULL,
	`ended_at` integer NOT NULL,
	`words` text NOT NULL,
	`doc` text NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_pressings`("id", "run_id", "order_id", "line_id", "print_key", "outcome", "fabric", "product", "press", "ended_at", "words", "doc") SELECT "id", "run_id", "order_id", "line_id", 'a', "outcome", json_extract("doc", '$.fabricName'), json_extract("doc", '$.productName'), json_extract("doc", '$.pressName'), "ended_at", ' ' || "words" || ' ', "doc" FROM `pressings` ORDER BY rowid;--> statement-breakpoint
DROP TABLE `pressings`;--> statement-breakpoint
ALTER TABLE `__new_pressings` RENAME TO `pressings`;--> statement-breakpoint
CREATE UNIQUE INDEX `pressings_id_unique` ON `pressings` (`id`);--> statement-breakpoint
CREATE INDEX `pressings_by_end` ON `pressings` (`ended_at`);--> statement-breakpoint
CREATE INDEX `pressings_by_line` ON `pressings` (`order_id`,`line_id`);--> statement-breakpoint
CREATE INDEX `pressings_by_outcome` ON `pressings` (`outcome`,`ended_at`);--> statement-breakpoint
CREATE INDEX `pressings_by_fabric` ON `pressings` (`fabric`,`ended_at`,`outcome`);--> statement-breakpoint
CREATE INDEX `pressings_by_product` ON `pressings` (`product`,`ended_at`,`outcome`);--> statement-breakpoint
CREATE INDEX `pressings_by_press` ON `pressings` (`press`,`ended_at`,`outcome`);--> statement-breakpoint
ALTER TABLE `runs` ADD `print_key` text DEFAULT 'a' NOT NULL;--> statement-breakpoint
CREATE TRIGGER pressings_refuse_update BEFORE UPDATE ON pressings BEGIN SELECT RAISE(ABORT, 'a pressing is written once: add an amendment instead'); END;--> statement-breakpoint
CREATE TRIGGER pressings_refuse_delete BEFORE DELETE ON pressings BEGIN SELECT RAISE(ABORT, 'a pressing is never deleted'); END;--> statement-breakpoint
CREATE VIRTUAL TABLE pressing_words USING fts5(words, content='pressings', content_rowid='seq', prefix='2 3', detail='none', columnsize=0, tokenize='unicode61 remove_diacritics 0');--> statement-breakpoint
CREATE TRIGGER pressings_find_by_words AFTER INSERT ON pressings BEGIN INSERT INTO pressing_words(rowid, words) VALUES (new.seq, new.words); END;--> statement-breakpoint
INSERT INTO pressing_words(pressing_words) VALUES ('rebuild');
