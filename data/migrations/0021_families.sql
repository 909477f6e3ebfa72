ALTER TABLE "family" ADD COLUMN "speaks" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "family" ADD COLUMN "children" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "family" ADD COLUMN "group" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "family" ADD COLUMN "channel" text DEFAULT 'paper' NOT NULL;--> statement-breakpoint
ALTER TABLE "family" ADD CONSTRAINT "family_is_reached_in_a_known_way" CHECK ("family"."channel" in ('paper', 'message', 'mail', 'never'));