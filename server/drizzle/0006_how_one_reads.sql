ALTER TABLE "people" ADD COLUMN "language" text;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "units" text;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "theme" text;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "hand" text;--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_units_known" CHECK (units in ('metric', 'us'));--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_theme_known" CHECK (theme in ('day', 'night'));--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_hand_known" CHECK (hand in ('right', 'left'));