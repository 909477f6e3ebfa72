CREATE TABLE "hall_act" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid NOT NULL,
	"act" jsonb NOT NULL,
	"heard" jsonb NOT NULL,
	"clash" boolean NOT NULL,
	"about" uuid[] NOT NULL,
	"settled_at" timestamp with time zone,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "hall_act_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
CREATE TABLE "class_day" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"group" text NOT NULL,
	"back_on" integer NOT NULL,
	CONSTRAINT "class_day_school_id_group_pk" PRIMARY KEY("school_id","group"),
	CONSTRAINT "a_class_comes_on_a_day" CHECK ("class_day"."back_on" between 1 and 7)
);
--> statement-breakpoint
CREATE TABLE "hold" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"family_id" uuid NOT NULL,
	"kit_id" uuid NOT NULL,
	"serial" integer GENERATED ALWAYS AS IDENTITY (sequence name "hold_serial_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"asked_at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" uuid,
	"copy_id" uuid,
	"kept_until" date,
	"closed_as" text,
	"closed_at" timestamp with time zone,
	"loan_id" uuid,
	CONSTRAINT "hold_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "hold_ended_in_a_known_way" CHECK ("hold"."closed_as" in ('lent', 'passed', 'withdrawn')),
	CONSTRAINT "set_aside_until_a_day" CHECK (("hold"."copy_id" is null) = ("hold"."kept_until" is null))
);
--> statement-breakpoint
CREATE TABLE "lending_rule" (
	"school_id" uuid PRIMARY KEY DEFAULT public.school_now() NOT NULL,
	"bags_at_once" integer,
	"renewals" integer,
	"back_first" boolean NOT NULL,
	"set_aside_days" integer NOT NULL,
	"days_before" integer NOT NULL,
	"days_after" integer NOT NULL,
	"unchecked" text NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "unchecked_wording_is_held_or_marked" CHECK ("lending_rule"."unchecked" in ('hold', 'send')),
	CONSTRAINT "lending_rules_are_possible" CHECK ("lending_rule"."bags_at_once" > 0 and "lending_rule"."renewals" >= 0 and "lending_rule"."set_aside_days" > 0)
);
--> statement-breakpoint
CREATE TABLE "promise" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"round_id" uuid NOT NULL,
	"family_id" uuid NOT NULL,
	"copy_id" uuid NOT NULL,
	"score" integer NOT NULL,
	"why" text NOT NULL,
	"loan_id" uuid,
	"ended_at" timestamp with time zone,
	CONSTRAINT "promise_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
