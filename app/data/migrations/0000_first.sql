CREATE TABLE `issues` (
	`id` text PRIMARY KEY NOT NULL,
	`job` text NOT NULL,
	`content` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`job`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `issues_by_job` ON `issues` (`job`);--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`doc` text NOT NULL,
	`revision` integer NOT NULL,
	`undo` text NOT NULL,
	`redo` text NOT NULL,
	`changed_at` text NOT NULL,
	`deleted_at` text
);
--> statement-breakpoint
CREATE TABLE `pictures` (
	`hash` text PRIMARY KEY NOT NULL,
	`type` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` integer NOT NULL,
	`added_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `revisions` (
	`job` text NOT NULL,
	`number` integer NOT NULL,
	`kind` text NOT NULL,
	`label` text NOT NULL,
	`patches` text NOT NULL,
	`inverse` text NOT NULL,
	`at` text NOT NULL,
	PRIMARY KEY(`job`, `number`),
	FOREIGN KEY (`job`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE cascade
);
