CREATE TABLE "copy_care" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"copy_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"settles" uuid,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "copy_care_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "copy_care_is_of_a_kind" CHECK ("copy_care"."kind" in ('dirty', 'foreign', 'cleaned', 'reprinted', 'seen'))
);
--> statement-breakpoint
ALTER TABLE "copy_care" ADD CONSTRAINT "copy_care_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_care" ADD CONSTRAINT "copy_care_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_care" ADD CONSTRAINT "copy_care_of_copy" FOREIGN KEY ("school_id","copy_id") REFERENCES "public"."copy"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "copy_care_settles_once" ON "copy_care" USING btree ("school_id","settles");--> statement-breakpoint
CREATE INDEX "copy_care_by_copy" ON "copy_care" USING btree ("school_id","copy_id","at");--> statement-breakpoint
ALTER TABLE "copy_care" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "copy_care" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));
