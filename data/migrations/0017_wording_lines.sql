CREATE TABLE "wording_line" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"source_id" text NOT NULL,
	"message_id" text NOT NULL,
	"language" text NOT NULL,
	"message" text,
	"english" text NOT NULL,
	"person_id" uuid,
	"elsewhere" text,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"serial" integer GENERATED ALWAYS AS IDENTITY (sequence name "wording_line_serial_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	CONSTRAINT "wording_line_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
ALTER TABLE "wording_check" ADD COLUMN "english" text;--> statement-breakpoint
ALTER TABLE "wording_line" ADD CONSTRAINT "wording_line_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wording_line" ADD CONSTRAINT "wording_line_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "wording_line_by_line" ON "wording_line" USING btree ("school_id","language","source_id","message_id","serial");--> statement-breakpoint
ALTER TABLE "wording_line" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "wording_line" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));
