ALTER TABLE "program_revisions" ADD COLUMN "site" jsonb;--> statement-breakpoint
CREATE OR REPLACE FUNCTION only_use_is_filled() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	IF tg_op = 'UPDATE'
		AND to_jsonb(new) - 'use' - 'content_hash' - 'site' = to_jsonb(old) - 'use' - 'content_hash' - 'site'
		AND (old.site IS NULL OR new.site = old.site)
		AND (old.use IS NULL OR new.use = old.use)
		AND (old.content_hash IS NULL OR new.content_hash = old.content_hash) THEN
		RETURN new;
	END IF;
	RAISE EXCEPTION 'rows of % are added, never changed nor removed', tg_table_name USING ERRCODE = 'restrict_violation';
END $$;
