CREATE TABLE "person" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"password_hash" text NOT NULL,
	"role" text NOT NULL,
	"active" boolean DEFAULT true NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "rate_limit" (
	"key" varchar(255) PRIMARY KEY NOT NULL,
	"points" integer DEFAULT 0 NOT NULL,
	"expire" bigint
);
--> statement-breakpoint
CREATE TABLE "school" (
	"id" integer PRIMARY KEY DEFAULT 1 NOT NULL,
	"name" text NOT NULL,
	"paper" text NOT NULL,
	"languages" text[] NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "there_is_one_school" CHECK ("school"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE "session" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "build_run" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"kit_id" uuid NOT NULL,
	"built_on" date NOT NULL,
	"plan" jsonb NOT NULL,
	"parts" jsonb NOT NULL,
	"built_by" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "copy" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"kit_id" uuid NOT NULL,
	"build_run_id" uuid NOT NULL,
	"tag" text NOT NULL,
	"link_key" text NOT NULL,
	"printed_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "copy_tag_is_taken" UNIQUE("tag"),
	CONSTRAINT "copy_linkKey_unique" UNIQUE("link_key")
);
--> statement-breakpoint
CREATE TABLE "kit" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"age_band" text NOT NULL,
	"players" integer NOT NULL,
	"paper" text NOT NULL,
	"assurance" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "kit_has_players" CHECK ("kit"."players" between 1 and 6)
);
--> statement-breakpoint
CREATE TABLE "kit_variant" (
	"kit_id" uuid NOT NULL,
	"variant_id" uuid NOT NULL,
	"position" integer NOT NULL,
	CONSTRAINT "kit_variant_kit_id_variant_id_pk" PRIMARY KEY("kit_id","variant_id")
);
--> statement-breakpoint
CREATE TABLE "variant" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"game_id" text NOT NULL,
	"name" text NOT NULL,
	"params" jsonb NOT NULL,
	"age_band" text NOT NULL,
	"created_by" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"archived_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "family" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"language" text NOT NULL,
	"reach" text DEFAULT '' NOT NULL,
	"under_three" boolean DEFAULT false NOT NULL,
	"allergens" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"forgotten_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "loan" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"copy_id" uuid NOT NULL,
	"family_id" uuid NOT NULL,
	"lent_on" date NOT NULL,
	"due_on" date NOT NULL,
	"returned_on" date,
	"closed_as" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "due_after_lent" CHECK ("loan"."due_on" >= "loan"."lent_on"),
	CONSTRAINT "returned_has_a_day" CHECK (("loan"."closed_as" is not distinct from 'returned') = ("loan"."returned_on" is not null))
);
--> statement-breakpoint
CREATE TABLE "loan_event" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"loan_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "part_count" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"copy_id" uuid NOT NULL,
	"loan_id" uuid,
	"cause" text NOT NULL,
	"material" text NOT NULL,
	"expected" integer NOT NULL,
	"counted" integer NOT NULL,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"serial" integer GENERATED ALWAYS AS IDENTITY (sequence name "part_count_serial_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	CONSTRAINT "counts_are_possible" CHECK ("part_count"."counted" >= 0 and "part_count"."expected" >= 0)
);
--> statement-breakpoint
CREATE TABLE "answer" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"send_key" text NOT NULL,
	"loan_id" uuid NOT NULL,
	"language" text NOT NULL,
	"children" integer,
	"grown_ups" integer,
	"times" integer,
	"minutes" integer,
	"level" text,
	"child_did" text DEFAULT '' NOT NULL,
	"missing" text DEFAULT '' NOT NULL,
	"anything_else" text DEFAULT '' NOT NULL,
	"sent_at" timestamp with time zone DEFAULT now() NOT NULL,
	"read_at" timestamp with time zone,
	CONSTRAINT "answer_was_sent" UNIQUE("send_key")
);
--> statement-breakpoint
CREATE TABLE "wording_check" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"game_id" text NOT NULL,
	"message_id" text NOT NULL,
	"language" text NOT NULL,
	"message" text NOT NULL,
	"right" boolean NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "build_run" ADD CONSTRAINT "build_run_kit_id_kit_id_fk" FOREIGN KEY ("kit_id") REFERENCES "public"."kit"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "build_run" ADD CONSTRAINT "build_run_built_by_person_id_fk" FOREIGN KEY ("built_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy" ADD CONSTRAINT "copy_kit_id_kit_id_fk" FOREIGN KEY ("kit_id") REFERENCES "public"."kit"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy" ADD CONSTRAINT "copy_build_run_id_build_run_id_fk" FOREIGN KEY ("build_run_id") REFERENCES "public"."build_run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_variant" ADD CONSTRAINT "kit_variant_kit_id_kit_id_fk" FOREIGN KEY ("kit_id") REFERENCES "public"."kit"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_variant" ADD CONSTRAINT "kit_variant_variant_id_variant_id_fk" FOREIGN KEY ("variant_id") REFERENCES "public"."variant"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "variant" ADD CONSTRAINT "variant_created_by_person_id_fk" FOREIGN KEY ("created_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loan" ADD CONSTRAINT "loan_copy_id_copy_id_fk" FOREIGN KEY ("copy_id") REFERENCES "public"."copy"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loan" ADD CONSTRAINT "loan_family_id_family_id_fk" FOREIGN KEY ("family_id") REFERENCES "public"."family"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loan_event" ADD CONSTRAINT "loan_event_loan_id_loan_id_fk" FOREIGN KEY ("loan_id") REFERENCES "public"."loan"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loan_event" ADD CONSTRAINT "loan_event_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_count" ADD CONSTRAINT "part_count_copy_id_copy_id_fk" FOREIGN KEY ("copy_id") REFERENCES "public"."copy"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_count" ADD CONSTRAINT "part_count_loan_id_loan_id_fk" FOREIGN KEY ("loan_id") REFERENCES "public"."loan"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part_count" ADD CONSTRAINT "part_count_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "answer" ADD CONSTRAINT "answer_loan_id_loan_id_fk" FOREIGN KEY ("loan_id") REFERENCES "public"."loan"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wording_check" ADD CONSTRAINT "wording_check_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "person_name_is_taken" ON "person" USING btree (lower("name"));--> statement-breakpoint
CREATE INDEX "session_by_expiry" ON "session" USING btree ("expires_at");--> statement-breakpoint
CREATE INDEX "copy_by_kit" ON "copy" USING btree ("kit_id");--> statement-breakpoint
CREATE INDEX "copy_by_build" ON "copy" USING btree ("build_run_id");--> statement-breakpoint
CREATE UNIQUE INDEX "kit_name_is_taken" ON "kit" USING btree (lower("name"));--> statement-breakpoint
CREATE UNIQUE INDEX "variant_name_is_taken" ON "variant" USING btree (lower("name")) WHERE "variant"."archived_at" is null;--> statement-breakpoint
CREATE UNIQUE INDEX "family_name_is_taken" ON "family" USING btree (lower("name")) WHERE "family"."forgotten_at" is null;--> statement-breakpoint
CREATE UNIQUE INDEX "copy_is_out_already" ON "loan" USING btree ("copy_id") WHERE "loan"."closed_as" is null;--> statement-breakpoint
CREATE INDEX "loan_by_family" ON "loan" USING btree ("family_id");--> statement-breakpoint
CREATE INDEX "loan_by_due" ON "loan" USING btree ("due_on");--> statement-breakpoint
CREATE INDEX "loan_event_by_loan" ON "loan_event" USING btree ("loan_id");--> statement-breakpoint
CREATE INDEX "part_count_by_copy" ON "part_count" USING btree ("copy_id","material");--> statement-breakpoint
CREATE INDEX "answer_by_loan" ON "answer" USING btree ("loan_id");--> statement-breakpoint
CREATE INDEX "wording_check_by_game" ON "wording_check" USING btree ("game_id","language");