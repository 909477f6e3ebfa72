CREATE TABLE "school_material" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"material" text NOT NULL,
	"fields" jsonb NOT NULL,
	"names" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"put_away_at" timestamp with time zone,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "school_material_school_id_material_pk" PRIMARY KEY("school_id","material")
);
--> statement-breakpoint
ALTER TABLE "kit" ADD COLUMN "languages" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "kit" ADD COLUMN "swaps" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "school_material" ADD CONSTRAINT "school_material_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "school_material" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "school_material" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));
