-- What was said of a bag as a whole was said of each of its games.
INSERT INTO "answer_game" ("school_id", "answer_id", "position", "said")
SELECT a."school_id", a."id", g.position, a."level"
FROM "answer" a
JOIN "loan" l ON l."school_id" = a."school_id" AND l."id" = a."loan_id"
JOIN "copy" c ON c."school_id" = l."school_id" AND c."id" = l."copy_id"
JOIN "build_run" b ON b."school_id" = c."school_id" AND b."id" = c."build_run_id"
CROSS JOIN LATERAL generate_series(0, jsonb_array_length(b."plan"->'variants') - 1) AS g(position)
WHERE a."level" IS NOT NULL;--> statement-breakpoint
UPDATE "answer" SET "via" = CASE WHEN "send_key" LIKE 'slip %' THEN 'slip' ELSE "via" END;--> statement-breakpoint
ALTER TABLE "answer" DROP CONSTRAINT "answer_says_a_known_level";--> statement-breakpoint
ALTER TABLE "answer" DROP COLUMN "level";