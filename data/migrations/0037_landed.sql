CREATE TABLE "landed" (
	"id" uuid PRIMARY KEY NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE INDEX "landed_by_time" ON "landed" USING btree ("at");