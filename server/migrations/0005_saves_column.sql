INSERT INTO "saves" ("job_id", "id", "taken")
	SELECT "jobs"."id", ltrim("entry", '!'), "entry" NOT LIKE '!%' FROM "jobs", unnest("jobs"."saves") AS "entry"
	ON CONFLICT DO NOTHING;
--> statement-breakpoint
INSERT INTO "saves" ("job_id", "id", "taken", "version")
	SELECT "id", "stamp", true, "version" FROM "jobs";
--> statement-breakpoint
ALTER TABLE "jobs" DROP COLUMN "saves";
