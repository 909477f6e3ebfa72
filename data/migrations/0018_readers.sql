CREATE TABLE "line_voice" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"source_id" text NOT NULL,
	"message_id" text NOT NULL,
	"language" text NOT NULL,
	"said" text NOT NULL,
	"kind" text NOT NULL,
	"sound" "bytea" NOT NULL,
	"person_id" uuid,
	"reader_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"let_out_at" timestamp with time zone,
	"let_out_by" uuid,
	"ended_at" timestamp with time zone,
	CONSTRAINT "line_voice_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
CREATE TABLE "proof" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"kit_id" uuid NOT NULL,
	"kit" text NOT NULL,
	"language" text NOT NULL,
	"lines" jsonb NOT NULL,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "proof_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
CREATE TABLE "reader_link" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"key_hash" text NOT NULL,
	"reader" text NOT NULL,
	"language" text NOT NULL,
	"kit_id" uuid,
	"game_id" text,
	"again" boolean DEFAULT false NOT NULL,
	"person_id" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"closed_at" timestamp with time zone,
	CONSTRAINT "reader_link_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
ALTER TABLE "wording_check" ADD COLUMN "unsure" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "wording_check" ADD COLUMN "reader_id" uuid;--> statement-breakpoint
ALTER TABLE "line_voice" ADD CONSTRAINT "line_voice_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_voice" ADD CONSTRAINT "line_voice_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_voice" ADD CONSTRAINT "line_voice_let_out_by_person_id_fk" FOREIGN KEY ("let_out_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_voice" ADD CONSTRAINT "line_voice_of_reader" FOREIGN KEY ("school_id","reader_id") REFERENCES "public"."reader_link"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "proof" ADD CONSTRAINT "proof_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "proof" ADD CONSTRAINT "proof_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reader_link" ADD CONSTRAINT "reader_link_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reader_link" ADD CONSTRAINT "reader_link_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "line_voice_by_line" ON "line_voice" USING btree ("school_id","language","source_id","message_id");--> statement-breakpoint
CREATE UNIQUE INDEX "reader_link_key" ON "reader_link" USING btree ("key_hash");--> statement-breakpoint
ALTER TABLE "wording_check" ADD CONSTRAINT "wording_check_of_reader" FOREIGN KEY ("school_id","reader_id") REFERENCES "public"."reader_link"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reader_link" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "reader_link" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "line_voice" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "line_voice" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "proof" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "proof" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
-- Whose link a reader has opened: the phone knows the key, and no school yet.
CREATE FUNCTION public.school_of_reader(hash text) RETURNS uuid LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS
$$ SELECT "school_id" FROM "reader_link" WHERE "key_hash" = hash $$;
