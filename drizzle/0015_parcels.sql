CREATE TABLE `parcels` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`doc` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `runs` ADD `parcels` text DEFAULT '[]' NOT NULL;