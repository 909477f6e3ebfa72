CREATE TABLE "settled_change" (
	"serial" bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "settled_change_serial_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"of_school" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE INDEX "settled_by_school" ON "settled_change" USING btree ("of_school","serial");--> statement-breakpoint
CREATE INDEX "settled_by_time" ON "settled_change" USING btree ("at");--> statement-breakpoint
CREATE FUNCTION public.school_settled() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP <> 'DELETE' THEN
    INSERT INTO public.settled_change (of_school) SELECT DISTINCT school_id FROM come;
  END IF;
  IF TG_OP <> 'INSERT' THEN
    INSERT INTO public.settled_change (of_school) SELECT DISTINCT school_id FROM gone;
  END IF;
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE FUNCTION public.school_itself_settled() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO public.settled_change (of_school) SELECT id FROM come;
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER "settled_itself" AFTER UPDATE ON "school" REFERENCING NEW TABLE AS come FOR EACH STATEMENT EXECUTE FUNCTION public.school_itself_settled();--> statement-breakpoint
DO $$
DECLARE
  one text;
BEGIN
  FOREACH one IN ARRAY ARRAY['build_run', 'calendar_entry', 'class_day', 'copy', 'family', 'keeping_rule', 'kit', 'kit_variant', 'lending_rule', 'line_voice', 'own_game', 'reader_link', 'school_calendar', 'school_material', 'stock_item', 'theme', 'variant', 'wording_check', 'wording_line'] LOOP
    EXECUTE format('CREATE TRIGGER "settled_come" AFTER INSERT ON %I REFERENCING NEW TABLE AS come FOR EACH STATEMENT EXECUTE FUNCTION public.school_settled()', one);
    EXECUTE format('CREATE TRIGGER "settled_changed" AFTER UPDATE ON %I REFERENCING NEW TABLE AS come OLD TABLE AS gone FOR EACH STATEMENT EXECUTE FUNCTION public.school_settled()', one);
    EXECUTE format('CREATE TRIGGER "settled_gone" AFTER DELETE ON %I REFERENCING OLD TABLE AS gone FOR EACH STATEMENT EXECUTE FUNCTION public.school_settled()', one);
  END LOOP;
END $$;
--> statement-breakpoint
-- A name stands beside what somebody said, in each of their schools.
CREATE FUNCTION public.person_settled() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
BEGIN
  INSERT INTO public.settled_change (of_school) SELECT school_id FROM public.membership WHERE person_id = NEW.id;
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER "settled_name" AFTER UPDATE OF "name", "active" ON "person" FOR EACH ROW WHEN (OLD.* IS DISTINCT FROM NEW.*) EXECUTE FUNCTION public.person_settled();
