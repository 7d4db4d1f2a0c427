CREATE TABLE "stand_ins" (
	"machine_id" text PRIMARY KEY NOT NULL,
	"faults" text[] NOT NULL,
	"welds" integer DEFAULT 0 NOT NULL,
	"seed" integer NOT NULL,
	"trace" text
);
--> statement-breakpoint
CREATE TABLE "trials" (
	"id" uuid PRIMARY KEY NOT NULL,
	"observation_id" uuid NOT NULL,
	"row" integer NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"seam_id" text NOT NULL,
	"machine_id" text NOT NULL,
	"welder_id" text NOT NULL,
	"verdict" text NOT NULL,
	"by_eye_only" boolean NOT NULL,
	"material_group" text NOT NULL,
	"thickness_mm" double precision NOT NULL,
	"joint" text NOT NULL,
	"position" text NOT NULL,
	"mode" text NOT NULL,
	"filler" text NOT NULL,
	"gas" text NOT NULL,
	"diameter_mm" double precision NOT NULL,
	"wire_feed_m_per_min" double precision NOT NULL,
	"trim_mm" double precision NOT NULL,
	"planned_travel_mm_per_min" double precision NOT NULL,
	"found_travel_mm_per_min" double precision,
	"arc_seconds" double precision,
	"timer" text,
	"legs_mm" jsonb,
	"symptoms" text[] NOT NULL,
	"photos" integer NOT NULL,
	"withdrawn" boolean DEFAULT false NOT NULL,
	CONSTRAINT "trials_row_unique" UNIQUE("row")
);
--> statement-breakpoint
ALTER TABLE "stand_ins" ADD CONSTRAINT "stand_ins_machine_id_machines_id_fk" FOREIGN KEY ("machine_id") REFERENCES "public"."machines"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trials" ADD CONSTRAINT "trials_id_observations_id_fk" FOREIGN KEY ("id") REFERENCES "public"."observations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trials" ADD CONSTRAINT "trials_observation_id_observations_id_fk" FOREIGN KEY ("observation_id") REFERENCES "public"."observations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trials" ADD CONSTRAINT "trials_seam_id_seams_id_fk" FOREIGN KEY ("seam_id") REFERENCES "public"."seams"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trials" ADD CONSTRAINT "trials_machine_id_machines_id_fk" FOREIGN KEY ("machine_id") REFERENCES "public"."machines"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trials" ADD CONSTRAINT "trials_welder_id_people_id_fk" FOREIGN KEY ("welder_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "trials_by_seam" ON "trials" USING btree ("seam_id","row");--> statement-breakpoint
CREATE INDEX "trials_by_machine" ON "trials" USING btree ("machine_id","row");--> statement-breakpoint
CREATE INDEX "trials_by_welder" ON "trials" USING btree ("welder_id","row");--> statement-breakpoint
CREATE INDEX "trials_by_verdict" ON "trials" USING btree ("verdict","row");--> statement-breakpoint
CREATE INDEX "trials_by_metal" ON "trials" USING btree ("material_group","row");--> statement-breakpoint
CREATE INDEX "trials_by_observation" ON "trials" USING btree ("observation_id");--> statement-breakpoint
CREATE INDEX "trials_by_symptom" ON "trials" USING gin ("symptoms");