CREATE TABLE "attendance" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"gathering_id" uuid NOT NULL,
	"family_id" uuid NOT NULL,
	"by_family" boolean NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "attendance_school_id_gathering_id_family_id_pk" PRIMARY KEY("school_id","gathering_id","family_id")
);
--> statement-breakpoint
CREATE TABLE "gathering" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"on_day" date NOT NULL,
	"key_hash" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"closed_at" timestamp with time zone,
	"person_id" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "gathering_school_id_id_pk" PRIMARY KEY("school_id","id")
);
--> statement-breakpoint
ALTER TABLE "attendance" ADD CONSTRAINT "attendance_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attendance" ADD CONSTRAINT "attendance_of_gathering" FOREIGN KEY ("school_id","gathering_id") REFERENCES "public"."gathering"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attendance" ADD CONSTRAINT "attendance_of_family" FOREIGN KEY ("school_id","family_id") REFERENCES "public"."family"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gathering" ADD CONSTRAINT "gathering_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gathering" ADD CONSTRAINT "gathering_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "gathering_key" ON "gathering" USING btree ("key_hash");--> statement-breakpoint
CREATE INDEX "gathering_by_day" ON "gathering" USING btree ("school_id","on_day");--> statement-breakpoint
ALTER TABLE "gathering" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "gathering" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "attendance" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "attendance" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
-- Whose table a tablet stands at: it knows the key, and no school yet.
CREATE FUNCTION public.school_of_gathering(hash text) RETURNS uuid LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS
$$ SELECT "school_id" FROM "gathering" WHERE "key_hash" = hash $$;
