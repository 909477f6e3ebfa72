DROP INDEX "part_count_short";--> statement-breakpoint
ALTER TABLE "part_count" ADD COLUMN "lacks" text[] DEFAULT '{}'::text[] NOT NULL;--> statement-breakpoint
CREATE INDEX "part_count_short" ON "part_count" USING btree ("school_id","copy_id","material") WHERE "part_count"."counted" < "part_count"."expected" or "part_count"."lacks" <> '{}';