CREATE TABLE "sent_form" (
	"digest" text PRIMARY KEY NOT NULL,
	"sent_at" timestamp with time zone DEFAULT now() NOT NULL,
	"done" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE INDEX "sent_form_by_time" ON "sent_form" USING btree ("sent_at");