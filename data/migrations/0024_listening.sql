CREATE TABLE "answer_game" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"answer_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"said" text,
	"times" integer,
	"minutes" integer,
	"child" text DEFAULT '' NOT NULL,
	"how" text[] DEFAULT '{}'::text[] NOT NULL,
	"child_said" text DEFAULT '' NOT NULL,
	"changed" text DEFAULT '' NOT NULL,
	"unclear" text DEFAULT '' NOT NULL,
	"unclear_seen_at" timestamp with time zone,
	CONSTRAINT "answer_game_school_id_answer_id_position_pk" PRIMARY KEY("school_id","answer_id","position"),
	CONSTRAINT "answer_game_says_a_known_level" CHECK ("answer_game"."said" in ('tooEasy', 'justRight', 'tooHard')),
	CONSTRAINT "a_game_has_a_place" CHECK ("answer_game"."position" between 0 and 99)
);
--> statement-breakpoint
CREATE TABLE "answer_theme" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"answer_id" uuid NOT NULL,
	"theme_id" uuid NOT NULL,
	"person_id" uuid,
	CONSTRAINT "answer_theme_school_id_answer_id_theme_id_pk" PRIMARY KEY("school_id","answer_id","theme_id")
);
--> statement-breakpoint
CREATE TABLE "text_reply" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"carried_as" text NOT NULL,
	"reach" text NOT NULL,
	"text" text NOT NULL,
	"family_id" uuid,
	"state" text NOT NULL,
	"why" text DEFAULT '' NOT NULL,
	"answer_id" uuid,
	"person_id" uuid,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "text_reply_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "text_reply_is_in_a_known_state" CHECK ("text_reply"."state" in ('read', 'waiting', 'aside'))
);
--> statement-breakpoint
CREATE TABLE "theme" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "theme_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
CREATE TABLE "work_picture" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"answer_id" uuid NOT NULL,
	"image" "bytea" NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"goes_on" date NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "work_picture_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
CREATE TABLE "family_look" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"family_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"what" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "family_look_school_id_family_id_person_id_what_at_pk" PRIMARY KEY("school_id","family_id","person_id","what","at"),
	CONSTRAINT "family_look_is_of_a_kind" CHECK ("family_look"."what" in ('page', 'level', 'file', 'picture', 'call'))
);
--> statement-breakpoint
CREATE TABLE "keeping_rule" (
	"school_id" uuid PRIMARY KEY DEFAULT public.school_now() NOT NULL,
	"months" integer,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "families_are_kept_for_months" CHECK ("keeping_rule"."months" between 1 and 120)
);
--> statement-breakpoint
ALTER TABLE "family" ADD COLUMN "pictures" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "answer" ADD COLUMN "via" text DEFAULT 'page' NOT NULL;--> statement-breakpoint
ALTER TABLE "answer" ADD COLUMN "again" text;--> statement-breakpoint
ALTER TABLE "answer" ADD COLUMN "person_id" uuid;--> statement-breakpoint
ALTER TABLE "answer_game" ADD CONSTRAINT "answer_game_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "answer_game" ADD CONSTRAINT "answer_game_of_answer" FOREIGN KEY ("school_id","answer_id") REFERENCES "public"."answer"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "answer_theme" ADD CONSTRAINT "answer_theme_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "answer_theme" ADD CONSTRAINT "answer_theme_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "answer_theme" ADD CONSTRAINT "answer_theme_of_answer" FOREIGN KEY ("school_id","answer_id") REFERENCES "public"."answer"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "answer_theme" ADD CONSTRAINT "answer_theme_of_theme" FOREIGN KEY ("school_id","theme_id") REFERENCES "public"."theme"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "text_reply" ADD CONSTRAINT "text_reply_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "text_reply" ADD CONSTRAINT "text_reply_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "text_reply" ADD CONSTRAINT "text_reply_of_family" FOREIGN KEY ("school_id","family_id") REFERENCES "public"."family"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "text_reply" ADD CONSTRAINT "text_reply_became_answer" FOREIGN KEY ("school_id","answer_id") REFERENCES "public"."answer"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "theme" ADD CONSTRAINT "theme_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "work_picture" ADD CONSTRAINT "work_picture_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "work_picture" ADD CONSTRAINT "work_picture_of_answer" FOREIGN KEY ("school_id","answer_id") REFERENCES "public"."answer"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "family_look" ADD CONSTRAINT "family_look_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "family_look" ADD CONSTRAINT "family_look_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "keeping_rule" ADD CONSTRAINT "keeping_rule_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "answer_by_theme" ON "answer_theme" USING btree ("school_id","theme_id");--> statement-breakpoint
CREATE UNIQUE INDEX "text_reply_came" ON "text_reply" USING btree ("school_id","carried_as");--> statement-breakpoint
CREATE INDEX "text_reply_waiting" ON "text_reply" USING btree ("school_id","received_at") WHERE "text_reply"."state" = 'waiting';--> statement-breakpoint
CREATE UNIQUE INDEX "theme_name_is_taken" ON "theme" USING btree ("school_id",lower("name"));--> statement-breakpoint
CREATE INDEX "work_picture_by_answer" ON "work_picture" USING btree ("school_id","answer_id");--> statement-breakpoint
CREATE INDEX "work_picture_goes" ON "work_picture" USING btree ("goes_on");--> statement-breakpoint
CREATE INDEX "family_look_by_day" ON "family_look" USING btree ("school_id","at");--> statement-breakpoint
ALTER TABLE "answer" ADD CONSTRAINT "answer_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "answer" ADD CONSTRAINT "answer_came_in_a_known_way" CHECK ("answer"."via" in ('page', 'slip', 'text', 'phone', 'message'));--> statement-breakpoint
ALTER TABLE "answer" ADD CONSTRAINT "answer_wants_something_known_next" CHECK ("answer"."again" in ('again', 'easier', 'harder', 'other'));--> statement-breakpoint
ALTER TABLE "answer_game" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "answer_game" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "theme" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "theme" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "answer_theme" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "answer_theme" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "text_reply" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "text_reply" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "work_picture" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "work_picture" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "keeping_rule" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "keeping_rule" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "family_look" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "family_look" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));
