CREATE TABLE `shared_screens` (
	`id` text PRIMARY KEY NOT NULL,
	`body` text NOT NULL,
	`shared_at` text NOT NULL
);
