ALTER TABLE "loan_browser" ADD COLUMN "may_ask" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "loan_browser" ADD COLUMN "by_label" boolean DEFAULT false NOT NULL;--> statement-breakpoint
CREATE UNIQUE INDEX "one_browser_by_label" ON "loan_browser" USING btree ("school_id","loan_id") WHERE "loan_browser"."by_label";