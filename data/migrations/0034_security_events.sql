CREATE TABLE "security_event" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"school_id" uuid DEFAULT public.school_now() NOT NULL,
	"kind" text NOT NULL,
	"person_id" uuid,
	"hour" timestamp with time zone NOT NULL,
	"times" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "security_event_once_an_hour" UNIQUE NULLS NOT DISTINCT("school_id","kind","person_id","hour"),
	CONSTRAINT "security_event_is_known" CHECK ("security_event"."kind" in ('signInFailed', 'signInStopped', 'confirmFailed', 'notAllowed', 'passwordChanged', 'sessionsEnded', 'linkGiven', 'linkUsed', 'accessGiven', 'accessEnded', 'exported', 'forgot', 'keyMade', 'totalReached')),
	CONSTRAINT "security_event_happened" CHECK ("security_event"."times" > 0)
);
--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "proven_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "security_event" ADD CONSTRAINT "security_event_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "security_event" ADD CONSTRAINT "security_event_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "security_event_by_time" ON "security_event" USING btree ("school_id","hour");--> statement-breakpoint
ALTER TABLE "security_event" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE POLICY "of_this_school" ON "security_event" USING ("school_id" = (SELECT public.school_now())) WITH CHECK ("school_id" = (SELECT public.school_now()));
