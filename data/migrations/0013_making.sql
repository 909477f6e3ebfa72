CREATE TABLE "making" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"started_on" date NOT NULL,
	"helpers" integer NOT NULL,
	"laminators" integer NOT NULL,
	"cutters" integer NOT NULL,
	"started_by" uuid,
	"ended_at" timestamp with time zone,
	"form_key" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "making_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "making_has_hands" CHECK ("making"."helpers" > 0 and "making"."laminators" > 0 and "making"."cutters" > 0)
);
--> statement-breakpoint
CREATE TABLE "copy_step" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"copy_id" uuid NOT NULL,
	"step" text NOT NULL,
	"outcome" text NOT NULL,
	"quantity" integer,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"serial" integer GENERATED ALWAYS AS IDENTITY (sequence name "copy_step_serial_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	CONSTRAINT "copy_step_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "copy_step_has_an_outcome" CHECK ("copy_step"."outcome" in ('begun', 'done', 'tooFew', 'broken', 'wrongLabel', 'undone')),
	CONSTRAINT "copy_step_quantity_is_possible" CHECK ("copy_step"."quantity" >= 0)
);
--> statement-breakpoint
CREATE TABLE "scale_reading" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"grams" double precision NOT NULL,
	"resolution_g" double precision NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "scale_reading_school_id_pk" PRIMARY KEY("school_id"),
	CONSTRAINT "scale_is_possible" CHECK ("scale_reading"."resolution_g" > 0)
);
--> statement-breakpoint
ALTER TABLE "loan_event" DROP CONSTRAINT "loan_event_is_of_a_kind";--> statement-breakpoint
ALTER TABLE "part_count" DROP CONSTRAINT "part_count_has_a_cause";--> statement-breakpoint
ALTER TABLE "stock_item" ADD COLUMN "unit_g" double precision;--> statement-breakpoint
ALTER TABLE "stock_item" ADD COLUMN "unit_sd_g" double precision;--> statement-breakpoint
ALTER TABLE "stock_item" ADD COLUMN "weighed" integer;--> statement-breakpoint
ALTER TABLE "build_run" ADD COLUMN "making_id" uuid;--> statement-breakpoint
ALTER TABLE "build_run" ADD COLUMN "finish" text DEFAULT 'plain' NOT NULL;--> statement-breakpoint
ALTER TABLE "build_run" ADD COLUMN "steps" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "copy" ADD COLUMN "ready_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "copy" ADD COLUMN "language" text;--> statement-breakpoint
ALTER TABLE "making" ADD CONSTRAINT "making_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "making" ADD CONSTRAINT "making_started_by_person_id_fk" FOREIGN KEY ("started_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_step" ADD CONSTRAINT "copy_step_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_step" ADD CONSTRAINT "copy_step_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_step" ADD CONSTRAINT "copy_step_of_copy" FOREIGN KEY ("school_id","copy_id") REFERENCES "public"."copy"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "scale_reading" ADD CONSTRAINT "scale_reading_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "making_was_sent" ON "making" USING btree ("school_id","form_key");--> statement-breakpoint
CREATE INDEX "copy_step_by_copy" ON "copy_step" USING btree ("school_id","copy_id","serial");--> statement-breakpoint
ALTER TABLE "build_run" ADD CONSTRAINT "build_run_in_making" FOREIGN KEY ("school_id","making_id") REFERENCES "public"."making"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "build_run_by_making" ON "build_run" USING btree ("school_id","making_id");--> statement-breakpoint
CREATE INDEX "copy_half_made" ON "copy" USING btree ("school_id","build_run_id") WHERE "copy"."ready_at" is null;--> statement-breakpoint
ALTER TABLE "stock_item" ADD CONSTRAINT "a_piece_weighs_something" CHECK (("stock_item"."unit_g" > 0 and "stock_item"."unit_sd_g" >= 0 and "stock_item"."weighed" > 0) or ("stock_item"."unit_g" is null and "stock_item"."unit_sd_g" is null and "stock_item"."weighed" is null));--> statement-breakpoint
ALTER TABLE "build_run" ADD CONSTRAINT "build_run_has_a_finish" CHECK ("build_run"."finish" in ('plain', 'durable'));--> statement-breakpoint
ALTER TABLE "loan_event" ADD CONSTRAINT "loan_event_is_of_a_kind" CHECK ("loan_event"."kind" in ('lent', 'dueChanged', 'returned', 'undone', 'reopened', 'safetyDecided'));--> statement-breakpoint
ALTER TABLE "part_count" ADD CONSTRAINT "part_count_has_a_cause" CHECK ("part_count"."cause" in ('return', 'mend', 'undone', 'moved', 'built'));--> statement-breakpoint
ALTER TABLE "making" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "making" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "copy_step" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "copy_step" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "scale_reading" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "scale_reading" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
-- Whatever was built before is made.
UPDATE "copy" SET "ready_at" = "created_at";