CREATE TABLE "round" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"on_day" date NOT NULL,
	"choices" jsonb NOT NULL,
	"state" text DEFAULT 'planned' NOT NULL,
	"person_id" uuid,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "round_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "round_is_in_a_known_state" CHECK ("round"."state" in ('planned', 'promised', 'ended'))
);
--> statement-breakpoint
CREATE TABLE "carried" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"message_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "carried_school_id_message_id_pk" PRIMARY KEY("school_id","message_id")
);
--> statement-breakpoint
CREATE TABLE "message" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"family_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"once" text NOT NULL,
	"on_day" date NOT NULL,
	"language" text NOT NULL,
	"unchecked" boolean NOT NULL,
	"channel" text NOT NULL,
	"reach" text DEFAULT '' NOT NULL,
	"said" text[] DEFAULT '{}'::text[] NOT NULL,
	"text" text NOT NULL,
	"link_key" text NOT NULL,
	"state" text NOT NULL,
	"tries" integer DEFAULT 0 NOT NULL,
	"problem" text DEFAULT '' NOT NULL,
	"sent_at" timestamp with time zone,
	"answered" text,
	"answered_day" date,
	"answered_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "message_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "message_is_in_a_known_state" CHECK ("message"."state" in ('waiting', 'sent', 'held', 'paper', 'printed', 'failed', 'dropped')),
	CONSTRAINT "message_is_answered_in_a_known_way" CHECK ("message"."answered" in ('coming', 'longer', 'lost'))
);
--> statement-breakpoint
ALTER TABLE "loan_event" DROP CONSTRAINT "loan_event_is_of_a_kind";--> statement-breakpoint
ALTER TABLE "family" ADD COLUMN "weekly" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "family" ADD COLUMN "card" text;--> statement-breakpoint
ALTER TABLE "loan" ADD COLUMN "arrived_on" date;--> statement-breakpoint
ALTER TABLE "hall_act" ADD CONSTRAINT "hall_act_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hall_act" ADD CONSTRAINT "hall_act_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "class_day" ADD CONSTRAINT "class_day_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hold" ADD CONSTRAINT "hold_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hold" ADD CONSTRAINT "hold_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hold" ADD CONSTRAINT "hold_of_family" FOREIGN KEY ("school_id","family_id") REFERENCES "public"."family"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hold" ADD CONSTRAINT "hold_of_kit" FOREIGN KEY ("school_id","kit_id") REFERENCES "public"."kit"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hold" ADD CONSTRAINT "hold_of_copy" FOREIGN KEY ("school_id","copy_id") REFERENCES "public"."copy"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hold" ADD CONSTRAINT "hold_became_loan" FOREIGN KEY ("school_id","loan_id") REFERENCES "public"."loan"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lending_rule" ADD CONSTRAINT "lending_rule_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "promise" ADD CONSTRAINT "promise_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "promise" ADD CONSTRAINT "promise_of_round" FOREIGN KEY ("school_id","round_id") REFERENCES "public"."round"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "promise" ADD CONSTRAINT "promise_to_family" FOREIGN KEY ("school_id","family_id") REFERENCES "public"."family"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "promise" ADD CONSTRAINT "promise_of_copy" FOREIGN KEY ("school_id","copy_id") REFERENCES "public"."copy"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "promise" ADD CONSTRAINT "promise_became_loan" FOREIGN KEY ("school_id","loan_id") REFERENCES "public"."loan"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "round_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "round_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "carried" ADD CONSTRAINT "carried_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "carried" ADD CONSTRAINT "carried_message" FOREIGN KEY ("school_id","message_id") REFERENCES "public"."message"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "message" ADD CONSTRAINT "message_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "message" ADD CONSTRAINT "message_to_family" FOREIGN KEY ("school_id","family_id") REFERENCES "public"."family"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "hall_act_by_day" ON "hall_act" USING btree ("school_id","at");--> statement-breakpoint
CREATE UNIQUE INDEX "family_waits_already" ON "hold" USING btree ("school_id","family_id","kit_id") WHERE "hold"."closed_as" is null;--> statement-breakpoint
CREATE UNIQUE INDEX "copy_is_set_aside_already" ON "hold" USING btree ("school_id","copy_id") WHERE "hold"."closed_as" is null;--> statement-breakpoint
CREATE INDEX "hold_in_order" ON "hold" USING btree ("school_id","kit_id","serial") WHERE "hold"."closed_as" is null;--> statement-breakpoint
CREATE INDEX "hold_by_loan" ON "hold" USING btree ("school_id","loan_id");--> statement-breakpoint
CREATE UNIQUE INDEX "copy_is_promised_already" ON "promise" USING btree ("school_id","copy_id") WHERE "promise"."ended_at" is null;--> statement-breakpoint
CREATE UNIQUE INDEX "one_bag_in_a_round" ON "promise" USING btree ("school_id","round_id","family_id");--> statement-breakpoint
CREATE INDEX "promise_by_loan" ON "promise" USING btree ("school_id","loan_id");--> statement-breakpoint
CREATE INDEX "round_by_day" ON "round" USING btree ("school_id","on_day");--> statement-breakpoint
CREATE UNIQUE INDEX "message_is_said_once" ON "message" USING btree ("school_id","family_id","once");--> statement-breakpoint
CREATE UNIQUE INDEX "message_link_is_taken" ON "message" USING btree ("link_key");--> statement-breakpoint
CREATE INDEX "message_by_day" ON "message" USING btree ("school_id","created_at");--> statement-breakpoint
CREATE INDEX "message_waiting" ON "message" USING btree ("school_id","state") WHERE "message"."state" in ('waiting', 'held', 'paper');--> statement-breakpoint
CREATE UNIQUE INDEX "family_card_is_taken" ON "family" USING btree ("school_id","card");--> statement-breakpoint
ALTER TABLE "loan_event" ADD CONSTRAINT "loan_event_is_of_a_kind" CHECK ("loan_event"."kind" in ('lent', 'dueChanged', 'renewed', 'returned', 'undone', 'reopened', 'safetyDecided', 'ruleDecided', 'arrived'));--> statement-breakpoint
ALTER TABLE "lending_rule" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "lending_rule" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "class_day" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "class_day" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "hold" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "hold" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "round" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "round" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "promise" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "promise" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "message" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "message" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "carried" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "carried" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "hall_act" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "hall_act" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
-- The one who answers a message has nothing but its address: this tells whose it is, and nothing else of it.
CREATE FUNCTION public.school_of_message(key text) RETURNS uuid LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS
$$ SELECT "school_id" FROM "message" WHERE "link_key" = key $$;
