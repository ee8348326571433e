CREATE TABLE `practice_rounds` (
	`id` text PRIMARY KEY NOT NULL,
	`operator` text NOT NULL,
	`doc` text NOT NULL
);
