DROP INDEX "part_count_by_copy";--> statement-breakpoint
CREATE INDEX "session_by_person" ON "session" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "kit_variant_by_variant" ON "kit_variant" USING btree ("variant_id");--> statement-breakpoint
CREATE INDEX "loan_by_copy" ON "loan" USING btree ("copy_id");--> statement-breakpoint
CREATE INDEX "loan_ended" ON "loan" USING btree ("returned_on","created_at") WHERE "loan"."closed_as" is not null;--> statement-breakpoint
CREATE INDEX "loan_out_by_family" ON "loan" USING btree ("family_id") WHERE "loan"."closed_as" is null;--> statement-breakpoint
CREATE INDEX "part_count_latest" ON "part_count" USING btree ("copy_id","material","serial");--> statement-breakpoint
CREATE INDEX "part_count_short" ON "part_count" USING btree ("copy_id","material") WHERE "part_count"."counted" < "part_count"."expected";--> statement-breakpoint
CREATE INDEX "part_count_by_loan" ON "part_count" USING btree ("loan_id");--> statement-breakpoint
CREATE INDEX "answer_new" ON "answer" USING btree ("sent_at") WHERE "answer"."read_at" is null;