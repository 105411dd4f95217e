CREATE TABLE `fonts` (
	`hash` text PRIMARY KEY NOT NULL,
	`type` text NOT NULL,
	`bytes` integer NOT NULL,
	`name` text NOT NULL,
	`scripts` text NOT NULL,
	`created_at` text NOT NULL
);
