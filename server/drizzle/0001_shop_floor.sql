CREATE TABLE "lead_readings" (
	"id" serial PRIMARY KEY NOT NULL,
	"machine_id" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"by" text NOT NULL,
	"m_ohm" double precision NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "lead_readings_not_negative" CHECK ("lead_readings"."m_ohm" >= 0)
);
--> statement-breakpoint
CREATE TABLE "step_times" (
	"id" serial PRIMARY KEY NOT NULL,
	"machine_id" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"by" text NOT NULL,
	"kind" text NOT NULL,
	"minutes" double precision NOT NULL,
	CONSTRAINT "step_times_positive" CHECK ("step_times"."minutes" > 0)
);
--> statement-breakpoint
CREATE TABLE "cylinders" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"gas" text NOT NULL,
	"volume_l" double precision NOT NULL,
	"pressure_bar" double precision,
	"mass_kg" double precision,
	"convention" text NOT NULL,
	"machine_id" text,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT clock_timestamp() NOT NULL,
	"created_by" text NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	"changed_by" text NOT NULL,
	CONSTRAINT "cylinders_content_known" CHECK ("cylinders"."pressure_bar" is not null or "cylinders"."mass_kg" is not null),
	CONSTRAINT "cylinders_not_negative" CHECK (coalesce("cylinders"."pressure_bar", 0) >= 0 and coalesce("cylinders"."mass_kg", 0) >= 0)
);
--> statement-breakpoint
CREATE TABLE "slot_entries" (
	"id" serial PRIMARY KEY NOT NULL,
	"machine_id" text NOT NULL,
	"slot" integer NOT NULL,
	"seam_id" text NOT NULL,
	"program_id" text NOT NULL,
	"revision" integer NOT NULL,
	"program" jsonb NOT NULL,
	"dials" jsonb NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"stored_at" timestamp with time zone DEFAULT now() NOT NULL,
	"stored_by" text NOT NULL,
	"found_dials" jsonb,
	"found_at" timestamp with time zone,
	"found_by" text,
	CONSTRAINT "slot_entries_found_whole" CHECK (("slot_entries"."found_dials" is null) = ("slot_entries"."found_at" is null))
);
--> statement-breakpoint
CREATE TABLE "spools" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"filler" text NOT NULL,
	"diameter_mm" double precision NOT NULL,
	"mass_kg" double precision NOT NULL,
	"machine_id" text,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT clock_timestamp() NOT NULL,
	"created_by" text NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	"changed_by" text NOT NULL,
	CONSTRAINT "spools_not_negative" CHECK ("spools"."mass_kg" >= 0)
);
--> statement-breakpoint
ALTER TABLE "machines" ADD COLUMN "retired" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "lead_readings" ADD CONSTRAINT "lead_readings_machine_id_machines_id_fk" FOREIGN KEY ("machine_id") REFERENCES "public"."machines"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lead_readings" ADD CONSTRAINT "lead_readings_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "step_times" ADD CONSTRAINT "step_times_machine_id_machines_id_fk" FOREIGN KEY ("machine_id") REFERENCES "public"."machines"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "step_times" ADD CONSTRAINT "step_times_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cylinders" ADD CONSTRAINT "cylinders_machine_id_machines_id_fk" FOREIGN KEY ("machine_id") REFERENCES "public"."machines"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cylinders" ADD CONSTRAINT "cylinders_created_by_people_id_fk" FOREIGN KEY ("created_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cylinders" ADD CONSTRAINT "cylinders_changed_by_people_id_fk" FOREIGN KEY ("changed_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slot_entries" ADD CONSTRAINT "slot_entries_machine_id_machines_id_fk" FOREIGN KEY ("machine_id") REFERENCES "public"."machines"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slot_entries" ADD CONSTRAINT "slot_entries_seam_id_seams_id_fk" FOREIGN KEY ("seam_id") REFERENCES "public"."seams"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slot_entries" ADD CONSTRAINT "slot_entries_stored_by_people_id_fk" FOREIGN KEY ("stored_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slot_entries" ADD CONSTRAINT "slot_entries_found_by_people_id_fk" FOREIGN KEY ("found_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slot_entries" ADD CONSTRAINT "slot_entries_revision" FOREIGN KEY ("program_id","revision") REFERENCES "public"."program_revisions"("program_id","number") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "spools" ADD CONSTRAINT "spools_machine_id_machines_id_fk" FOREIGN KEY ("machine_id") REFERENCES "public"."machines"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "spools" ADD CONSTRAINT "spools_created_by_people_id_fk" FOREIGN KEY ("created_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "spools" ADD CONSTRAINT "spools_changed_by_people_id_fk" FOREIGN KEY ("changed_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "lead_readings_by_machine" ON "lead_readings" USING btree ("machine_id","at");--> statement-breakpoint
CREATE INDEX "step_times_by_kind" ON "step_times" USING btree ("machine_id","kind","id");--> statement-breakpoint
CREATE INDEX "slot_entries_by_slot" ON "slot_entries" USING btree ("machine_id","slot","id");