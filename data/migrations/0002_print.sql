CREATE TABLE "print_job" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"query" text NOT NULL,
	"title" text NOT NULL,
	"state" text DEFAULT 'drawing' NOT NULL,
	"pages_done" integer DEFAULT 0 NOT NULL,
	"pages" integer,
	"problem" text,
	"pdf" "bytea",
	"created_by" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"alive_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "school" ADD COLUMN "mark" text;--> statement-breakpoint
ALTER TABLE "print_job" ADD CONSTRAINT "print_job_created_by_person_id_fk" FOREIGN KEY ("created_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;