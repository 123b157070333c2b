CREATE TABLE `cards` (
	`job` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`scale` text NOT NULL,
	`what` text NOT NULL,
	`railroad` text NOT NULL,
	`stages` text NOT NULL,
	`bench` text NOT NULL,
	`folder` text DEFAULT '' NOT NULL,
	`fault` text DEFAULT '' NOT NULL,
	`changed_at` text NOT NULL,
	`deleted_at` text,
	`revision` integer NOT NULL,
	`drawn` integer DEFAULT -1 NOT NULL,
	`picture` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`job`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `revisions` ADD `entry` text;--> statement-breakpoint
CREATE UNIQUE INDEX `revisions_by_entry` ON `revisions` (`job`,`entry`);--> statement-breakpoint
DELETE FROM `revisions`;--> statement-breakpoint
UPDATE `jobs` SET `undo` = '[]', `redo` = '[]';
