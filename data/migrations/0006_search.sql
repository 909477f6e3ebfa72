-- A text as it is looked for: without accents and other marks over and under its letters, and in small letters.
CREATE FUNCTION public.searchable(text) RETURNS text LANGUAGE sql IMMUTABLE STRICT PARALLEL SAFE AS
$$ SELECT lower(regexp_replace(normalize($1, NFD), '[\u0300-\u036F\u0591-\u05C7\u0610-\u061A\u064B-\u065F\u0670]', '', 'g')) $$;--> statement-breakpoint
ALTER TABLE "family" ADD COLUMN "search_name" text GENERATED ALWAYS AS (public.searchable(name)) STORED NOT NULL;