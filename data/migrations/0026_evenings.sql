CREATE TABLE "evening" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"on_day" date NOT NULL,
	"starts_at" text NOT NULL,
	"plan" jsonb NOT NULL,
	"solved" jsonb,
	"person_id" uuid,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "evening_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
ALTER TABLE "evening" ADD CONSTRAINT "evening_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "evening" ADD CONSTRAINT "evening_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "evening_by_day" ON "evening" USING btree ("school_id","on_day");--> statement-breakpoint
ALTER TABLE "evening" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "evening" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));
