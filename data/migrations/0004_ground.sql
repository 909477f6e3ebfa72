CREATE TABLE "change" (
	"id" bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "change_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"thing" text NOT NULL,
	"thing_id" text NOT NULL,
	"version" integer NOT NULL,
	"kind" text NOT NULL,
	"before" jsonb,
	"after" jsonb,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "daily_job" (
	"name" text PRIMARY KEY NOT NULL,
	"last_on" date NOT NULL,
	"told" text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE TABLE "known_browser" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"expires_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "password_link" (
	"key_hash" text PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_by" uuid
);
--> statement-breakpoint
DROP INDEX "person_name_is_taken";--> statement-breakpoint
ALTER TABLE "own_game" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "name_key" text;--> statement-breakpoint
UPDATE "person" SET "name_key" = regexp_replace(lower(normalize("name", NFKC)), '\s+', ' ', 'g');--> statement-breakpoint
ALTER TABLE "person" ALTER COLUMN "name_key" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "school" ADD COLUMN "printing_version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "school" ADD COLUMN "mark_version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "id" uuid DEFAULT gen_random_uuid() NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "browser" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "used_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "build_run" ADD COLUMN "form_key" uuid;--> statement-breakpoint
ALTER TABLE "kit" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "family" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "print_job" ADD COLUMN "task" jsonb;--> statement-breakpoint
ALTER TABLE "print_job" ADD COLUMN "tries" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "known_browser" ADD CONSTRAINT "known_browser_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "password_link" ADD CONSTRAINT "password_link_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "password_link" ADD CONSTRAINT "password_link_created_by_person_id_fk" FOREIGN KEY ("created_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "change_by_thing" ON "change" USING btree ("thing","thing_id","id");--> statement-breakpoint
CREATE INDEX "password_link_by_person" ON "password_link" USING btree ("person_id");--> statement-breakpoint
CREATE UNIQUE INDEX "person_name_is_taken" ON "person" USING btree ("name_key") WHERE "person"."active";--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_id_unique" UNIQUE("id");--> statement-breakpoint
ALTER TABLE "build_run" ADD CONSTRAINT "build_was_sent" UNIQUE("form_key");