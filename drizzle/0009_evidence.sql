CREATE TABLE `evidence` (
	`number` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`project_id` text NOT NULL,
	`id` text NOT NULL,
	`body` text NOT NULL,
	`picture` blob NOT NULL,
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `evidence_id` ON `evidence` (`project_id`,`id`);