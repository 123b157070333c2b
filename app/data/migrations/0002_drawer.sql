CREATE TABLE `movements` (
	`number` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`at` text NOT NULL,
	`lot` text NOT NULL,
	`count` integer NOT NULL,
	`why` text NOT NULL,
	`price` real,
	`place` text,
	`note` text,
	`job` text,
	`sticks` text,
	`undoes` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `movements_id_unique` ON `movements` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `movements_undoes_unique` ON `movements` (`undoes`);--> statement-breakpoint
CREATE TABLE `settings` (
	`name` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `workshop_jigs` (
	`id` text PRIMARY KEY NOT NULL,
	`at` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`figures` text NOT NULL,
	`made_for` text NOT NULL
);
