-- Large tables are not read through while others wait: these rules hold for what is written from now on.
ALTER TABLE "change" ADD CONSTRAINT "change_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action NOT VALID;--> statement-breakpoint
ALTER TABLE "stock_move" ADD CONSTRAINT "stock_move_undoes_a_move" FOREIGN KEY ("school_id","undoes") REFERENCES "public"."stock_move"("school_id","id") ON DELETE no action ON UPDATE no action NOT VALID;--> statement-breakpoint
ALTER TABLE "proof" ADD CONSTRAINT "proof_of_kit" FOREIGN KEY ("school_id","kit_id") REFERENCES "public"."kit"("school_id","id") ON DELETE no action ON UPDATE no action NOT VALID;--> statement-breakpoint
ALTER TABLE "reader_link" ADD CONSTRAINT "reader_link_of_kit" FOREIGN KEY ("school_id","kit_id") REFERENCES "public"."kit"("school_id","id") ON DELETE no action ON UPDATE no action NOT VALID;--> statement-breakpoint
ALTER TABLE "loan" ADD CONSTRAINT "home_after_lent" CHECK ("loan"."returned_on" >= "loan"."lent_on" and "loan"."arrived_on" >= "loan"."lent_on") NOT VALID;--> statement-breakpoint
ALTER TABLE "answer" ADD CONSTRAINT "answer_counts_are_possible" CHECK ("answer"."children" >= 0 and "answer"."grown_ups" >= 0 and "answer"."times" >= 0 and "answer"."minutes" >= 0) NOT VALID;--> statement-breakpoint
ALTER TABLE "answer_game" ADD CONSTRAINT "a_game_is_played_some_times" CHECK ("answer_game"."times" >= 0 and "answer_game"."minutes" >= 0) NOT VALID;--> statement-breakpoint
-- Who decided otherwise was written down with the name of the family for whom a bag was kept: it stands in the note of another family.
UPDATE "loan_event" SET "note" = regexp_replace(regexp_replace("note", 'is set aside for .* until ', 'is set aside for another family until '), 'is promised to .* in “', 'is promised to another family in “')
WHERE "kind" = 'ruleDecided' AND ("note" LIKE '%is set aside for %' OR "note" LIKE '%is promised to %');--> statement-breakpoint
CREATE FUNCTION public.only_of_families_that_are_known() RETURNS trigger LANGUAGE plpgsql SET search_path = public, pg_temp AS $$
DECLARE
  forgotten timestamptz;
BEGIN
  IF new.family_id IS NULL THEN RETURN new; END IF;
  -- Waits for a family that is being forgotten at this moment, and then reads what became of it.
  SELECT f.forgotten_at INTO forgotten FROM family f WHERE f.school_id = new.school_id AND f.id = new.family_id FOR KEY SHARE;
  IF forgotten IS NOT NULL THEN
    RAISE EXCEPTION 'nothing is written about a family that is forgotten' USING ERRCODE = 'check_violation', CONSTRAINT = 'family_is_forgotten';
  END IF;
  RETURN new;
