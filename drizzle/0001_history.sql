CREATE TABLE `history` (
	`project_id` text NOT NULL,
	`revision` integer NOT NULL,
	`change_id` text NOT NULL,
	`patch` text NOT NULL,
	`inverse` text NOT NULL,
	`at` text NOT NULL,
	PRIMARY KEY(`project_id`, `revision`),
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `history_change` ON `history` (`project_id`,`change_id`);--> statement-breakpoint
ALTER TABLE `blobs` ADD `transparent` integer DEFAULT false NOT NULL;