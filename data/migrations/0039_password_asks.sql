CREATE TABLE "password_ask" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"number" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	CONSTRAINT "password_ask_number" CHECK ("password_ask"."number" ~ '^[0-9]{6}$')
);
--> statement-breakpoint
ALTER TABLE "password_ask" ADD CONSTRAINT "password_ask_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "password_ask_by_person" ON "password_ask" USING btree ("person_id");--> statement-breakpoint
ALTER TABLE "password_ask" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_no_school" ON "password_ask" USING (public.school_now() IS NULL);
