CREATE TABLE "loan_browser" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"token_hash" text NOT NULL,
	"loan_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "loan_browser_school_id_token_hash_loan_id_pk" PRIMARY KEY("school_id","token_hash","loan_id")
);
--> statement-breakpoint
ALTER TABLE "loan" ADD COLUMN "code" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "loan_browser" ADD CONSTRAINT "loan_browser_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loan_browser" ADD CONSTRAINT "browser_of_loan" FOREIGN KEY ("school_id","loan_id") REFERENCES "public"."loan"("school_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "browser_by_loan" ON "loan_browser" USING btree ("school_id","loan_id");--> statement-breakpoint
ALTER TABLE "loan" ADD CONSTRAINT "loan_code_is_five_digits" CHECK ("loan"."code" ~ '^([0-9]{5})?$');--> statement-breakpoint
ALTER TABLE "loan_browser" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "loan_browser" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));
