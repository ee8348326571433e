ALTER TABLE `runs` ADD `holds` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
CREATE INDEX `runs_by_press` ON `runs` (`press_id`,`ended_at`);