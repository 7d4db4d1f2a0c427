CREATE TABLE "word_reviews" (
	"row" serial PRIMARY KEY NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"by" text NOT NULL,
	"language" text NOT NULL,
	"key" text NOT NULL,
	"english" text NOT NULL,
	"text" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "word_reviews" ADD CONSTRAINT "word_reviews_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "word_reviews_by_language" ON "word_reviews" USING btree ("language","row");--> statement-breakpoint
CREATE TRIGGER "word_reviews_append_only" BEFORE UPDATE OR DELETE ON "word_reviews" FOR EACH ROW EXECUTE FUNCTION never_changed();
