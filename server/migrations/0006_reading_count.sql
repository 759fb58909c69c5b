ALTER TABLE "sources" ADD COLUMN "count" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE "sources" SET "count" = "counted"."n" FROM (
	SELECT "channels"."source_id", count(*)::integer AS "n" FROM "readings" JOIN "channels" ON "channels"."id" = "readings"."channel_id"
	WHERE "channels"."quantity" = 'inlet' GROUP BY "channels"."source_id"
) AS "counted" WHERE "counted"."source_id" = "sources"."id";
--> statement-breakpoint
CREATE FUNCTION "count_readings"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	UPDATE "sources" SET "count" = "count" + CASE TG_OP WHEN 'INSERT' THEN "moved"."n" ELSE -"moved"."n" END FROM (
		SELECT "channels"."source_id", count(*)::integer AS "n" FROM "changed" JOIN "channels" ON "channels"."id" = "changed"."channel_id"
		WHERE "channels"."quantity" = 'inlet' GROUP BY "channels"."source_id"
	) AS "moved" WHERE "moved"."source_id" = "sources"."id";
	RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER "readings_added" AFTER INSERT ON "readings" REFERENCING NEW TABLE AS "changed" FOR EACH STATEMENT EXECUTE FUNCTION "count_readings"();
--> statement-breakpoint
CREATE TRIGGER "readings_removed" AFTER DELETE ON "readings" REFERENCING OLD TABLE AS "changed" FOR EACH STATEMENT EXECUTE FUNCTION "count_readings"();
