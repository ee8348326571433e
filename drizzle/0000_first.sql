CREATE TABLE `amendments` (
	`id` text PRIMARY KEY NOT NULL,
	`pressing_id` text NOT NULL,
	`field` text NOT NULL,
	`to_value` text NOT NULL,
	`at` integer NOT NULL,
	`doc` text NOT NULL,
	FOREIGN KEY (`pressing_id`) REFERENCES `pressings`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `amendments_by_pressing` ON `amendments` (`pressing_id`);--> statement-breakpoint
CREATE TABLE `blanks` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`doc` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `cards` (
	`hash` text PRIMARY KEY NOT NULL,
	`schema_version` integer NOT NULL,
	`doc` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `fabrics` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`doc` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `house` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`doc` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `orders` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`due` text NOT NULL,
	`doc` text NOT NULL,
	`removed_at` integer
);
--> statement-breakpoint
CREATE TABLE `presses` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`doc` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pressings` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`order_id` text NOT NULL,
	`line_id` text NOT NULL,
	`outcome` text NOT NULL,
	`ended_at` integer NOT NULL,
	`words` text NOT NULL,
	`doc` text NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `pressings_by_end` ON `pressings` (`ended_at`);--> statement-breakpoint
CREATE INDEX `pressings_by_line` ON `pressings` (`order_id`,`line_id`);--> statement-breakpoint
CREATE TABLE `products` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`doc` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `run_events` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`seq` integer NOT NULL,
	`doc` text NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `run_events_in_order` ON `run_events` (`run_id`,`seq`);--> statement-breakpoint
CREATE TABLE `runs` (
	`id` text PRIMARY KEY NOT NULL,
	`order_id` text NOT NULL,
	`line_id` text NOT NULL,
	`press_id` text NOT NULL,
	`card_hash` text NOT NULL,
	`pieces` integer NOT NULL,
	`operator` text NOT NULL,
	`started_at` integer NOT NULL,
	`ended_at` integer,
	FOREIGN KEY (`card_hash`) REFERENCES `cards`(`hash`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `runs_by_line` ON `runs` (`order_id`,`line_id`);--> statement-breakpoint
CREATE INDEX `runs_open` ON `runs` (`ended_at`);