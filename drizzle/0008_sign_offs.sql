CREATE TABLE `sign_offs` (
	`number` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`project_id` text NOT NULL,
	`id` text NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`project_id`) REFERENCES `projects`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sign_offs_id` ON `sign_offs` (`project_id`,`id`);--> statement-breakpoint
CREATE TRIGGER `sign_offs_stay` BEFORE UPDATE ON `sign_offs` BEGIN SELECT RAISE(ABORT, 'A sign-off is never changed.'); END;
