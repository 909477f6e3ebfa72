CREATE TABLE "calendar_entry" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"from_on" date NOT NULL,
	"to_on" date NOT NULL,
	"uid" text,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "calendar_entry_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "entry_is_of_a_kind" CHECK ("calendar_entry"."kind" in ('closed', 'term')),
	CONSTRAINT "entry_ends_after_it_begins" CHECK ("calendar_entry"."to_on" >= "calendar_entry"."from_on")
);
--> statement-breakpoint
CREATE TABLE "due_move" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"moves" jsonb NOT NULL,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"undone_at" timestamp with time zone,
	CONSTRAINT "due_move_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
CREATE TABLE "school_calendar" (
	"school_id" uuid PRIMARY KEY DEFAULT public.school_now() NOT NULL,
	"weekdays" integer[] NOT NULL,
	"back_on" integer,
	"breaks" text DEFAULT 'over' NOT NULL,
	"long_break_days" integer NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "breaks_are_kept_in_a_known_way" CHECK ("school_calendar"."breaks" in ('over', 'before')),
	CONSTRAINT "a_week_has_days" CHECK (cardinality("school_calendar"."weekdays") between 1 and 7 and "school_calendar"."weekdays" <@ '{1,2,3,4,5,6,7}'),
	CONSTRAINT "bags_come_back_on_a_school_day" CHECK ("school_calendar"."back_on" is null or "school_calendar"."back_on" = any("school_calendar"."weekdays"))
);
--> statement-breakpoint
ALTER TABLE "calendar_entry" ADD CONSTRAINT "calendar_entry_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "calendar_entry" ADD CONSTRAINT "calendar_entry_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "due_move" ADD CONSTRAINT "due_move_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "due_move" ADD CONSTRAINT "due_move_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "school_calendar" ADD CONSTRAINT "school_calendar_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "entry_came_in_once" ON "calendar_entry" USING btree ("school_id","kind","uid") WHERE "calendar_entry"."uid" is not null;--> statement-breakpoint
CREATE INDEX "entry_by_day" ON "calendar_entry" USING btree ("school_id","from_on");--> statement-breakpoint
ALTER TABLE "school_calendar" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "school_calendar" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "calendar_entry" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "calendar_entry" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "due_move" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "due_move" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));
