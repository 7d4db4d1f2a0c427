CREATE TABLE "jobs" (
	"id" uuid PRIMARY KEY NOT NULL,
	"verb" text NOT NULL,
	"input" jsonb NOT NULL,
	"state" text DEFAULT 'waiting' NOT NULL,
	"progress" double precision DEFAULT 0 NOT NULL,
	"tries" integer DEFAULT 0 NOT NULL,
	"cancelled" boolean DEFAULT false NOT NULL,
	"answer" jsonb,
	"trouble" text,
	"beat_at" timestamp with time zone DEFAULT now() NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"created_by" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_created_by_people_id_fk" FOREIGN KEY ("created_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "jobs_by_person" ON "jobs" USING btree ("created_by","created_at");