ALTER TABLE "kit" ADD COLUMN "finish" text DEFAULT 'plain' NOT NULL;--> statement-breakpoint
ALTER TABLE "kit" ADD COLUMN "days_out" integer DEFAULT 21 NOT NULL;--> statement-breakpoint
ALTER TABLE "kit" ADD COLUMN "plays_a_week" integer DEFAULT 2 NOT NULL;--> statement-breakpoint
ALTER TABLE "kit" ADD CONSTRAINT "kit_is_lent_for_days" CHECK ("kit"."days_out" between 1 and 120 and "kit"."plays_a_week" between 1 and 21);--> statement-breakpoint
ALTER TABLE "kit" ADD CONSTRAINT "kit_has_a_finish" CHECK ("kit"."finish" in ('plain', 'durable'));