END $$;--> statement-breakpoint
CREATE TRIGGER "family_is_known" BEFORE INSERT OR UPDATE OF "family_id" ON "loan" FOR EACH ROW EXECUTE FUNCTION public.only_of_families_that_are_known();--> statement-breakpoint
CREATE TRIGGER "family_is_known" BEFORE INSERT OR UPDATE OF "family_id" ON "hold" FOR EACH ROW EXECUTE FUNCTION public.only_of_families_that_are_known();--> statement-breakpoint
CREATE TRIGGER "family_is_known" BEFORE INSERT OR UPDATE OF "family_id" ON "promise" FOR EACH ROW EXECUTE FUNCTION public.only_of_families_that_are_known();--> statement-breakpoint
CREATE TRIGGER "family_is_known" BEFORE INSERT OR UPDATE OF "family_id" ON "message" FOR EACH ROW EXECUTE FUNCTION public.only_of_families_that_are_known();--> statement-breakpoint
CREATE TRIGGER "family_is_known" BEFORE INSERT OR UPDATE OF "family_id" ON "attendance" FOR EACH ROW EXECUTE FUNCTION public.only_of_families_that_are_known();--> statement-breakpoint
CREATE TRIGGER "family_is_known" BEFORE INSERT OR UPDATE OF "family_id" ON "table_tap" FOR EACH ROW EXECUTE FUNCTION public.only_of_families_that_are_known();--> statement-breakpoint
CREATE TRIGGER "family_is_known" BEFORE INSERT OR UPDATE OF "family_id" ON "text_reply" FOR EACH ROW EXECUTE FUNCTION public.only_of_families_that_are_known();--> statement-breakpoint
CREATE FUNCTION public.look_at_a_known_family() RETURNS trigger LANGUAGE plpgsql SET search_path = public, pg_temp AS $$
BEGIN
  -- To look waits for nobody who changes something.
  IF EXISTS (SELECT FROM family f WHERE f.school_id = new.school_id AND f.id = new.family_id AND f.forgotten_at IS NOT NULL) THEN
    RAISE EXCEPTION 'nothing is written about a family that is forgotten' USING ERRCODE = 'check_violation', CONSTRAINT = 'family_is_forgotten';
  END IF;
  RETURN new;
END $$;--> statement-breakpoint
CREATE TRIGGER "family_is_known" BEFORE INSERT ON "family_look" FOR EACH ROW EXECUTE FUNCTION public.look_at_a_known_family();--> statement-breakpoint
CREATE FUNCTION public.forgotten_stays_forgotten() RETURNS trigger LANGUAGE plpgsql SET search_path = public, pg_temp AS $$
BEGIN
  IF old.forgotten_at IS NOT NULL THEN
    RAISE EXCEPTION 'a family that is forgotten stays as it is' USING ERRCODE = 'check_violation', CONSTRAINT = 'family_is_forgotten';
  END IF;
  RETURN new;
END $$;--> statement-breakpoint
CREATE TRIGGER "family_is_known" BEFORE UPDATE ON "family" FOR EACH ROW EXECUTE FUNCTION public.forgotten_stays_forgotten();--> statement-breakpoint
CREATE FUNCTION public.answer_of_a_known_family() RETURNS trigger LANGUAGE plpgsql SET search_path = public, pg_temp AS $$
DECLARE
  forgotten timestamptz;
BEGIN
  SELECT f.forgotten_at INTO forgotten FROM loan l JOIN family f ON f.school_id = l.school_id AND f.id = l.family_id
    WHERE l.school_id = new.school_id AND l.id = new.loan_id FOR KEY SHARE OF f;
  IF forgotten IS NOT NULL THEN
    RAISE EXCEPTION 'nothing is written about a family that is forgotten' USING ERRCODE = 'check_violation', CONSTRAINT = 'family_is_forgotten';
  END IF;
  RETURN new;
END $$;--> statement-breakpoint
CREATE TRIGGER "family_is_known" BEFORE INSERT ON "answer" FOR EACH ROW EXECUTE FUNCTION public.answer_of_a_known_family();--> statement-breakpoint
CREATE FUNCTION public.loan_of_a_bag_that_is_here() RETURNS trigger LANGUAGE plpgsql SET search_path = public, pg_temp AS $$
DECLARE
  bag copy%ROWTYPE;
BEGIN
  IF tg_op = 'UPDATE' THEN
    IF (new.school_id, new.id, new.copy_id, new.family_id, new.lent_on) IS DISTINCT FROM (old.school_id, old.id, old.copy_id, old.family_id, old.lent_on) THEN
      RAISE EXCEPTION 'of which bag, to whom and when a loan is stays as it was written' USING ERRCODE = 'check_violation', CONSTRAINT = 'loan_stays_what_it_is';
    END IF;
    RETURN new;
  END IF;
  SELECT * INTO bag FROM copy c WHERE c.school_id = new.school_id AND c.id = new.copy_id FOR KEY SHARE;
  IF bag.ready_at IS NULL OR bag.moved_at IS NOT NULL THEN
    RAISE EXCEPTION 'a bag is lent when it is made, and where it is' USING ERRCODE = 'check_violation', CONSTRAINT = 'bag_is_here';
  END IF;
  RETURN new;
