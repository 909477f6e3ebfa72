ALTER TABLE "kit" ADD COLUMN "finish" text DEFAULT 'plain' NOT NULL;--> statement-breakpoint
ALTER TABLE "kit" ADD COLUMN "days_out" integer DEFAULT 21 NOT NULL;--> statement-breakpoint
ALTER TABLE "kit" ADD COLUMN "plays_a_week" integer DEFAULT 2 NOT NULL;--> statement-breakpoint
ALTER TABLE "kit" ADD CONSTRAINT "kit_is_lent_for_days" CHECK ("kit"."days_out" between 1 and 120 and "kit"."plays_a_week" between 1 and 21);--> statement-breakpoint
ALTER TABLE "kit" ADD CONSTRAINT "kit_has_a_finish" CHECK ("kit"."finish" in ('plain', 'durable'));--> statement-breakpoint
-- A copy that is being made is none to lend yet.
CREATE OR REPLACE FUNCTION public.district_numbers() RETURNS TABLE (school_id uuid, families integer, copies integer, out_now integer, overdue integer, unread integer)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS
$$ SELECT s."id",
     (SELECT count(*)::int FROM "family" f WHERE f."school_id" = s."id" AND f."forgotten_at" IS NULL),
     (SELECT count(*)::int FROM "copy" c WHERE c."school_id" = s."id" AND c."moved_at" IS NULL AND c."ready_at" IS NOT NULL),
     (SELECT count(*)::int FROM "loan" l WHERE l."school_id" = s."id" AND l."closed_as" IS NULL),
     (SELECT count(*)::int FROM "loan" l WHERE l."school_id" = s."id" AND l."closed_as" IS NULL
        AND l."due_on" < (now() AT TIME ZONE s."time_zone")::date),
     (SELECT count(*)::int FROM "answer" a WHERE a."school_id" = s."id" AND a."read_at" IS NULL)
   FROM "school" s WHERE s."district_id" = public.district_now() $$;
