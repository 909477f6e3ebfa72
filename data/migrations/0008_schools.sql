-- The school and the district whose rows a connection may see: what the handle of a query is bound to.
CREATE FUNCTION public.school_now() RETURNS uuid LANGUAGE sql STABLE PARALLEL SAFE AS
$$ SELECT nullif(current_setting('fern.school', true), '')::uuid $$;--> statement-breakpoint
CREATE FUNCTION public.district_now() RETURNS uuid LANGUAGE sql STABLE PARALLEL SAFE AS
$$ SELECT nullif(current_setting('fern.district', true), '')::uuid $$;--> statement-breakpoint
CREATE TABLE "district" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);--> statement-breakpoint
CREATE TABLE "shared" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"district_id" uuid NOT NULL,
	"school_name" text NOT NULL,
	"kind" text NOT NULL,
	"thing_id" text NOT NULL,
	"name" text NOT NULL,
	"content" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "shared_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "shared_is_of_a_kind" CHECK ("shared"."kind" in ('kit', 'own game', 'wording'))
);--> statement-breakpoint
CREATE TABLE "taken" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"kind" text NOT NULL,
	"thing_id" text NOT NULL,
	"shared_id" uuid NOT NULL,
	"from_school" text NOT NULL,
	"follows" boolean NOT NULL,
	"version" integer NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "taken_school_id_kind_thing_id_pk" PRIMARY KEY("school_id","kind","thing_id"),
	CONSTRAINT "taken_is_of_a_kind" CHECK ("taken"."kind" in ('kit', 'own game', 'wording'))
);--> statement-breakpoint
CREATE TABLE "membership" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"person_id" uuid NOT NULL,
	"role" text NOT NULL,
	"active" boolean DEFAULT true NOT NULL,
	"by_district" boolean DEFAULT false NOT NULL,
	"opened_at" timestamp with time zone,
	CONSTRAINT "membership_school_id_person_id_pk" PRIMARY KEY("school_id","person_id"),
	CONSTRAINT "member_has_a_role" CHECK ("membership"."role" in ('coordinator', 'helper', 'reader'))
);--> statement-breakpoint
-- The one school there was becomes the first of a district, and every row becomes its row.
ALTER TABLE "school" DROP CONSTRAINT "there_is_one_school";--> statement-breakpoint
-- The one school there was becomes the first of a district, and every row becomes its row.
ALTER TABLE "school" ALTER COLUMN "id" DROP DEFAULT, ALTER COLUMN "id" SET DATA TYPE uuid USING gen_random_uuid();--> statement-breakpoint
ALTER TABLE "school" ALTER COLUMN "id" SET DEFAULT gen_random_uuid();--> statement-breakpoint
ALTER TABLE "school" ADD COLUMN "district_id" uuid;--> statement-breakpoint
ALTER TABLE "school" ADD COLUMN "time_zone" text;--> statement-breakpoint
INSERT INTO "district" ("name") SELECT "name" FROM "school";--> statement-breakpoint
UPDATE "school" SET "district_id" = (SELECT "id" FROM "district"), "time_zone" = coalesce(nullif(current_setting('fern.time_zone', true), ''), 'UTC');--> statement-breakpoint
ALTER TABLE "school" ALTER COLUMN "district_id" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "school" ALTER COLUMN "time_zone" SET NOT NULL;--> statement-breakpoint
SELECT set_config('fern.school', coalesce((SELECT "id"::text FROM "school"), ''), true);--> statement-breakpoint
DELETE FROM "session";--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "school_id" uuid NOT NULL;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "district_id" uuid;--> statement-breakpoint
-- Somebody has to make the other schools: the one who was the first coordinator.
UPDATE "person" SET "district_id" = (SELECT "id" FROM "district")
WHERE "id" = (SELECT "id" FROM "person" WHERE "role" = 'coordinator' AND "active" ORDER BY "created_at", "id" LIMIT 1);--> statement-breakpoint
INSERT INTO "membership" ("person_id", "role", "active") SELECT "id", "role", "active" FROM "person";--> statement-breakpoint
ALTER TABLE "build_run" DROP CONSTRAINT "build_was_sent";--> statement-breakpoint
ALTER TABLE "copy" DROP CONSTRAINT "copy_tag_is_taken";--> statement-breakpoint
ALTER TABLE "copy" DROP CONSTRAINT "copy_linkKey_unique";--> statement-breakpoint
ALTER TABLE "answer" DROP CONSTRAINT "answer_was_sent";--> statement-breakpoint
ALTER TABLE "person" DROP CONSTRAINT "person_has_a_role";--> statement-breakpoint
ALTER TABLE "part_count" DROP CONSTRAINT "part_count_has_a_cause";--> statement-breakpoint
ALTER TABLE "build_run" DROP CONSTRAINT "build_run_kit_id_kit_id_fk";--> statement-breakpoint
ALTER TABLE "copy" DROP CONSTRAINT "copy_kit_id_kit_id_fk";--> statement-breakpoint
ALTER TABLE "copy" DROP CONSTRAINT "copy_build_run_id_build_run_id_fk";--> statement-breakpoint
ALTER TABLE "kit_variant" DROP CONSTRAINT "kit_variant_kit_id_kit_id_fk";--> statement-breakpoint
ALTER TABLE "kit_variant" DROP CONSTRAINT "kit_variant_variant_id_variant_id_fk";--> statement-breakpoint
ALTER TABLE "loan" DROP CONSTRAINT "loan_copy_id_copy_id_fk";--> statement-breakpoint
ALTER TABLE "loan" DROP CONSTRAINT "loan_family_id_family_id_fk";--> statement-breakpoint
ALTER TABLE "loan_event" DROP CONSTRAINT "loan_event_loan_id_loan_id_fk";--> statement-breakpoint
ALTER TABLE "part_count" DROP CONSTRAINT "part_count_copy_id_copy_id_fk";--> statement-breakpoint
ALTER TABLE "part_count" DROP CONSTRAINT "part_count_loan_id_loan_id_fk";--> statement-breakpoint
ALTER TABLE "answer" DROP CONSTRAINT "answer_loan_id_loan_id_fk";--> statement-breakpoint
DROP INDEX "change_by_thing";--> statement-breakpoint
DROP INDEX "own_game_name_is_taken";--> statement-breakpoint
DROP INDEX "copy_by_kit";--> statement-breakpoint
DROP INDEX "copy_by_build";--> statement-breakpoint
DROP INDEX "kit_name_is_taken";--> statement-breakpoint
DROP INDEX "kit_variant_by_variant";--> statement-breakpoint
DROP INDEX "variant_name_is_taken";--> statement-breakpoint
DROP INDEX "family_name_is_taken";--> statement-breakpoint
DROP INDEX "copy_is_out_already";--> statement-breakpoint
DROP INDEX "loan_by_copy";--> statement-breakpoint
DROP INDEX "loan_ended";--> statement-breakpoint
DROP INDEX "loan_out_by_family";--> statement-breakpoint
DROP INDEX "loan_by_family";--> statement-breakpoint
DROP INDEX "loan_by_due";--> statement-breakpoint
DROP INDEX "loan_event_by_loan";--> statement-breakpoint
DROP INDEX "part_count_latest";--> statement-breakpoint
DROP INDEX "part_count_short";--> statement-breakpoint
DROP INDEX "part_count_by_loan";--> statement-breakpoint
DROP INDEX "answer_by_loan";--> statement-breakpoint
DROP INDEX "answer_new";--> statement-breakpoint
DROP INDEX "wording_check_by_game";--> statement-breakpoint
ALTER TABLE "kit_variant" DROP CONSTRAINT "kit_variant_kit_id_variant_id_pk";--> statement-breakpoint
ALTER TABLE "material_at_hand" DROP CONSTRAINT "material_at_hand_pkey";--> statement-breakpoint
ALTER TABLE "own_game" DROP CONSTRAINT "own_game_pkey";--> statement-breakpoint
ALTER TABLE "build_run" DROP CONSTRAINT "build_run_pkey";--> statement-breakpoint
ALTER TABLE "copy" DROP CONSTRAINT "copy_pkey";--> statement-breakpoint
ALTER TABLE "kit" DROP CONSTRAINT "kit_pkey";--> statement-breakpoint
ALTER TABLE "variant" DROP CONSTRAINT "variant_pkey";--> statement-breakpoint
ALTER TABLE "family" DROP CONSTRAINT "family_pkey";--> statement-breakpoint
ALTER TABLE "loan" DROP CONSTRAINT "loan_pkey";--> statement-breakpoint
ALTER TABLE "loan_event" DROP CONSTRAINT "loan_event_pkey";--> statement-breakpoint
ALTER TABLE "part_count" DROP CONSTRAINT "part_count_pkey";--> statement-breakpoint
ALTER TABLE "answer" DROP CONSTRAINT "answer_pkey";--> statement-breakpoint
ALTER TABLE "wording_check" DROP CONSTRAINT "wording_check_pkey";--> statement-breakpoint
ALTER TABLE "print_job" DROP CONSTRAINT "print_job_pkey";--> statement-breakpoint
ALTER TABLE "change" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "material_at_hand" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "own_game" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "school" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "build_run" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "copy" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "copy" ADD COLUMN "moved_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "copy" ADD COLUMN "moved_to" uuid;--> statement-breakpoint
ALTER TABLE "kit" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "kit_variant" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "variant" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "family" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "loan" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "loan_event" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "part_count" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "answer" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "wording_check" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "wording_check" ADD COLUMN "elsewhere" text;--> statement-breakpoint
ALTER TABLE "print_job" ADD COLUMN "school_id" uuid DEFAULT public.school_now() NOT NULL;--> statement-breakpoint
ALTER TABLE "material_at_hand" ADD CONSTRAINT "material_at_hand_school_id_material_pk" PRIMARY KEY("school_id","material");--> statement-breakpoint
ALTER TABLE "own_game" ADD CONSTRAINT "own_game_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "build_run" ADD CONSTRAINT "build_run_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "copy" ADD CONSTRAINT "copy_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "kit" ADD CONSTRAINT "kit_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "kit_variant" ADD CONSTRAINT "kit_variant_school_id_kit_id_variant_id_pk" PRIMARY KEY("school_id","kit_id","variant_id");--> statement-breakpoint
ALTER TABLE "variant" ADD CONSTRAINT "variant_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "family" ADD CONSTRAINT "family_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "loan" ADD CONSTRAINT "loan_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "loan_event" ADD CONSTRAINT "loan_event_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "part_count" ADD CONSTRAINT "part_count_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "answer" ADD CONSTRAINT "answer_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "wording_check" ADD CONSTRAINT "wording_check_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "print_job" ADD CONSTRAINT "print_job_school_id_id_pk" PRIMARY KEY("school_id","id");--> statement-breakpoint
ALTER TABLE "shared" ADD CONSTRAINT "shared_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shared" ADD CONSTRAINT "shared_district_id_district_id_fk" FOREIGN KEY ("district_id") REFERENCES "public"."district"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "taken" ADD CONSTRAINT "taken_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "membership" ADD CONSTRAINT "membership_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "membership" ADD CONSTRAINT "membership_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "material_at_hand" ADD CONSTRAINT "material_at_hand_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_game" ADD CONSTRAINT "own_game_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "person" ADD CONSTRAINT "person_district_id_district_id_fk" FOREIGN KEY ("district_id") REFERENCES "public"."district"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "school" ADD CONSTRAINT "school_district_id_district_id_fk" FOREIGN KEY ("district_id") REFERENCES "public"."district"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "build_run" ADD CONSTRAINT "build_run_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "build_run" ADD CONSTRAINT "build_run_of_kit" FOREIGN KEY ("school_id","kit_id") REFERENCES "public"."kit"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy" ADD CONSTRAINT "copy_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy" ADD CONSTRAINT "copy_moved_to_school_id_fk" FOREIGN KEY ("moved_to") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy" ADD CONSTRAINT "copy_of_kit" FOREIGN KEY ("school_id","kit_id") REFERENCES "public"."kit"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy" ADD CONSTRAINT "copy_of_build_run" FOREIGN KEY ("school_id","build_run_id") REFERENCES "public"."build_run"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit" ADD CONSTRAINT "kit_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_variant" ADD CONSTRAINT "kit_variant_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_variant" ADD CONSTRAINT "kit_variant_in_kit" FOREIGN KEY ("school_id","kit_id") REFERENCES "public"."kit"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_variant" ADD CONSTRAINT "kit_variant_of_variant" FOREIGN KEY ("school_id","variant_id") REFERENCES "public"."variant"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "variant" ADD CONSTRAINT "variant_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "family" ADD CONSTRAINT "family_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loan" ADD CONSTRAINT "loan_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loan" ADD CONSTRAINT "loan_of_copy" FOREIGN KEY ("school_id","copy_id") REFERENCES "public"."copy"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loan" ADD CONSTRAINT "loan_to_family" FOREIGN KEY ("school_id","family_id") REFERENCES "public"."family"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loan_event" ADD CONSTRAINT "loan_event_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loan_event" ADD CONSTRAINT "loan_event_of_loan" FOREIGN KEY ("school_id","loan_id") REFERENCES "public"."loan"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_count" ADD CONSTRAINT "part_count_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_count" ADD CONSTRAINT "part_count_of_copy" FOREIGN KEY ("school_id","copy_id") REFERENCES "public"."copy"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_count" ADD CONSTRAINT "part_count_at_loan" FOREIGN KEY ("school_id","loan_id") REFERENCES "public"."loan"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "answer" ADD CONSTRAINT "answer_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "answer" ADD CONSTRAINT "answer_about_loan" FOREIGN KEY ("school_id","loan_id") REFERENCES "public"."loan"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wording_check" ADD CONSTRAINT "wording_check_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "print_job" ADD CONSTRAINT "print_job_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "shared_already" ON "shared" USING btree ("school_id","kind","thing_id");--> statement-breakpoint
CREATE INDEX "shared_by_district" ON "shared" USING btree ("district_id","kind","name");--> statement-breakpoint
CREATE UNIQUE INDEX "follows_already" ON "taken" USING btree ("school_id","shared_id") WHERE "taken"."follows";--> statement-breakpoint
CREATE INDEX "taken_by_shared" ON "taken" USING btree ("shared_id");--> statement-breakpoint
CREATE INDEX "membership_by_person" ON "membership" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "person_by_district" ON "person" USING btree ("district_id");--> statement-breakpoint
CREATE UNIQUE INDEX "school_name_is_taken" ON "school" USING btree ("district_id",lower("name"));--> statement-breakpoint
CREATE INDEX "build_run_by_kit" ON "build_run" USING btree ("school_id","kit_id");--> statement-breakpoint
CREATE UNIQUE INDEX "build_was_sent" ON "build_run" USING btree ("school_id","form_key");--> statement-breakpoint
CREATE UNIQUE INDEX "copy_tag_is_taken" ON "copy" USING btree ("tag") WHERE "copy"."moved_at" is null;--> statement-breakpoint
CREATE UNIQUE INDEX "copy_link_is_taken" ON "copy" USING btree ("link_key") WHERE "copy"."moved_at" is null;--> statement-breakpoint
CREATE INDEX "copy_by_tag" ON "copy" USING btree ("school_id","tag");--> statement-breakpoint
CREATE INDEX "family_by_name" ON "family" USING btree ("school_id","search_name");--> statement-breakpoint
CREATE UNIQUE INDEX "answer_was_sent" ON "answer" USING btree ("school_id","send_key");--> statement-breakpoint
CREATE INDEX "answer_by_day" ON "answer" USING btree ("school_id","sent_at");--> statement-breakpoint
CREATE INDEX "print_job_by_day" ON "print_job" USING btree ("school_id","created_at");--> statement-breakpoint
CREATE INDEX "change_by_thing" ON "change" USING btree ("school_id","thing","thing_id","id");--> statement-breakpoint
CREATE UNIQUE INDEX "own_game_name_is_taken" ON "own_game" USING btree ("school_id",lower("name")) WHERE "own_game"."archived_at" is null;--> statement-breakpoint
CREATE INDEX "copy_by_kit" ON "copy" USING btree ("school_id","kit_id");--> statement-breakpoint
CREATE INDEX "copy_by_build" ON "copy" USING btree ("school_id","build_run_id");--> statement-breakpoint
CREATE UNIQUE INDEX "kit_name_is_taken" ON "kit" USING btree ("school_id",lower("name"));--> statement-breakpoint
CREATE INDEX "kit_variant_by_variant" ON "kit_variant" USING btree ("school_id","variant_id");--> statement-breakpoint
CREATE UNIQUE INDEX "variant_name_is_taken" ON "variant" USING btree ("school_id",lower("name")) WHERE "variant"."archived_at" is null;--> statement-breakpoint
CREATE UNIQUE INDEX "family_name_is_taken" ON "family" USING btree ("school_id",lower("name")) WHERE "family"."forgotten_at" is null;--> statement-breakpoint
CREATE UNIQUE INDEX "copy_is_out_already" ON "loan" USING btree ("school_id","copy_id") WHERE "loan"."closed_as" is null;--> statement-breakpoint
CREATE INDEX "loan_by_copy" ON "loan" USING btree ("school_id","copy_id");--> statement-breakpoint
CREATE INDEX "loan_ended" ON "loan" USING btree ("school_id","returned_on","created_at") WHERE "loan"."closed_as" is not null;--> statement-breakpoint
CREATE INDEX "loan_out_by_family" ON "loan" USING btree ("school_id","family_id") WHERE "loan"."closed_as" is null;--> statement-breakpoint
CREATE INDEX "loan_by_family" ON "loan" USING btree ("school_id","family_id");--> statement-breakpoint
CREATE INDEX "loan_by_due" ON "loan" USING btree ("school_id","due_on");--> statement-breakpoint
CREATE INDEX "loan_event_by_loan" ON "loan_event" USING btree ("school_id","loan_id");--> statement-breakpoint
CREATE INDEX "part_count_latest" ON "part_count" USING btree ("school_id","copy_id","material","serial");--> statement-breakpoint
CREATE INDEX "part_count_short" ON "part_count" USING btree ("school_id","copy_id","material") WHERE "part_count"."counted" < "part_count"."expected";--> statement-breakpoint
CREATE INDEX "part_count_by_loan" ON "part_count" USING btree ("school_id","loan_id");--> statement-breakpoint
CREATE INDEX "answer_by_loan" ON "answer" USING btree ("school_id","loan_id");--> statement-breakpoint
CREATE INDEX "answer_new" ON "answer" USING btree ("school_id","sent_at") WHERE "answer"."read_at" is null;--> statement-breakpoint
CREATE INDEX "wording_check_by_game" ON "wording_check" USING btree ("school_id","game_id","language","message_id","at");--> statement-breakpoint
ALTER TABLE "copy" ADD CONSTRAINT "moved_somewhere" CHECK (("copy"."moved_at" is null) = ("copy"."moved_to" is null));--> statement-breakpoint
ALTER TABLE "part_count" ADD CONSTRAINT "part_count_has_a_cause" CHECK ("part_count"."cause" in ('return', 'mend', 'undone', 'moved'));--> statement-breakpoint
ALTER TABLE "person" DROP COLUMN "role";--> statement-breakpoint
-- The second lock: a role that does not own the tables sees the rows of the school it is bound to, and no others.
ALTER TABLE "answer" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "answer" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "build_run" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "build_run" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "change" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "change" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "copy" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "copy" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "family" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "family" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "kit" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "kit" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "kit_variant" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "kit_variant" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "loan" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "loan" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "loan_event" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "loan_event" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "material_at_hand" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "material_at_hand" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "own_game" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "own_game" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "part_count" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "part_count" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "print_job" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "print_job" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "taken" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "taken" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "variant" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "variant" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "wording_check" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "wording_check" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "shared" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "shared" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()) AND "district_id" = (SELECT public.district_now()));--> statement-breakpoint
CREATE POLICY "shown_in_the_district" ON "shared" FOR SELECT USING ("district_id" = (SELECT public.district_now()));--> statement-breakpoint
-- Who is bound to no school (signing in, making a school) sees schools and people, and nothing of what a school keeps.
ALTER TABLE "school" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "school" USING (public.school_now() IS NULL OR "id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "district" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_district" ON "district" USING (public.school_now() IS NULL OR "id" = (SELECT public.district_now()));--> statement-breakpoint
ALTER TABLE "membership" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "membership" USING (public.school_now() IS NULL OR "school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "person" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "person"
USING (public.school_now() IS NULL OR EXISTS (SELECT FROM "membership" m WHERE m."person_id" = "person"."id" AND m."school_id" = (SELECT public.school_now())))
WITH CHECK (public.school_now() IS NULL);--> statement-breakpoint
ALTER TABLE "session" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_no_school" ON "session" USING (public.school_now() IS NULL);--> statement-breakpoint
ALTER TABLE "password_link" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_no_school" ON "password_link" USING (public.school_now() IS NULL);--> statement-breakpoint
ALTER TABLE "known_browser" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_no_school" ON "known_browser" USING (public.school_now() IS NULL);--> statement-breakpoint
-- Whose label a phone or a reader has read: it knows the key, and no school yet.
CREATE FUNCTION public.school_of_link(key text) RETURNS uuid LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS
$$ SELECT "school_id" FROM "copy" WHERE "link_key" = key AND "moved_at" IS NULL $$;--> statement-breakpoint
-- The sister school that a copy with this tag belongs to now.
CREATE FUNCTION public.school_of_tag(sought text) RETURNS text LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS
$$ SELECT s."name" FROM "copy" c JOIN "school" s ON s."id" = c."school_id"
   WHERE c."tag" = sought AND c."moved_at" IS NULL AND s."district_id" = public.district_now() $$;--> statement-breakpoint
-- Who follows what this school shares.
CREATE FUNCTION public.followers_of(sought uuid) RETURNS SETOF uuid LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS
$$ SELECT t."school_id" FROM "taken" t JOIN "shared" s ON s."id" = t."shared_id" AND s."school_id" = public.school_now()
   WHERE t."shared_id" = sought AND t."follows" $$;--> statement-breakpoint
-- The schools of a district in numbers; their rows stay theirs.
CREATE FUNCTION public.district_numbers() RETURNS TABLE (school_id uuid, families integer, copies integer, out_now integer, overdue integer, unread integer)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS
$$ SELECT s."id",
     (SELECT count(*)::int FROM "family" f WHERE f."school_id" = s."id" AND f."forgotten_at" IS NULL),
     (SELECT count(*)::int FROM "copy" c WHERE c."school_id" = s."id" AND c."moved_at" IS NULL),
     (SELECT count(*)::int FROM "loan" l WHERE l."school_id" = s."id" AND l."closed_as" IS NULL),
     (SELECT count(*)::int FROM "loan" l WHERE l."school_id" = s."id" AND l."closed_as" IS NULL
        AND l."due_on" < (now() AT TIME ZONE s."time_zone")::date),
     (SELECT count(*)::int FROM "answer" a WHERE a."school_id" = s."id" AND a."read_at" IS NULL)
   FROM "school" s WHERE s."district_id" = public.district_now() $$;