END $$;--> statement-breakpoint
CREATE TRIGGER "bag_is_here" BEFORE INSERT OR UPDATE ON "loan" FOR EACH ROW EXECUTE FUNCTION public.loan_of_a_bag_that_is_here();--> statement-breakpoint
CREATE FUNCTION public.set_aside_at_school() RETURNS trigger LANGUAGE plpgsql SET search_path = public, pg_temp AS $$
BEGIN
  IF new.copy_id IS NOT NULL AND new.closed_as IS NULL AND EXISTS (
    SELECT FROM loan l WHERE l.school_id = new.school_id AND l.copy_id = new.copy_id AND l.closed_as IS NULL) THEN
    RAISE EXCEPTION 'a bag that is out cannot be set aside' USING ERRCODE = 'check_violation', CONSTRAINT = 'bag_is_here';
  END IF;
  RETURN new;
END $$;--> statement-breakpoint
CREATE TRIGGER "bag_is_here" BEFORE INSERT OR UPDATE OF "copy_id", "closed_as" ON "hold" FOR EACH ROW EXECUTE FUNCTION public.set_aside_at_school();--> statement-breakpoint
CREATE FUNCTION public.zone_that_exists() RETURNS trigger LANGUAGE plpgsql SET search_path = public, pg_temp AS $$
BEGIN
  IF new.time_zone !~ '^[A-Za-z][A-Za-z0-9_+-]*(/[A-Za-z0-9_+-]+)*$' THEN
    RAISE EXCEPTION 'this is no time zone' USING ERRCODE = 'check_violation', CONSTRAINT = 'school_lies_in_a_zone';
  END IF;
  PERFORM now() AT TIME ZONE new.time_zone;
  RETURN new;
EXCEPTION WHEN invalid_parameter_value THEN
  RAISE EXCEPTION 'this is no time zone' USING ERRCODE = 'check_violation', CONSTRAINT = 'school_lies_in_a_zone';
END $$;--> statement-breakpoint
CREATE TRIGGER "school_lies_in_a_zone" BEFORE INSERT OR UPDATE OF "time_zone" ON "school" FOR EACH ROW EXECUTE FUNCTION public.zone_that_exists();--> statement-breakpoint
CREATE FUNCTION public.moved_within_its_district() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  IF new.moved_to IS NOT NULL AND (new.moved_to = new.school_id OR NOT EXISTS (
    SELECT FROM school a JOIN school b ON b.district_id = a.district_id WHERE a.id = new.school_id AND b.id = new.moved_to)) THEN
    RAISE EXCEPTION 'a copy moves to another school of its district' USING ERRCODE = 'check_violation', CONSTRAINT = 'copy_moves_within_its_district';
  END IF;
  IF new.moved_to IS NOT NULL AND EXISTS (
    SELECT FROM loan l WHERE l.school_id = new.school_id AND l.copy_id = new.id AND l.closed_as IS NULL) THEN
    RAISE EXCEPTION 'a copy that is out moves nowhere' USING ERRCODE = 'check_violation', CONSTRAINT = 'bag_is_here';
  END IF;
  RETURN new;
END $$;--> statement-breakpoint
CREATE TRIGGER "copy_moves_within_its_district" BEFORE INSERT OR UPDATE OF "moved_to" ON "copy" FOR EACH ROW EXECUTE FUNCTION public.moved_within_its_district();--> statement-breakpoint
CREATE FUNCTION public.log_is_only_emptied() RETURNS trigger LANGUAGE plpgsql SET search_path = public, pg_temp AS $$
BEGIN
  IF new.before IS NOT NULL OR new.after IS NOT NULL THEN
    RAISE EXCEPTION 'what was changed stays written down, or is forgotten' USING ERRCODE = 'check_violation', CONSTRAINT = 'log_is_only_emptied';
  END IF;
  RETURN new;
END $$;--> statement-breakpoint
CREATE TRIGGER "log_is_only_emptied" BEFORE UPDATE ON "change" FOR EACH ROW EXECUTE FUNCTION public.log_is_only_emptied();
