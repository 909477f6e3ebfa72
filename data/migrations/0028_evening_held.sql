CREATE TABLE "rehearsal" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"helper" text NOT NULL,
	"game_id" text NOT NULL,
	"turns" integer NOT NULL,
	"well" integer NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "rehearsal_school_id_helper_game_id_pk" PRIMARY KEY("school_id","helper","game_id")
);
--> statement-breakpoint
CREATE TABLE "table_tap" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"gathering_id" uuid NOT NULL,
	"family_id" uuid NOT NULL,
	"table_name" text NOT NULL,
	"game" jsonb NOT NULL,
	"said" text NOT NULL,
	"again" boolean,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "table_tap_school_id_gathering_id_family_id_table_name_pk" PRIMARY KEY("school_id","gathering_id","family_id","table_name"),
	CONSTRAINT "tap_says_a_known_level" CHECK ("table_tap"."said" in ('tooEasy', 'justRight', 'tooHard'))
);
--> statement-breakpoint
ALTER TABLE "gathering" ADD COLUMN "evening_id" uuid;--> statement-breakpoint
ALTER TABLE "rehearsal" ADD CONSTRAINT "rehearsal_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "table_tap" ADD CONSTRAINT "table_tap_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "table_tap" ADD CONSTRAINT "tap_at_gathering" FOREIGN KEY ("school_id","gathering_id") REFERENCES "public"."gathering"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "table_tap" ADD CONSTRAINT "tap_of_family" FOREIGN KEY ("school_id","family_id") REFERENCES "public"."family"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "tap_by_family" ON "table_tap" USING btree ("school_id","family_id");--> statement-breakpoint
-- The door outlives the plan of its evening: who came is still known.
ALTER TABLE "gathering" ADD CONSTRAINT "gathering_of_evening" FOREIGN KEY ("school_id","evening_id") REFERENCES "public"."evening"("school_id","id") ON DELETE SET NULL ("evening_id");--> statement-breakpoint
CREATE UNIQUE INDEX "one_door_an_evening" ON "gathering" USING btree ("school_id","evening_id");--> statement-breakpoint
ALTER TABLE "rehearsal" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "rehearsal" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "table_tap" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "table_tap" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));
