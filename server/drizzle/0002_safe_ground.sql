CREATE TABLE "attachments" (
	"observation_id" uuid NOT NULL,
	"sha256" text NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "attachments_observation_id_sha256_pk" PRIMARY KEY("observation_id","sha256")
);
--> statement-breakpoint
CREATE TABLE "blobs" (
	"sha256" text PRIMARY KEY NOT NULL,
	"media_type" text NOT NULL,
	"size" integer NOT NULL,
	"bytes" "bytea" NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "kept_answers" (
	"key" uuid PRIMARY KEY NOT NULL,
	"person_id" text NOT NULL,
	"door" text NOT NULL,
	"request_hash" text NOT NULL,
	"status" integer,
	"answer" jsonb,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "observations" (
	"id" uuid PRIMARY KEY NOT NULL,
	"row" serial NOT NULL,
	"kind" text NOT NULL,
	"at" timestamp with time zone DEFAULT clock_timestamp() NOT NULL,
	"device_at" timestamp with time zone,
	"recorded_by" text NOT NULL,
	"welded_by" text,
	"machine_id" text,
	"seam_id" text,
	"revision" integer,
	"content_hash" text,
	"corrects" uuid,
	"body" jsonb NOT NULL,
	CONSTRAINT "observations_row_unique" UNIQUE("row")
);
--> statement-breakpoint
CREATE TABLE "order_counts" (
	"id" serial PRIMARY KEY NOT NULL,
	"observation_id" uuid NOT NULL,
	"order_id" text NOT NULL,
	"count" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"sid" text PRIMARY KEY NOT NULL,
	"sess" json NOT NULL,
	"expire" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shop" (
	"id" integer PRIMARY KEY DEFAULT 1 NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"name" text NOT NULL,
	"time_zone" text DEFAULT 'Europe/Berlin' NOT NULL,
	"demo" boolean DEFAULT false NOT NULL,
	"session_secret" text NOT NULL,
	"owner_code_hash" text,
	"code_failures" integer DEFAULT 0 NOT NULL,
	"code_wait_until" timestamp with time zone,
	CONSTRAINT "shop_one_row" CHECK (id = 1)
);
--> statement-breakpoint
CREATE TABLE "stock_movements" (
	"id" serial PRIMARY KEY NOT NULL,
	"observation_id" uuid NOT NULL,
	"cylinder_id" text,
	"spool_id" text,
	"amount" bigint NOT NULL,
	CONSTRAINT "stock_movements_one_item" CHECK (("stock_movements"."cylinder_id" is null) <> ("stock_movements"."spool_id" is null))
);
--> statement-breakpoint
ALTER TABLE "cylinders" ADD COLUMN "gauge_bar" double precision;--> statement-breakpoint
ALTER TABLE "cylinders" ADD COLUMN "retired" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "orders" ADD COLUMN "closed" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "parts" ADD COLUMN "retired" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "retired" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "pin_hash" text;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "failed_tries" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "wait_until" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "program_revisions" ADD COLUMN "use" jsonb;--> statement-breakpoint
ALTER TABLE "program_revisions" ADD COLUMN "content_hash" text;--> statement-breakpoint
ALTER TABLE "seams" ADD COLUMN "deleted" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "spools" ADD COLUMN "retired" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "attachments" ADD CONSTRAINT "attachments_observation_id_observations_id_fk" FOREIGN KEY ("observation_id") REFERENCES "public"."observations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attachments" ADD CONSTRAINT "attachments_sha256_blobs_sha256_fk" FOREIGN KEY ("sha256") REFERENCES "public"."blobs"("sha256") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kept_answers" ADD CONSTRAINT "kept_answers_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observations" ADD CONSTRAINT "observations_recorded_by_people_id_fk" FOREIGN KEY ("recorded_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observations" ADD CONSTRAINT "observations_welded_by_people_id_fk" FOREIGN KEY ("welded_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observations" ADD CONSTRAINT "observations_machine_id_machines_id_fk" FOREIGN KEY ("machine_id") REFERENCES "public"."machines"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observations" ADD CONSTRAINT "observations_seam_id_seams_id_fk" FOREIGN KEY ("seam_id") REFERENCES "public"."seams"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_counts" ADD CONSTRAINT "order_counts_observation_id_observations_id_fk" FOREIGN KEY ("observation_id") REFERENCES "public"."observations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_counts" ADD CONSTRAINT "order_counts_order_id_orders_id_fk" FOREIGN KEY ("order_id") REFERENCES "public"."orders"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_movements" ADD CONSTRAINT "stock_movements_observation_id_observations_id_fk" FOREIGN KEY ("observation_id") REFERENCES "public"."observations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_movements" ADD CONSTRAINT "stock_movements_cylinder_id_cylinders_id_fk" FOREIGN KEY ("cylinder_id") REFERENCES "public"."cylinders"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_movements" ADD CONSTRAINT "stock_movements_spool_id_spools_id_fk" FOREIGN KEY ("spool_id") REFERENCES "public"."spools"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "attachments_by_blob" ON "attachments" USING btree ("sha256");--> statement-breakpoint
CREATE INDEX "kept_answers_by_time" ON "kept_answers" USING btree ("at");--> statement-breakpoint
CREATE INDEX "kept_answers_by_person" ON "kept_answers" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "observations_by_kind" ON "observations" USING btree ("kind","row");--> statement-breakpoint
CREATE INDEX "observations_by_machine" ON "observations" USING btree ("machine_id","kind","row");--> statement-breakpoint
CREATE INDEX "observations_by_seam" ON "observations" USING btree ("seam_id","kind","row");--> statement-breakpoint
CREATE INDEX "observations_by_person" ON "observations" USING btree ("recorded_by");--> statement-breakpoint
CREATE INDEX "observations_by_welder" ON "observations" USING btree ("welded_by");--> statement-breakpoint
CREATE INDEX "observations_by_corrected" ON "observations" USING btree ("corrects");--> statement-breakpoint
CREATE INDEX "order_counts_by_order" ON "order_counts" USING btree ("order_id");--> statement-breakpoint
CREATE INDEX "order_counts_by_observation" ON "order_counts" USING btree ("observation_id");--> statement-breakpoint
CREATE INDEX "sessions_by_expiry" ON "sessions" USING btree ("expire");--> statement-breakpoint
CREATE INDEX "stock_movements_by_cylinder" ON "stock_movements" USING btree ("cylinder_id");--> statement-breakpoint
CREATE INDEX "stock_movements_by_spool" ON "stock_movements" USING btree ("spool_id");--> statement-breakpoint
CREATE INDEX "stock_movements_by_observation" ON "stock_movements" USING btree ("observation_id");--> statement-breakpoint
CREATE INDEX "cylinders_by_machine" ON "cylinders" USING btree ("machine_id");--> statement-breakpoint
CREATE INDEX "orders_by_part" ON "orders" USING btree ("part_id");--> statement-breakpoint
CREATE INDEX "program_revisions_by_author" ON "program_revisions" USING btree ("created_by");--> statement-breakpoint
CREATE INDEX "slot_entries_by_seam" ON "slot_entries" USING btree ("seam_id");--> statement-breakpoint
CREATE INDEX "slot_entries_by_revision" ON "slot_entries" USING btree ("program_id","revision");--> statement-breakpoint
CREATE INDEX "spools_by_machine" ON "spools" USING btree ("machine_id");--> statement-breakpoint
UPDATE "people" SET role = CASE WHEN role IN ('lead hand', 'lead') THEN 'lead' WHEN role IN ('office', 'owner') THEN role ELSE 'welder' END;--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_role_known" CHECK (role in ('welder', 'lead', 'office', 'owner'));--> statement-breakpoint
INSERT INTO "observations" ("id", "kind", "at", "recorded_by", "machine_id", "body")
SELECT gen_random_uuid(), kind, at, by, machine_id, body FROM (
	SELECT 'lead-reading' AS kind, at, by, machine_id, jsonb_build_object('mOhm', m_ohm, 'note', note) AS body FROM lead_readings
	UNION ALL
	SELECT 'step-time', at, by, machine_id, jsonb_build_object('kind', kind, 'minutes', minutes) FROM step_times
	UNION ALL
	SELECT 'slot-found', found_at, found_by, machine_id, jsonb_build_object('slot', slot, 'entryId', id, 'dials', found_dials)
		FROM slot_entries WHERE found_at IS NOT NULL
	UNION ALL
	SELECT 'standing', changed_at, changed_by, id, jsonb_build_object('standing', standing) FROM machines WHERE standing IS NOT NULL
) AS past ORDER BY at;--> statement-breakpoint
INSERT INTO "observations" ("id", "kind", "at", "recorded_by", "body")
SELECT gen_random_uuid(), 'parts-done', changed_at, changed_by, jsonb_build_object('orderId', id, 'count', done, 'drawn', '[]'::jsonb, 'why', 'carried over')
FROM orders WHERE done <> 0;--> statement-breakpoint
INSERT INTO "order_counts" ("observation_id", "order_id", "count")
SELECT id, body->>'orderId', (body->>'count')::int FROM observations WHERE kind = 'parts-done';--> statement-breakpoint
INSERT INTO "observations" ("id", "kind", "at", "recorded_by", "machine_id", "body")
SELECT gen_random_uuid(), 'stock', changed_at, changed_by, machine_id, jsonb_build_object('why', 'carried over', 'cylinderId', id,
	'amount', CASE WHEN gas LIKE 'C1%' THEN round(coalesce(mass_kg, 0) * 1000000) ELSE round(coalesce(pressure_bar, 0) * volume_l * 1000) END)
FROM cylinders;--> statement-breakpoint
INSERT INTO "observations" ("id", "kind", "at", "recorded_by", "machine_id", "body")
SELECT gen_random_uuid(), 'stock', changed_at, changed_by, machine_id, jsonb_build_object('why', 'carried over', 'spoolId', id, 'amount', round(mass_kg * 1000000))
FROM spools;--> statement-breakpoint
INSERT INTO "stock_movements" ("observation_id", "cylinder_id", "spool_id", "amount")
SELECT id, body->>'cylinderId', body->>'spoolId', (body->>'amount')::numeric::bigint FROM observations WHERE kind = 'stock';--> statement-breakpoint
UPDATE "cylinders" SET gauge_bar = pressure_bar WHERE gas LIKE 'C1%';--> statement-breakpoint
CREATE FUNCTION never_changed() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	RAISE EXCEPTION 'rows of % are added, never changed nor removed', tg_table_name USING ERRCODE = 'restrict_violation';
END $$;--> statement-breakpoint
CREATE FUNCTION only_use_is_filled() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	IF tg_op = 'UPDATE' AND old.use IS NULL AND to_jsonb(new) - 'use' - 'content_hash' = to_jsonb(old) - 'use' - 'content_hash' THEN
		RETURN new;
	END IF;
	RAISE EXCEPTION 'rows of % are added, never changed nor removed', tg_table_name USING ERRCODE = 'restrict_violation';
END $$;--> statement-breakpoint
CREATE TRIGGER "observations_append_only" BEFORE UPDATE OR DELETE ON "observations" FOR EACH ROW EXECUTE FUNCTION never_changed();--> statement-breakpoint
CREATE TRIGGER "attachments_append_only" BEFORE UPDATE OR DELETE ON "attachments" FOR EACH ROW EXECUTE FUNCTION never_changed();--> statement-breakpoint
CREATE TRIGGER "blobs_append_only" BEFORE UPDATE OR DELETE ON "blobs" FOR EACH ROW EXECUTE FUNCTION never_changed();--> statement-breakpoint
CREATE TRIGGER "stock_movements_append_only" BEFORE UPDATE OR DELETE ON "stock_movements" FOR EACH ROW EXECUTE FUNCTION never_changed();--> statement-breakpoint
CREATE TRIGGER "order_counts_append_only" BEFORE UPDATE OR DELETE ON "order_counts" FOR EACH ROW EXECUTE FUNCTION never_changed();--> statement-breakpoint
CREATE TRIGGER "program_revisions_append_only" BEFORE UPDATE OR DELETE ON "program_revisions" FOR EACH ROW EXECUTE FUNCTION only_use_is_filled();
