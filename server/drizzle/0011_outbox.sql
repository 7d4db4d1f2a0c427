CREATE TABLE "devices" (
	"id" text PRIMARY KEY NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "pin_tries" (
	"person_id" text NOT NULL,
	"place" text NOT NULL,
	"tries" integer DEFAULT 0 NOT NULL,
	"wait_until" timestamp with time zone,
	"untold" integer DEFAULT 0 NOT NULL,
	"last_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "pin_tries_person_id_place_pk" PRIMARY KEY("person_id","place")
);
--> statement-breakpoint
ALTER TABLE "observations" ADD COLUMN "sent_by" text;--> statement-breakpoint
CREATE INDEX "pin_tries_by_time" ON "pin_tries" USING btree ("last_at");--> statement-breakpoint
ALTER TABLE "observations" ADD CONSTRAINT "observations_sent_by_people_id_fk" FOREIGN KEY ("sent_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "observations_by_sender" ON "observations" USING btree ("sent_by");--> statement-breakpoint
ALTER TABLE "people" DROP COLUMN "failed_tries";--> statement-breakpoint
ALTER TABLE "people" DROP COLUMN "wait_until";