ALTER TABLE "change" ADD CONSTRAINT "change_is_of_a_kind" CHECK ("change"."kind" in ('added', 'changed', 'removed', 'brought back', 'forgotten', 'did'));--> statement-breakpoint
ALTER TABLE "person" ADD CONSTRAINT "person_has_a_role" CHECK ("person"."role" in ('coordinator', 'helper', 'reader'));--> statement-breakpoint
ALTER TABLE "school" ADD CONSTRAINT "school_prints_on_a_paper" CHECK ("school"."paper" in ('letter', 'a4'));--> statement-breakpoint
ALTER TABLE "kit" ADD CONSTRAINT "kit_is_for_a_grade_band" CHECK ("kit"."age_band" in ('preK', 'K', 'g1', 'g2', 'g3'));--> statement-breakpoint
ALTER TABLE "kit" ADD CONSTRAINT "kit_is_on_a_paper" CHECK ("kit"."paper" in ('letter', 'a4'));--> statement-breakpoint
ALTER TABLE "kit" ADD CONSTRAINT "kit_has_an_assurance" CHECK ("kit"."assurance" in ('usual', 'worst'));--> statement-breakpoint
ALTER TABLE "variant" ADD CONSTRAINT "variant_is_for_a_grade_band" CHECK ("variant"."age_band" in ('preK', 'K', 'g1', 'g2', 'g3'));--> statement-breakpoint
ALTER TABLE "loan" ADD CONSTRAINT "loan_ended_in_a_known_way" CHECK ("loan"."closed_as" in ('returned', 'undone'));--> statement-breakpoint
ALTER TABLE "loan_event" ADD CONSTRAINT "loan_event_is_of_a_kind" CHECK ("loan_event"."kind" in ('lent', 'dueChanged', 'returned', 'undone', 'reopened'));--> statement-breakpoint
ALTER TABLE "part_count" ADD CONSTRAINT "part_count_has_a_cause" CHECK ("part_count"."cause" in ('return', 'mend', 'undone'));--> statement-breakpoint
ALTER TABLE "answer" ADD CONSTRAINT "answer_says_a_known_level" CHECK ("answer"."level" in ('tooEasy', 'justRight', 'tooHard'));--> statement-breakpoint
ALTER TABLE "print_job" ADD CONSTRAINT "print_job_is_in_a_known_state" CHECK ("print_job"."state" in ('drawing', 'done', 'failed', 'stopped'));