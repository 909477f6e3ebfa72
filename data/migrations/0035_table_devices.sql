CREATE TABLE "table_device" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"gathering_id" uuid NOT NULL,
	"token_hash" text NOT NULL,
	"number" integer NOT NULL,
	"let_in" boolean NOT NULL,
	"family_id" uuid,
	"family_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "table_device_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "table_device_has_a_number" CHECK ("table_device"."number" > 0)
);
--> statement-breakpoint
ALTER TABLE "table_device" ADD CONSTRAINT "table_device_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "table_device" ADD CONSTRAINT "device_of_gathering" FOREIGN KEY ("school_id","gathering_id") REFERENCES "public"."gathering"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "table_device" ADD CONSTRAINT "device_of_family" FOREIGN KEY ("school_id","family_id") REFERENCES "public"."family"("school_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "table_device_token" ON "table_device" USING btree ("school_id","token_hash");--> statement-breakpoint
CREATE UNIQUE INDEX "table_device_number" ON "table_device" USING btree ("school_id","gathering_id","number");--> statement-breakpoint
ALTER TABLE "table_device" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "table_device" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));
