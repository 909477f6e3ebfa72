CREATE TABLE "stock_item" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"material" text NOT NULL,
	"on_hand" integer,
	"place" text DEFAULT '' NOT NULL,
	"reorder_at" integer DEFAULT 0 NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "stock_item_school_id_material_pk" PRIMARY KEY("school_id","material"),
	CONSTRAINT "stock_is_never_below_zero" CHECK ("stock_item"."on_hand" >= 0),
	CONSTRAINT "reorder_level_is_possible" CHECK ("stock_item"."reorder_at" >= 0)
);
--> statement-breakpoint
CREATE TABLE "stock_move" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"material" text NOT NULL,
	"kind" text NOT NULL,
	"quantity" integer NOT NULL,
	"leaves" integer NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"for_id" uuid,
	"undoes" uuid,
	"person_id" uuid,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"serial" integer GENERATED ALWAYS AS IDENTITY (sequence name "stock_move_serial_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	CONSTRAINT "stock_move_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "stock_move_is_of_a_kind" CHECK ("stock_move"."kind" in ('bought', 'counted', 'taken', 'putBack', 'mended', 'lost', 'worn', 'givenAway', 'corrected', 'undone')),
	CONSTRAINT "stock_left_is_possible" CHECK ("stock_move"."leaves" >= 0)
);
--> statement-breakpoint
CREATE TABLE "stock_offer" (
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"id" uuid DEFAULT gen_random_uuid() NOT NULL,
	"material" text NOT NULL,
	"name" text NOT NULL,
	"size" integer NOT NULL,
	"price_cents" integer NOT NULL,
	CONSTRAINT "stock_offer_school_id_id_pk" PRIMARY KEY("school_id","id"),
	CONSTRAINT "a_pack_holds_something" CHECK ("stock_offer"."size" > 0 and "stock_offer"."price_cents" >= 0)
);
--> statement-breakpoint
ALTER TABLE "stock_item" ADD CONSTRAINT "stock_item_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_move" ADD CONSTRAINT "stock_move_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_move" ADD CONSTRAINT "stock_move_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_move" ADD CONSTRAINT "stock_move_of_item" FOREIGN KEY ("school_id","material") REFERENCES "public"."stock_item"("school_id","material") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_offer" ADD CONSTRAINT "stock_offer_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "stock_move_is_undone_once" ON "stock_move" USING btree ("school_id","undoes");--> statement-breakpoint
CREATE INDEX "stock_move_by_item" ON "stock_move" USING btree ("school_id","material","serial");--> statement-breakpoint
CREATE INDEX "stock_move_by_purpose" ON "stock_move" USING btree ("school_id","for_id");--> statement-breakpoint
CREATE UNIQUE INDEX "stock_offer_name_is_taken" ON "stock_offer" USING btree ("school_id","material",lower("name"));--> statement-breakpoint
ALTER TABLE "stock_item" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "stock_item" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "stock_move" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "stock_move" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
ALTER TABLE "stock_offer" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "stock_offer" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));--> statement-breakpoint
-- What was ticked as being at hand is there, and nobody has counted it yet.
INSERT INTO "stock_item" ("school_id", "material") SELECT "school_id", "material" FROM "material_at_hand";--> statement-breakpoint
DROP TABLE "material_at_hand" CASCADE;