ALTER TABLE "lead_readings" DISABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "step_times" DISABLE ROW LEVEL SECURITY;--> statement-breakpoint
DROP TABLE "lead_readings" CASCADE;--> statement-breakpoint
DROP TABLE "step_times" CASCADE;--> statement-breakpoint
ALTER TABLE "cylinders" DROP CONSTRAINT "cylinders_content_known";--> statement-breakpoint
ALTER TABLE "cylinders" DROP CONSTRAINT "cylinders_not_negative";--> statement-breakpoint
ALTER TABLE "orders" DROP CONSTRAINT "orders_done_not_negative";--> statement-breakpoint
ALTER TABLE "slot_entries" DROP CONSTRAINT "slot_entries_found_whole";--> statement-breakpoint
ALTER TABLE "spools" DROP CONSTRAINT "spools_not_negative";--> statement-breakpoint
ALTER TABLE "slot_entries" DROP CONSTRAINT "slot_entries_found_by_people_id_fk";
--> statement-breakpoint
ALTER TABLE "cylinders" DROP COLUMN "pressure_bar";--> statement-breakpoint
ALTER TABLE "cylinders" DROP COLUMN "mass_kg";--> statement-breakpoint
ALTER TABLE "orders" DROP COLUMN "done";--> statement-breakpoint
ALTER TABLE "slot_entries" DROP COLUMN "found_dials";--> statement-breakpoint
ALTER TABLE "slot_entries" DROP COLUMN "found_at";--> statement-breakpoint
ALTER TABLE "slot_entries" DROP COLUMN "found_by";--> statement-breakpoint
ALTER TABLE "spools" DROP COLUMN "mass_kg";--> statement-breakpoint
CREATE TRIGGER "slot_entries_append_only" BEFORE UPDATE OR DELETE ON "slot_entries" FOR EACH ROW EXECUTE FUNCTION never_changed();
