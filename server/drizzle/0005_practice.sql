ALTER TABLE "seams" ADD COLUMN "preparation" jsonb;--> statement-breakpoint
ALTER TABLE "seams" ADD COLUMN "arc_intent" text;--> statement-breakpoint
ALTER TABLE "shop" ADD COLUMN "thickness_rule" text DEFAULT 'leaning' NOT NULL;