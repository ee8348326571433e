CREATE TABLE `backups` (
	`at` integer PRIMARY KEY NOT NULL
);
