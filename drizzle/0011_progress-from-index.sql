DROP INDEX `pressings_by_line`;--> statement-breakpoint
CREATE INDEX `pressings_by_line` ON `pressings` (`order_id`,`line_id`,`print_key`,`outcome`);